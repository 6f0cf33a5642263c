package dev.zelotype.cli;

import dev.zelotype.conversation.ConversationStatements;
import dev.zelotype.conversation.Role;
import dev.zelotype.doubles.NamedDouble;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.report.site.StoryPage;
import dev.zelotype.report.story.Mermaid;
import dev.zelotype.report.story.Picture;
import dev.zelotype.report.story.Story;
import dev.zelotype.report.story.TextStory;
import dev.zelotype.tools.Closest;
import dev.zelotype.tools.TestNames;
import java.io.BufferedWriter;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/**
 * Draws the conversations of tests.
 */
@Command(
        name = "story",
        header = "Draws the calls between the subject of a test and its doubles, as a sequence diagram.",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description = {
            "Draws the calls between the subject of a test and its doubles, as a sequence diagram. Reads the "
                    + "journal",
            "of a test run with zelotype.journal=FOLDER."
        },
        exitCodeListHeading = "%nExit codes:%n",
        exitCodeList = {"0:done", "1:no test fits", "2:wrong use"},
        footerHeading = "%nExamples:%n",
        footer = {
            "  zelotype story --test closes_when_humid",
            "  zelotype story --class NightRunTest --outcome failed --format html --into story.html",
            "  zelotype story --test long_night --calls 100-140 --format svg --into night.svg",
            "  zelotype story --test a_clear_night --format java --double catalog --as claims"
        })
final class StoryCommand implements Callable<Integer> {

    private static final int MOST_DRAWN = 400;
    private static final int MOST_NAMED = 20;

    private final Terminal terminal;

    @Spec
    private CommandSpec spec;

    @Mixin
    private JournalOption journal = new JournalOption();

    @Option(names = "--test", paramLabel = "TEXT", description = "Tests with this in their title or method name.")
    private String test = "";

    @Option(names = "--class", paramLabel = "TEXT", description = "Tests of classes with this in their name or title.")
    private String testClass = "";

    @Option(names = "--outcome", paramLabel = "OUTCOME", description = "Tests that passed, failed or aborted.")
    private String outcome = "";

    @Option(
            names = "--format",
            paramLabel = "FORMAT",
            defaultValue = "text",
            description = "text, mermaid, svg, png, html (to step through), java (statements to paste). Default:"
                    + " ${DEFAULT-VALUE}.")
    private String format;

    @Option(
            names = "--into",
            paramLabel = "FILE",
            description = "The file to write; needed for png. Default: the terminal.")
    private Path into;

    @Option(names = "--calls", paramLabel = "FIRST-LAST", description = "Only these calls, for example 100-140.")
    private String calls = "";

    @Option(
            names = "--as",
            paramLabel = "FORM",
            description =
                    "The statements for java: suppositions (of answers), checks (of commands), both, or claims (a "
                            + "method for each double, to check against the real object). Default: both.")
    private String form = "";

    @Option(names = "--double", paramLabel = "NAME", description = "With java: only statements about this double.")
    private String receiver = "";

    @Mixin
    private SourcesOption sources = new SourcesOption();

    @Option(names = "--unfold", description = "Shows repeated calls individually.")
    private boolean unfold;

    StoryCommand(Terminal terminal) {
        this.terminal = terminal;
    }

    @Override
    public Integer call() throws IOException {
        refuseWrongUse();
        List<JournalScene> found = new ArrayList<>();
        List<String> names = new ArrayList<>();
        Set<String> all = new LinkedHashSet<>();
        boolean many = format.equals("text") || format.equals("mermaid");
        journal.read(terminal, scene -> {
            all.add(method(scene));
            if (fits(scene)) {
                names.add(scene.test() + "  " + scene.title());
                if (many && into == null) {
                    print(story(scene));
                } else if (many || found.isEmpty()) {
                    found.add(scene);
                }
            }
        });
        if (names.isEmpty()) {
            List<String> closest = test.isEmpty() ? List.of() : Closest.to(test, all);
            terminal.err()
                    .println("No test in " + journal.path() + " fits. "
                            + (closest.isEmpty()
                                    ? "Leave --test, --class or --outcome out."
                                    : "Did you mean --test " + String.join(" or --test ", closest) + "?"));
            return 1;
        }
        if (!many && names.size() > 1) {
            throw new ParameterException(spec.commandLine(), severalFit(names));
        }
        if (into != null) {
            refuseTooLarge(found.get(0));
            OutputFile.write(into, out -> write(found, out));
            terminal.out().println("written to " + into);
        } else if (!many) {
            refuseTooLarge(found.get(0));
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            write(found, out);
            terminal.out().println(out.toString(StandardCharsets.UTF_8));
        }
        return 0;
    }

    private void refuseWrongUse() {
        OptionCheck.refuseNoFormat(spec, format, "text", "mermaid", "svg", "png", "html", "java");
        if (!format.equals("java") && !(form.isEmpty() && receiver.isEmpty())) {
            throw new ParameterException(spec.commandLine(), "--as and --double go with --format java.");
        }
        form();
        if (!outcome.isEmpty()) {
            OptionCheck.constant(spec, "outcome", outcome, JournalScene.Outcome.values());
        }
        if (!calls.matches("|\\d{1,9}-\\d{1,9}") || !calls.isEmpty() && (first() < 1 || last() < first())) {
            throw new ParameterException(
                    spec.commandLine(),
                    "--calls=" + calls + " is not a range: give two numbers, the smaller one first, such as 100-140.");
        }
        OutputFile.refuseFolder(spec, into);
        if (format.equals("png") && into == null) {
            throw new ParameterException(spec.commandLine(), "A png is not for terminals: give a file with --into.");
        }
    }

