package dev.zelotype.reading;

import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Zelotype;
import dev.zelotype.engine.weave.PatternPatch;
import java.io.ByteArrayOutputStream;
import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.net.MalformedURLException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javax.tools.ToolProvider;
import org.eclipse.jdt.core.compiler.batch.BatchCompiler;
import org.jacoco.core.instr.Instrumenter;
import org.jacoco.core.runtime.IRuntime;
import org.jacoco.core.runtime.LoggerRuntime;
import org.jacoco.core.runtime.RuntimeData;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.commons.ClassRemapper;
import org.objectweb.asm.commons.Remapper;

/**
 * The ways in which a test's source becomes a class in a JVM.
 */
public enum Compiled {
    BY_JAVAC,
    WITHOUT_DEBUG_DATA,
    BY_ECLIPSE,
    WITH_COVERAGE_PROBES,
    /** As compilers of other languages do it: the methods of lambdas are ordinary ones with other names. */
    AS_OTHER_LANGUAGES_DO,
    WITHOUT_CLASS_FILES,
    /** As the agent loads them. */
    LOADED_WITH_PATTERNS_IN_PLACE,
    /** As the build goal writes them. */
    WITH_PATTERNS_IN_PLACE,
    BY_ECLIPSE_WITH_PATTERNS_IN_PLACE,
    WITH_PROBES_AND_PATTERNS_IN_PLACE;

    /** Kept as long as any class that uses it. */
    private static final IRuntime COVERAGE = coverage();

    private static IRuntime coverage() {
        try {
            IRuntime runtime = new LoggerRuntime();
            runtime.startup(new RuntimeData());
            return runtime;
        } catch (Exception e) {
            throw new IllegalStateException("no coverage to try", e);
        }
    }

    /** Compiles sources, by file name, and returns a class loader for them. */
    public ClassLoader load(Path folder, Map<String, String> sources) throws Exception {
        Path classes = Files.createDirectories(folder.resolve("classes"));
        List<String> files = new ArrayList<>();
        for (Map.Entry<String, String> source : sources.entrySet()) {
            Path file = folder.resolve(source.getKey());
            Files.writeString(file, source.getValue());
            files.add(file.toString());
        }
        List<String> command = new ArrayList<>(List.of("-d", classes.toString(), "-cp", classPath()));
        if (this == BY_ECLIPSE || this == BY_ECLIPSE_WITH_PATTERNS_IN_PLACE) {
            command.addAll(List.of("-17", "-g", "-nowarn", "-proc:none"));
            command.addAll(files);
            StringWriter said = new StringWriter();
            boolean fine = BatchCompiler.compile(
                    command.toArray(new String[0]), new PrintWriter(said), new PrintWriter(said), null);
            assertThat(fine).as(said.toString()).isTrue();
        } else {
            command.addAll(List.of("--release", "17", "-proc:none"));
            command.add(this == WITHOUT_DEBUG_DATA ? "-g:none" : "-g");
            command.addAll(files);
            ByteArrayOutputStream said = new ByteArrayOutputStream();
            int result = ToolProvider.getSystemJavaCompiler().run(null, said, said, command.toArray(new String[0]));
            assertThat(result).as(said.toString(StandardCharsets.UTF_8)).isZero();
        }
        switch (this) {
            case WITH_COVERAGE_PROBES -> instrument(classes);
            case AS_OTHER_LANGUAGES_DO -> rename(classes);
            case WITH_PATTERNS_IN_PLACE, BY_ECLIPSE_WITH_PATTERNS_IN_PLACE -> patch(classes);
            case WITH_PROBES_AND_PATTERNS_IN_PLACE -> {
                instrument(classes);
                patch(classes);
            }
            case BY_JAVAC, WITHOUT_DEBUG_DATA, BY_ECLIPSE, WITHOUT_CLASS_FILES, LOADED_WITH_PATTERNS_IN_PLACE -> {
                // They are not changed.
            }
        }
        return again(folder);
    }

