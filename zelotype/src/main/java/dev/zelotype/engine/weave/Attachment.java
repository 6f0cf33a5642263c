package dev.zelotype.engine.weave;

import dev.zelotype.error.MisuseException;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.lang.instrument.Instrumentation;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.jar.Attributes;
import java.util.jar.JarEntry;
import java.util.jar.JarOutputStream;
import java.util.jar.Manifest;
import org.jspecify.annotations.Nullable;

/**
 * Gets the JVM's instrumentation: from {@code -javaagent}, else by attaching to this JVM from another one.
 */
public final class Attachment {

    private static final String CURE = "start the JVM of the tests with -javaagent:/path/to/zelotype.jar"
            + " (Surefire: <argLine>-javaagent:${dev.zelotype:zelotype:jar}</argLine> with the goal dependency:properties)";
    private static final int PATIENCE_SECONDS = 30;
    private static final List<String> FOR_ALL_JVMS =
            List.of("JAVA_TOOL_OPTIONS", "JDK_JAVA_OPTIONS", "_JAVA_OPTIONS", "CLASSPATH");

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
                            + " does not allow agents to be attached while it runs.",
                    CURE);
        }
        return known;
    }

    static @Nullable Instrumentation known() {
        try {
            // The agent's class belongs to the system class loader, even if this library belongs to another loader.
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
        Path output = null;
        try {
            jar = Files.createTempFile("zelotype-agent", ".jar");
            writeAgentJar(jar);
            output = Files.createTempFile("zelotype-agent", ".txt");
            Process process = helper(jar)
                    .redirectErrorStream(true)
                    .redirectOutput(output.toFile())
                    .start();
            boolean ended = process.waitFor(PATIENCE_SECONDS, TimeUnit.SECONDS);
            if (!ended) {
                process.destroyForcibly();
            }
            if (!ended || process.exitValue() != 0) {
                throw new MisuseException(
                        "Static methods, constructors and final classes cannot be replaced here: the agent"
                                + " could not be attached ("
                                + (ended
                                        ? rootOf(Files.readString(output))
                                        : "no answer within " + PATIENCE_SECONDS + " s")
                                + ").",
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
            delete(output);
        }
    }

    /** The other JVM, which ignores options that users set for all JVMs. */
    private static ProcessBuilder helper(Path jar) {
        ProcessBuilder helper = new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                jar.toString(),
                Attacher.class.getName(),
                String.valueOf(ProcessHandle.current().pid()),
                jar.toString());
        FOR_ALL_JVMS.forEach(helper.environment()::remove);
        return helper;
    }

    /**
     * The innermost cause in a stack trace, which is more useful than the surrounding reflection and the first lines of
     * output.
     */
    private static String rootOf(String said) {
        String root = "no reason given";
        int weight = 0;
        for (String line : said.lines().toList()) {
            int its = line.startsWith("Caused by: ") ? 3 : line.matches("(Exception|Error).*") ? 2 : 1;
            if (line.contains("VM warning")
                    || line.startsWith("Picked up ")
                    || its < weight
                    || its == 1 && weight == 1) {
                continue;
            }
            weight = its;
            root = line.replaceFirst("^(Caused by: |Exception in thread \"main\" )", "");
        }
        return root;
    }

    private static void delete(@Nullable Path jar) {
        try {
            if (jar != null && !Files.deleteIfExists(jar)) {
                jar.toFile().deleteOnExit();
            }
        } catch (IOException e) {
            // Some systems keep the file of a loaded agent open; it is deleted when the JVM ends.
            jar.toFile().deleteOnExit();
        }
    }

    /** A jar that serves as an agent, at the start of a JVM or later. */
    public static void writeAgentJar(Path jar) throws IOException {
        Manifest manifest = new Manifest();
        Attributes attributes = manifest.getMainAttributes();
        attributes.put(Attributes.Name.MANIFEST_VERSION, "1.0");
        attributes.putValue("Premain-Class", Agent.class.getName());
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