    private static String severalFit(List<String> names) {
        String shown = String.join("\n  ", names.subList(0, Math.min(MOST_NAMED, names.size())));
        String more = names.size() > MOST_NAMED ? "\n  and " + (names.size() - MOST_NAMED) + " more" : "";
        return names.size() + " tests fit, but a picture shows one. Narrow them with --test or --class:\n  " + shown
                + more;
    }

    private boolean fits(JournalScene scene) {
        String name = scene.test();
        String className = name.contains("#") ? name.substring(0, name.indexOf('#')) : name;
        String method = method(scene);
        return (contains(scene.title(), test)
                        || contains(TestNames.readable(scene.title()), test)
                        || contains(method, test))
                && (contains(scene.group(), testClass) || contains(className, testClass))
                && (outcome.isEmpty() || scene.outcome().name().equalsIgnoreCase(outcome));
    }

    private static String method(JournalScene scene) {
        return scene.test().substring(scene.test().indexOf('#') + 1);
    }

    private static boolean contains(String text, String part) {
        return text.toLowerCase(Locale.ROOT).contains(part.toLowerCase(Locale.ROOT));
    }

    private int first() {
        return Integer.parseInt(calls.split("-")[0]);
    }

    private int last() {
        return Integer.parseInt(calls.split("-")[1]);
    }

    private Story story(JournalScene scene) {
        Story story = Story.of(scene);
        if (!calls.isEmpty()) {
            int all = scene.conversation().calls().size();
            if (first() > all) {
                throw new ParameterException(
                        spec.commandLine(),
                        "--calls=" + calls + " lies beyond the end: the test made " + all + " calls.");
            }
            story = story.cut(first(), last());
        }
        return unfold ? story : story.folded();
    }

    private boolean isDrawn() {
        return format.equals("svg") || format.equals("png");
    }

    private void refuseTooLarge(JournalScene scene) {
        if (isDrawn() && story(scene).items().size() > MOST_DRAWN) {
            throw new ParameterException(
                    spec.commandLine(),
                    "The story has " + scene.conversation().calls().size()
                            + " calls, more than can be looked at in a picture. Draw some, such as --calls 1-100.");
        }
    }

    private void write(List<JournalScene> scenes, OutputStream out) throws IOException {
        Story first = story(scenes.get(0));
        if (isDrawn()) {
            Picture.draw(first, Picture.Format.valueOf(format.toUpperCase(Locale.ROOT)), out);
            return;
        }
        Writer text = new BufferedWriter(new OutputStreamWriter(out, StandardCharsets.UTF_8));
        if (format.equals("java")) {
            text.append(statements(scenes.get(0)));
        } else if (format.equals("html")) {
            StoryPage.write(first, sources.sources(), text);
        } else {
            for (JournalScene scene : scenes) {
                write(story(scene), text);
            }
        }
        text.flush();
    }

    private void write(Story story, Writer text) throws IOException {
        if (format.equals("mermaid")) {
            text.append(Mermaid.of(story));
            return;
        }
        text.append(story.title()).append('\n');
        for (TextStory.Line line : TextStory.of(story, terminal.width(), TextStory.Signs.DRAWN)) {
            text.append((line.head() + line.message()).stripTrailing()).append('\n');
        }
    }

    private String statements(JournalScene scene) {
        ConversationStatements statements = ConversationStatements.of(scene.conversation());
        if (!receiver.isEmpty()
                && scene.conversation().doubles().stream()
                        .noneMatch(each -> each.name().equals(receiver))) {
            throw new ParameterException(
                    spec.commandLine(),
                    "--double=" + receiver + " is none of the test's doubles: "
                            + String.join(
                                    ", ",
                                    scene.conversation().doubles().stream()
                                            .map(NamedDouble::name)
                                            .toList())
                            + ".");
        }
        return (receiver.isEmpty() ? statements : statements.only(receiver)).text(form());
    }

    private ConversationStatements.Form form() {
        return OptionCheck.constant(spec, "form", form.isEmpty() ? "both" : form, ConversationStatements.Form.values());
    }

    private void print(Story story) {
        if (format.equals("mermaid")) {
            terminal.out().print(Mermaid.of(story));
            terminal.out().flush();
            return;
        }
        JournalScene scene = story.scene();
        boolean passed = scene.outcome() == JournalScene.Outcome.PASSED;
        terminal.out()
                .println(terminal.styled("bold", story.title()) + "  "
                        + terminal.styled(
                                passed ? "fg(34)" : "fg(160)", scene.outcome().word()));
        TextStory.Signs signs = terminal.unicode() ? TextStory.Signs.DRAWN : TextStory.Signs.ASCII;
        Links links = new Links(sources.sources(), terminal);
        for (TextStory.Line line : TextStory.of(story, terminal.width(), signs)) {
            String text = line.mark() == null
                    ? terminal.styled("faint", line.head()) + line.message()
                    : line.head() + terminal.styled(style(line.mark()), line.message());
            terminal.out().println(links.in(text.stripTrailing()));
        }
        if (!scene.failure().isEmpty()) {
            terminal.out().println(links.in(terminal.styled("fg(160)", scene.failure())));
        }
        terminal.out().println();
    }

    private static String style(Role mark) {
        return switch (mark) {
            case EXPECTED -> "fg(34)";
            case ALLOWED -> "fg(31)";
            case UNEXPECTED -> "bold,fg(160)";
            case MISSING -> "bold,fg(136)";
        };
    }
}
