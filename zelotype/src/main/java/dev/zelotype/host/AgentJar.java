package dev.zelotype.host;

import dev.zelotype.engine.weave.Attachment;
import java.io.IOException;
import java.nio.file.Path;

/**
 * For hosts that start JVMs: a small agent jar to start them with, so that nothing need be attached later and
 * statements link no lambdas. Safe for use from any thread.
 *
 * <pre>{@code
 * Path jar = Files.createTempDirectory("observatory").resolve("agent.jar");
 * AgentJar.write(jar);
 * String option = "-javaagent:" + jar;
 * }</pre>
 *
 * @since 0.2
 */
public final class AgentJar {

    private AgentJar() {}

    /**
     * Writes the jar. The JVM takes everything else from its class path, which must contain Zelotype.
     *
     * @param jar the file; replaced if it exists
     * @throws IOException if the file cannot be written
     */
    public static void write(Path jar) throws IOException {
        Attachment.writeAgentJar(jar);
    }
}
