package dev.zelotype.engine.weave;

import dev.zelotype.error.MisuseException;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.lang.instrument.Instrumentation;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import java.util.jar.Attributes;
import java.util.jar.JarEntry;
import java.util.jar.JarOutputStream;
import java.util.jar.Manifest;
import org.jspecify.annotations.Nullable;

/**
 * Gets hold of the JVM's instrumentation: what {@code -javaagent} left, else by attaching to this JVM from another.
 */
final class Attachment {

    private static final String CURE = "start the JVM of the tests with -javaagent:/path/to/zelotype.jar"
            + " (Surefire: <argLine>-javaagent:${dev.zelotype:zelotype:jar}</argLine> with the goal dependency:properties)";
    private static final int PATIENCE_SECONDS = 30;

    private Attachment() {}

    static Instrumentation instrumentation() {
        Instrumentation known = known();
        if (known == null) {
            attach();
            known = known();
        }
        if (known == null) {
            throw new MisuseException(
                    "Static methods, constructors and final classes cannot be replaced here: this JVM"
                            + " lets no agent in while it runs.",
                    CURE);
        }
        return known;
    }

    static @Nullable Instrumentation known() {
        try {
            // The agent's class is the system class loader's, even where this library is another loader's.
            return (Instrumentation) ClassLoader.getSystemClassLoader()
                    .loadClass(Agent.class.getName())
                    .getMethod("instrumentation")
                    .invoke(null);
        } catch (ReflectiveOperationException e) {
            return null;
        }
    }

    private static void attach() {
        Path jar = null;
        try {
            jar = Files.createTempFile("zelotype-agent", ".jar");
            writeAgentJar(jar);
            Process process = new ProcessBuilder(
                            Path.of(System.getProperty("java.home"), "bin", "java")
                                    .toString(),
                            "-cp",
                            jar.toString(),
                            Attacher.class.getName(),
                            String.valueOf(ProcessHandle.current().pid()),
                            jar.toString())
                    .redirectErrorStream(true)
                    .start();
            String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            if (!process.waitFor(PATIENCE_SECONDS, TimeUnit.SECONDS) || process.exitValue() != 0) {
                throw new MisuseException(
                        "Static methods, constructors and final classes cannot be replaced here: the agent"
                                + " could not be attached ("
                                + rootOf(said) + ").",
                        CURE);
            }
        } catch (IOException e) {
            throw new MisuseException(
                    "The agent that replaces static methods could not be attached: " + e + ".", CURE, e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new MisuseException("Attaching the agent was interrupted.", CURE, e);
        } finally {
            delete(jar);
        }
    }

    /** The innermost cause in a stack trace, which says more than the reflection around it. */
    private static String rootOf(String said) {
        String root = "no reason given";
        for (String line : said.lines().toList()) {
            if (line.startsWith("Caused by: ") || root.equals("no reason given")) {
                root = line.replaceFirst("^(Caused by: |Exception in thread \"main\" )", "");
            }
        }
        return root;
    }

    private static void delete(@Nullable Path jar) {
        try {
            if (jar != null && !Files.deleteIfExists(jar)) {
                jar.toFile().deleteOnExit();
            }
        } catch (IOException e) {
            // Some systems keep the file of a loaded agent open; it goes when the JVM ends.
            jar.toFile().deleteOnExit();
        }
    }

    private static void writeAgentJar(Path jar) throws IOException {
        Manifest manifest = new Manifest();
        Attributes attributes = manifest.getMainAttributes();
        attributes.put(Attributes.Name.MANIFEST_VERSION, "1.0");
        attributes.putValue("Agent-Class", Agent.class.getName());
        attributes.putValue("Can-Retransform-Classes", "true");
        attributes.putValue("Can-Redefine-Classes", "true");
        try (OutputStream file = Files.newOutputStream(jar);
                JarOutputStream out = new JarOutputStream(file, manifest)) {
            for (Class<?> type : new Class<?>[] {Agent.class, Attacher.class}) {
                String name = type.getName().replace('.', '/') + ".class";
                out.putNextEntry(new JarEntry(name));
                try (InputStream in = type.getResourceAsStream(type.getSimpleName() + ".class")) {
                    in.transferTo(out);
                }
                out.closeEntry();
            }
        }
    }
}
