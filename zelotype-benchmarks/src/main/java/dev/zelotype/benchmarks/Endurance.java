package dev.zelotype.benchmarks;

import dev.zelotype.journal.JournalException;
import dev.zelotype.journal.JournalReader;
import dev.zelotype.journal.JournalWriter;
import dev.zelotype.journal.Losses;
import dev.zelotype.report.site.Site;
import dev.zelotype.tools.WholeFiles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/**
 * What journals survive: damage of every kind, JVMs that are killed, several JVMs that write together, a full disk.
 * Writes the results to a page. Fails if anything was lost unnecessarily, or if anything but a message was printed.
 */
public final class Endurance {

    private static final int SCENES = 40;
    private static final int DAMAGED = 3_400;
    private static final int KILLED = 30;
    private static final int WRITERS = 4;
    private static final int OF_WRITER = 500;
    /** In blocks of one kilobyte. */
    private static final int FULL = 400;

    private final Random random = new Random(7);
    private final Path folder;
    private final List<String> rows = new ArrayList<>();

    private Endurance(Path folder) {
        this.folder = folder;
    }

    /** Runs everything without arguments. With a folder and a number, writes scenes into the folder. */
    public static void main(String[] arguments) throws Exception {
        if (arguments.length == 2) {
            JournalWriter writer = new JournalWriter(Path.of(arguments[0]), null);
            int written = 0;
            for (int i = 0; i < Integer.parseInt(arguments[1]); i++) {
                try {
                    writer.write(MillionCalls.scene(i));
                    written++;
                } catch (JournalException e) {
                    // As a test run does: it continues, and a later line says how many scenes are missing.
                    System.out.println(e.getMessage());
                }
            }
            System.out.println("written " + written);
            return;
        }
        Path folder = WholeFiles.temporaryFolder("zelotype-endurance");
        try {
            Endurance all = new Endurance(folder);
            all.damaged();
            all.killed();
            all.together();
            all.full();
            Files.writeString(Path.of(arguments[0]), all.page());
        } finally {
            WholeFiles.delete(folder);
        }
    }

    private String page() {
        return """
                # What journals survive

                Written by `zelotype-benchmarks/endurance`, which runs on any machine, and fails if more is lost
                than necessary. Each journal was read, and a report was written from it.

                | what | how often | result |
                |---|---|---|
                %s

                The [performance page](performance.md) has the figures of an archive of 10,000 tests and a million calls.
                """.formatted(String.join("\n", rows));
    }

    private void row(String what, int times, String result) {
        rows.add("| " + what + " | " + String.format(Locale.ROOT, "%,d", times) + " | " + result + " |");
    }

    private static void must(boolean holds, String otherwise) {
        if (!holds) {
            throw new IllegalStateException(otherwise);
        }
    }

    private record Read(int scenes, Losses losses) {}

    /** Reads a journal and writes its report. */
    private Read read(Path journal) throws IOException {
        int[] scenes = {0};
        Losses losses;
        Path site = folder.resolve("site");
        try (Site report = new Site(site, "Endurance")) {
            losses = JournalReader.read(journal, scene -> {
                report.add(scene);
                scenes[0]++;
            });
            report.finish();
        }
        WholeFiles.delete(site);
        return new Read(scenes[0], losses);
    }

    private static Optional<Path> file(Path journal) throws IOException {
        try (Stream<Path> files = Files.list(journal)) {
            return files.filter(each -> each.toString().endsWith(".jsonl")).findFirst();
        }
    }

    private void damaged() throws IOException {
        Path whole = folder.resolve("whole");
        JournalWriter writer = new JournalWriter(whole, null);
        for (int i = 0; i < SCENES; i++) {
            writer.write(MillionCalls.scene(i));
        }
        byte[] content = Files.readAllBytes(file(whole).orElseThrow());
        Path journal = Files.createDirectory(folder.resolve("damaged"));
        TreeMap<String, Integer> times = new TreeMap<>();
        int fewest = SCENES;
        int unread = 0;
        for (int i = 0; i < DAMAGED; i++) {
            String how = List.of("cut off", "bytes changed", "a part taken out", "a part twice", "zeros")
                    .get(i % 5);
            Files.write(journal.resolve("night.jsonl"), damaged(content, how));
            times.merge(how, 1, Integer::sum);
            try {
                Read read = read(journal);
                fewest = Math.min(fewest, read.scenes());
                must(read.scenes() >= SCENES - 2 || !read.losses().isEmpty(), how + ": scenes are lost without a word");
            } catch (JournalException e) {
                // Its first line is missing, as the message says.
                unread++;
            }
        }
        row(
                "a journal of " + SCENES + " tests is damaged: " + String.join(", ", times.keySet()),
                DAMAGED,
                "no stack trace; " + unread + " refused with a message, the others read except for damaged scenes");
    }

