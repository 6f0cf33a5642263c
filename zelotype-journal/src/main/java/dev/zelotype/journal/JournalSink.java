package dev.zelotype.journal;

import java.util.function.Consumer;

/**
 * For readers of journals: receives the contents of a journal in order. Methods that are not overridden ignore theirs.
 *
 * <pre>{@code
 * JournalReader.read(folder, new JournalSink() {
 *     public void add(JournalClaim claim) {
 *         System.out.println(claim.text());
 *     }
 * });
 * }</pre>
 *
 * @since 0.2
 */
public interface JournalSink {

    /**
     * Returns a sink for scenes only.
     *
     * @param scenes is given each scene
     * @return the sink
     */
    static JournalSink ofScenes(Consumer<JournalScene> scenes) {
        return new JournalSink() {
            @Override
            public void add(JournalScene scene) {
                scenes.accept(scene);
            }
        };
    }

    /**
     * Receives a scene.
     *
     * @param scene the scene
     */
    default void add(JournalScene scene) {}

    /**
     * Receives a claim that was checked against a real object.
     *
     * @param claim the claim
     */
    default void add(JournalClaim claim) {}

    /**
     * Receives the result of a challenge. If a file contains several, the last one is the newest.
     *
     * @param challenge the findings
     */
    default void add(JournalChallenge challenge) {}
}
