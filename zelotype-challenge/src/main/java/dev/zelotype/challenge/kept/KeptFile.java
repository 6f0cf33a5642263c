package dev.zelotype.challenge.kept;

import dev.zelotype.challenge.change.Baseline;
import dev.zelotype.challenge.change.CallPlace;
import dev.zelotype.challenge.change.Message;
import dev.zelotype.challenge.change.Tried;
import dev.zelotype.challenge.change.Wire;
import dev.zelotype.challenge.error.ChallengeException;
import dev.zelotype.tools.WholeFiles;
import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The runs of a challenge as a file, one message per line, in the folder of a journal. Each shard has its own file.
 */
public final class KeptFile {

    private static final String ENDING = ".runs";
    /** Files of another version are not read, because their meaning may have changed. */
    private static final String FIRST_LINE = "zelotype-challenge 1";

    private KeptFile() {}

    /** Returns the file of a shard in a folder. */
    public static Path in(Path folder, Shard shard) {
        return folder.resolve(
                "challenge" + (shard.isPart() ? "-" + shard.number() + "-of-" + shard.count() : "") + ENDING);
    }

    /** Writes the whole challenge, and replaces an existing file. */
    public static void write(Path folder, KeptRuns runs) {
        Path file = in(folder, runs.shard());
        try {
            WholeFiles.write(file, out -> {
                BufferedWriter lines = new BufferedWriter(new OutputStreamWriter(out, StandardCharsets.UTF_8));
                lines.write(FIRST_LINE);
                lines.newLine();
                for (Message each : messages(runs)) {
                    lines.write(Wire.line(each));
                    lines.newLine();
                }
                lines.flush();
            });
        } catch (IOException e) {
            throw new ChallengeException(file + " cannot be written: " + WholeFiles.reason(e) + ".", e);
        }
    }

    private static List<Message> messages(KeptRuns runs) {
        List<Message> all = new ArrayList<>();
        all.add(runs.head());
        for (Baseline test : runs.tests().values()) {
            test.sites().forEach(site -> all.add(new Message.Called(test.id(), site.asked())));
            all.add(test.done());
            all.add(new Message.Print(test.id(), runs.print(test.id())));
        }
        for (Tried each : runs.tried()) {
            all.add(new Message.Ran(
                    each.disturbance(),
                    each.site().asked(),
                    each.verdict(),
                    each.change(),
                    each.confirms(),
                    each.failedChecks().stream().map(CallPlace::asked).toList(),
                    each.failedOtherwise()));
        }
        all.addAll(runs.said());
        runs.leftOut().forEach(each -> all.add(new Message.Note(each)));
        all.add(new Message.End());
        return all;
    }

    /**
     * Reads a file.
     *
     * @param lost is told why a file is unusable
     * @return null if it does not exist or is unusable
     */
    public static @Nullable KeptRuns read(Path file, Consumer<String> lost) {
        if (!Files.isRegularFile(file)) {
            return null;
        }
        try (BufferedReader lines = Files.newBufferedReader(file)) {
            if (!FIRST_LINE.equals(lines.readLine())) {
                lost.accept(file + " is of another version of Zelotype, so it was not read");
                return null;
            }
            KeptRuns runs = null;
            Baseline test = null;
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                Message message = Wire.message(line);
                if (message instanceof Message.Kept head) {
                    runs = new KeptRuns(head);
                } else if (runs == null) {
                    break;
                } else if (message instanceof Message.Called called) {
                    test = test == null ? new Baseline(called.test()) : test;
                    test.calls(new CallPlace(called.asked()));
                } else if (message instanceof Message.Done done) {
                    test = test == null ? new Baseline(done.test()) : test;
                    test.ran(done);
                } else if (message instanceof Message.Print print && test != null) {
                    runs.add(test, print.print());
                    test = null;
                } else if (message instanceof Message.Ran ran) {
                    runs.add(tried(ran));
                } else if (message instanceof Message.Said said) {
                    runs.add(said);
                } else if (message instanceof Message.Note note) {
                    runs.leftOut(note.text());
                } else if (message instanceof Message.End) {
                    return runs;
                }
            }
        } catch (IOException | RuntimeException e) {
            // Whatever exception a damaged line causes, the line is unusable.
            lost.accept(file + " is damaged, so it was not read");
            return null;
        }
        lost.accept(file + " breaks off, so it was not read");
        return null;
    }

    private static Tried tried(Message.Ran ran) {
        return new Tried(
                ran.disturbance(),
                new CallPlace(ran.asked()),
                ran.verdict(),
                ran.change(),
                ran.confirms(),
                ran.failedChecks().stream().map(CallPlace::new).toList(),
                ran.otherwise());
    }

    /**
     * Reads all files of a folder.
     *
     * @param lost is told which files are unusable, and why
     */
    public static List<KeptRuns> all(Path folder, Consumer<String> lost) {
        List<KeptRuns> all = new ArrayList<>();
        if (!Files.isDirectory(folder)) {
            return all;
        }
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.filter(each -> each.toString().endsWith(ENDING))
                    .sorted()
                    .toList()) {
                KeptRuns runs = read(file, lost);
                if (runs != null) {
                    all.add(runs);
                }
            }
        } catch (IOException e) {
            throw new ChallengeException(folder + " cannot be read: " + WholeFiles.reason(e) + ".", e);
        }
        return all;
    }
}
