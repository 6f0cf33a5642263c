package dev.zelotype.junit;

import dev.zelotype.Scene;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.journal.JournalScene.Outcome;
import dev.zelotype.journal.JournalWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.opentest4j.TestAbortedException;

/**
 * Writes each scene into the journal of this JVM, if there is to be one.
 */
final class Journals {

    private static final Map<String, JournalWriter> WRITERS = new ConcurrentHashMap<>();

    private Journals() {}

    static void write(ExtensionContext context, Scene scene, List<String> notes, @Nullable Throwable failure) {
        Optional<String> folder = context.getConfigurationParameter(Settings.JOURNAL);
        if (folder.isEmpty()) {
            return;
        }
        String test = context.getRequiredTestClass().getName() + "#"
                + context.getRequiredTestMethod().getName();
        String group = context.getParent().map(ExtensionContext::getDisplayName).orElse("");
        WRITERS.computeIfAbsent(folder.get(), name -> new JournalWriter(Path.of(name), Settings.mask(context)))
                .write(JournalScene.of(test, scene.conversation().withNotes(notes))
                        .title(context.getDisplayName())
                        .group(group)
                        .ended(outcome(failure), firstLine(failure))
                        .build());
    }

    private static Outcome outcome(@Nullable Throwable failure) {
        return failure == null
                ? Outcome.PASSED
                : failure instanceof TestAbortedException ? Outcome.ABORTED : Outcome.FAILED;
    }

    private static String firstLine(@Nullable Throwable failure) {
        return failure == null
                ? ""
                : String.valueOf(failure.getMessage()).lines().findFirst().orElse("");
    }
}