    /** Returns another class loader for the classes that were compiled into a folder. */
    public ClassLoader again(Path folder) throws MalformedURLException {
        Path classes = folder.resolve("classes");
        return switch (this) {
            case WITHOUT_CLASS_FILES -> new Secretive(classes, parent());
            case LOADED_WITH_PATTERNS_IN_PLACE -> new Patching(classes, parent());
            default -> new URLClassLoader(urls(classes), parent());
        };
    }

    private static ClassLoader parent() {
        return Compiled.class.getClassLoader();
    }

    private static URL[] urls(Path folder) throws MalformedURLException {
        return new URL[] {folder.toUri().toURL()};
    }

    private static String classPath() {
        String core = Zelotype.class
                .getProtectionDomain()
                .getCodeSource()
                .getLocation()
                .getPath();
        String tests = Compiled.class
                .getProtectionDomain()
                .getCodeSource()
                .getLocation()
                .getPath();
        return core + File.pathSeparator + tests + File.pathSeparator + System.getProperty("java.class.path");
    }

    private static void instrument(Path classes) throws Exception {
        Instrumenter instrumenter = new Instrumenter(COVERAGE);
        try (Stream<Path> files = Files.walk(classes)) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                Files.write(file, instrumenter.instrument(Files.readAllBytes(file), file.toString()));
            }
        }
    }

    private static void patch(Path classes) throws IOException {
        int patched = 0;
        try (Stream<Path> files = Files.walk(classes)) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                byte[] changed = PatternPatch.of(Files.readAllBytes(file));
                if (changed != null) {
                    Files.write(file, changed);
                    patched++;
                }
            }
        }
        assertThat(patched).as("changed classes").isPositive();
    }

    private static void rename(Path classes) throws IOException {
        try (Stream<Path> files = Files.walk(classes)) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                ClassWriter out = new ClassWriter(0);
                ClassVisitor plain = new ClassVisitor(Opcodes.ASM9, out) {
                    @Override
                    public MethodVisitor visitMethod(
                            int access, String name, String type, String generic, String[] exceptions) {
                        boolean lambda = name.contains("$lambda$");
                        return super.visitMethod(
                                lambda ? access & ~Opcodes.ACC_SYNTHETIC : access, name, type, generic, exceptions);
                    }
                };
                Remapper names = new Remapper(Opcodes.ASM9) {
                    @Override
                    public String mapMethodName(String owner, String name, String descriptor) {
                        return name.startsWith("lambda$") ? "of$" + name : name;
                    }
                };
                new ClassReader(Files.readAllBytes(file)).accept(new ClassRemapper(plain, names), 0);
                Files.write(file, out.toByteArray());
            }
        }
    }

    /** Changes classes while it loads them; their files stay as they were compiled. */
    private static final class Patching extends URLClassLoader {

        private final Path classes;

        Patching(Path classes, ClassLoader parent) throws MalformedURLException {
            super(urls(classes), parent);
            this.classes = classes;
        }

        @Override
        protected Class<?> findClass(String name) throws ClassNotFoundException {
            byte[] code = codeOf(name, classes);
            byte[] changed = PatternPatch.ofLoaded(code);
            byte[] defined = changed == null ? code : changed;
            return defineClass(name, defined, 0, defined.length);
        }
    }

    private static byte[] codeOf(String name, Path classes) throws ClassNotFoundException {
        try {
            return Files.readAllBytes(classes.resolve(name.replace('.', '/') + ".class"));
        } catch (IOException e) {
            throw new ClassNotFoundException(name, e);
        }
    }

    /** Loads classes but does not provide their files. */
    private static final class Secretive extends ClassLoader {

        private final Path classes;

        Secretive(Path classes, ClassLoader parent) {
            super(parent);
            this.classes = classes;
        }

        @Override
        protected Class<?> findClass(String name) throws ClassNotFoundException {
            byte[] code = codeOf(name, classes);
            return defineClass(name, code, 0, code.length);
        }

        @Override
        public InputStream getResourceAsStream(String name) {
            return null;
        }
    }
}
