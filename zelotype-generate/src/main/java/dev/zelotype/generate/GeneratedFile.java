package dev.zelotype.generate;

import java.nio.file.Path;
import java.util.List;

/**
 * For builds and tools: what became, or would become, of one file.
 *
 * @param file the file
 * @param state how it stands to what was generated
 * @param difference what would change in a stale or edited file: lines marked with {@code +} and {@code -}, with the
 *     lines around them; else empty
 * @since 0.2
 */
public record GeneratedFile(Path file, State state, List<String> difference) {

    /**
     * Copies the list.
     *
     * @param file the file
     * @param state how it stands to what was generated
     * @param difference what would change in it
     */
    public GeneratedFile {
        difference = List.copyOf(difference);
    }

    /** How a file on disk stands to what was generated. */
    public enum State {
        /** It does not exist yet. */
        NEW("new"),
        /** It was generated before, and the type has changed since. */
        STALE("stale"),
        /** It is as it should be. */
        SAME("up to date"),
        /** It was generated, and a person has edited it since. */
        EDITED("edited by hand"),
        /** It was written by hand, and is never overwritten. */
        FOREIGN("not ours"),
        /** It was generated for a type that is not there any more. */
        VANISHED("its type is gone");

        private final String words;

        State(String words) {
            this.words = words;
        }

        /**
         * Whether a file in this state is written.
         *
         * @param force whether files edited by hand are overwritten as well
         * @return false for what stays as it is
         */
        public boolean isWritten(boolean force) {
            return this == NEW || this == STALE || force && this == EDITED;
        }

        /**
         * The state for people.
         *
         * @return a few words
         */
        public String words() {
            return words;
        }
    }
}
