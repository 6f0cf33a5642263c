package dev.zelotype.journal;

import java.util.function.Consumer;

/**
 * For readers of journals: receives the lines of one in their order. What it does not override is ignored.
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
     * A sink that takes scenes alone.
     *
     * @param scenes is given each
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
     * A scene that could be read.
     *
     * @param scene the scene
     */
    default void add(JournalScene scene) {}

    /**
     * A claim that was held against a real object.
     *
     * @param claim the claim
     */
    default void add(JournalClaim claim) {}

    /**
     * What a challenge of the tests has found. Of several, the last is the newest of its file.
     *
     * @param challenge the findings
     */
    default void add(JournalChallenge challenge) {}
}
