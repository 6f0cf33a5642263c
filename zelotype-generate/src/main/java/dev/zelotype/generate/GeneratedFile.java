package dev.zelotype.generate;

import java.nio.file.Path;
import java.util.List;

/**
 * For builds and tools: the actual or planned result for one file.
 *
 * @param file the file
 * @param state its state compared with what was generated
 * @param difference what would change in a stale or edited file: lines marked with {@code +} and {@code -}, with
 *     context lines; otherwise empty
 * @since 0.2
 */
public record GeneratedFile(Path file, State state, List<String> difference) {

    /**
     * Copies the list.
     *
     * @param file the file
     * @param state its state compared with what was generated
     * @param difference what would change in it
     */
    public GeneratedFile {
        difference = List.copyOf(difference);
    }

    /** The state of a file on disk compared with what was generated. */
    public enum State {
        /** It does not exist yet. */
        NEW("new"),
        /** It was generated, and its type has changed since. */
        STALE("stale"),
        /** It is up to date. */
        SAME("up to date"),
        /** It was generated, and edited by hand since. */
        EDITED("edited by hand"),
        /** It was written by hand, and is never overwritten. */
        FOREIGN("not ours"),
        /** It was generated for a type that no longer exists. */
        VANISHED("its type is gone");

        private final String words;

        State(String words) {
            this.words = words;
        }

        /**
         * Tells whether a file in this state is written.
         *
         * @param force whether files edited by hand are overwritten as well
         * @return false for a file that is left alone
         */
        public boolean isWritten(boolean force) {
            return this == NEW || this == STALE || force && this == EDITED;
        }

        /**
         * Returns a description of the state.
         *
         * @return a few words
         */
        public String words() {
            return words;
        }
    }
}