    private byte[] damaged(byte[] content, String how) {
        int at = random.nextInt(content.length);
        int length = Math.min(1 + random.nextInt(5_000), content.length - at);
        return switch (how) {
            case "cut off" -> Arrays.copyOf(content, at);
            case "a part taken out" -> joined(content, at, at + length, new byte[0]);
            case "a part twice" -> joined(content, at, at, Arrays.copyOfRange(content, at, at + length));
            case "zeros" -> joined(content, at, at + length, new byte[length]);
            default -> {
                byte[] changed = content.clone();
                for (int i = 0; i < 20; i++) {
                    changed[random.nextInt(changed.length)] = (byte) random.nextInt();
                }
                yield changed;
            }
        };
    }

    private static byte[] joined(byte[] content, int end, int begin, byte[] between) {
        byte[] all = new byte[end + between.length + content.length - begin];
        System.arraycopy(content, 0, all, 0, end);
        System.arraycopy(between, 0, all, end, between.length);
        System.arraycopy(content, begin, all, end + between.length, content.length - begin);
        return all;
    }

    private Process writing(Path journal, int scenes, String... before) throws IOException {
        List<String> command = new ArrayList<>(List.of(before));
        List<String> java = List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                System.getProperty("java.class.path"),
                Endurance.class.getName(),
                journal.toString(),
                String.valueOf(scenes));
        if (before.length == 0) {
            command.addAll(java);
        } else {
            command.set(command.size() - 1, before[before.length - 1] + " exec '" + String.join("' '", java) + "'");
        }
        return new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("said.txt").toFile())
                .start();
    }

    private void killed() throws IOException, InterruptedException {
        int lost = 0;
        int scenes = 0;
        for (int i = 0; i < KILLED; i++) {
            Path journal = folder.resolve("killed-" + i);
            Process process = writing(journal, 1_000_000);
            Thread.sleep(400 + random.nextInt(600));
            process.destroyForcibly().waitFor();
            if (!Files.exists(journal) || file(journal).isEmpty()) {
                // The run failed completely.
                continue;
            }
            Read read = read(journal);
            scenes += read.scenes();
            must(
                    read.losses().scenes() <= 1,
                    "a JVM that is killed loses more than the scene it writes: "
                            + read.losses().lines());
            lost += read.losses().scenes();
            WholeFiles.delete(journal);
        }
        must(scenes > 0, "no JVM wrote anything before it was killed");
        row(
                "a JVM is killed while it writes (`kill -9`)",
                KILLED,
                String.format(
                        Locale.ROOT,
                        "%,d scenes are read; %d times the scene that was being written is lost",
                        scenes,
                        lost));
    }

    private void together() throws IOException, InterruptedException {
        Path journal = folder.resolve("together");
        List<Process> all = new ArrayList<>();
        for (int i = 0; i < WRITERS; i++) {
            all.add(writing(journal, OF_WRITER));
        }
        for (Process each : all) {
            must(each.waitFor(5, TimeUnit.MINUTES) && each.exitValue() == 0, "a writer fails while others write");
        }
        Read read = read(journal);
        must(read.scenes() == WRITERS * OF_WRITER && read.losses().isEmpty(), "writers lose scenes while others write");
        row(WRITERS + " JVMs write into one folder at the same time", 1, "all " + read.scenes() + " scenes are read");
    }

    /** A limit on the file size affects a writer like a full disk, and needs no privileges. */
    private void full() throws IOException, InterruptedException {
        Path journal = folder.resolve("full");
        Process process = writing(journal, 200, "bash", "-c", "ulimit -f " + FULL + ";");
        must(process.waitFor(5, TimeUnit.MINUTES) && process.exitValue() == 0, "a full disk ends the JVM");
        String said = Files.readString(folder.resolve("said.txt"));
        Read read = read(journal);
        must(
                read.scenes() > 0 && said.contains("written " + read.scenes()),
                "a full disk damages what was written: " + said);
        row(
                "the disk is full (`ulimit -f " + FULL + "`)",
                1,
                read.scenes() + " of 200 scenes are read, exactly those that were written completely");
    }
}
