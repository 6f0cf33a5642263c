package dev.zelotype.report;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import dev.zelotype.conversation.Conversation;
import dev.zelotype.conversation.Ending;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.conversation.Role;
import dev.zelotype.doubles.DoubledType;
import dev.zelotype.journal.JournalChallenge;
import dev.zelotype.journal.JournalClaim;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.journal.JournalScene.Outcome;
import dev.zelotype.report.coverage.Coverage;
import dev.zelotype.report.coverage.Coverage.Order;
import dev.zelotype.report.coverage.CoverageTable;
import dev.zelotype.report.site.ReportException;
import dev.zelotype.report.site.Site;
import dev.zelotype.report.story.Item;
import dev.zelotype.report.story.Mermaid;
import dev.zelotype.report.story.Picture;
import dev.zelotype.report.story.Story;
import dev.zelotype.report.story.TextStory;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.w3c.dom.Document;
import org.w3c.dom.NodeList;

/**
 * The content of a journal is shown as pictures, tables and a site, and cannot do harm there.
 */
class ReportTest {

    /** Addresses that are only identifiers, and are not fetched. */
    private static final String NAMES_NOT_PLACES =
            "https?://(www\\.w3\\.org|www\\.chartjs\\.org|github\\.com/(chartjs|kurkle))[^ \"]*";

    @TempDir
    Path folder;

    private final JournalScene troubled = Scenes.troubled();

    @Test
    void repeated_calls_are_folded_and_a_range_can_be_cut_out() {
        Story story = Story.of(troubled);
        assertThat(story.items()).hasSize(14);
        Story folded = story.folded();
        assertThat(folded.items()).hasSize(7);
        assertThat(folded.items().get(2)).isInstanceOfSatisfying(Item.Loop.class, loop -> {
            assertThat(loop.times()).isEqualTo(4);
            assertThat(loop.messages()).extracting(Item.Message::text).containsExactly("humidityAt(\"0\")", "rate()");
        });
        assertThat(folded.items().stream().mapToInt(Item::calls).sum())
                .isEqualTo(troubled.conversation().calls().size());
        assertThat(story.cut(3, 4).items())
                .map(item -> ((Item.Message) item).number())
                .containsExactly(3, 4);
        assertThat(story.cut(13, 99).items())
                .map(item -> ((Item.Message) item).role())
                .containsExactly(Role.UNEXPECTED, Role.MISSING);
    }

    @Test
    void the_text_tells_calls_apart_without_colour() {
        List<String> lines = TextStory.of(Story.of(troubled).folded(), 100, TextStory.Signs.DRAWN).stream()
                .map(line -> (line.head() + line.message()).stripTrailing())
                .toList();
        assertThat(lines).allMatch(line -> line.length() <= 100).contains("   NightRun  dome      mount     weather");
        String all = String.join("\n", lines);
        assertThat(all)
                .containsPattern("\n 1 │─+▷│ +· humidityAt\\(\"north\"\\) = 40 +NightRun.java:30\n")
                .containsPattern("\n 2 │━+▶│[ │]+✔ open\\(\\) +NightRun.java:31\n")
                .containsPattern("4 times, calls 3 to 10:\n")
                .contains("humidityAt(\"0\") = 0 (by default)")
                .contains("rate() threw Fault: stuck")
                .containsPattern("13 │━+✘│[ │]+✘ unexpected: close\\(\\) ")
                .containsPattern(
                        "\n   │╌+\\?│[ │]+\\? missing: park\\(\\): 1 call expect\\.\\.\\. +NightRunTest.java:22\n")
                .endsWith("━━▶ ✔ expected   ──▷ · allowed   ━━✘ ✘ unexpected   ╌╌? ? missing");
        assertThat(TextStory.of(Story.of(troubled), 60, TextStory.Signs.ASCII))
                .allMatch(line -> StandardCharsets.US_ASCII.newEncoder().canEncode(line.head()))
                .anyMatch(line -> line.head().contains("x|") && line.message().startsWith("x unexpected: clo"));
    }

    @Test
    void mermaid_keeps_what_could_break_out_as_character_codes() {
        String text = Mermaid.of(Story.of(troubled).folded());
        assertThat(text)
                .startsWith("sequenceDiagram\n    participant p0 as NightRun (subject)\n")
                .contains("    p0->>p1: ✔ 2 open()\n")
                .contains("    loop 4 times\n        p0-)p3: · 3 humidityAt(#34;0#34;)\n")
                .contains("    p0-xp1: ✘ 13 close() [unexpected]\n")
                .contains("    p0--xp2: ? park(): 1 call expected, there was none [missing]\n")
                .contains("#60;/script#62;");
        assertThat(text.lines())
                .allMatch(line -> line.matches("sequenceDiagram| +(participant p\\d as .*|loop \\d+ times|end"
                        + "|p\\d(->>|-\\)|-x|--x|-->>)p\\d: .*)"));
    }

    @Test
    void pictures_are_drawn_without_a_screen() throws Exception {
        ByteArrayOutputStream svg = new ByteArrayOutputStream();
        Picture.draw(Story.of(troubled).folded(), Picture.Format.SVG, svg);
        DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
        factory.setFeature("http://apache.org/xml/features/nonvalidating/load-external-dtd", false);
        Document picture = factory.newDocumentBuilder().parse(new ByteArrayInputStream(svg.toByteArray()));
        String words = picture.getDocumentElement().getTextContent().replace('\u00a0', ' ');
        assertThat(words)
                .contains("✔ 2 open()", "= 0 (by default)", "«mock»", "unexpected", "missing", "4 times", "</script>");
        for (String harmful : List.of("script", "image", "img", "foreignObject")) {
            NodeList found = picture.getElementsByTagName(harmful);
            assertThat(found.getLength()).as(harmful).isZero();
        }
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        Picture.draw(Story.of(troubled), Picture.Format.PNG, png);
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(png.toByteArray()));
        assertThat(image.getHeight()).isGreaterThan(400);
    }

    @Test
    void coverage_counts_tests_and_not_calls() {
        Coverage coverage = new Coverage();
        coverage.add(troubled);
        coverage.add(troubled);
        coverage.add(new Scenes()
                .call("weather", "note(String)", Scenes.FAILURE, "", Ending.ANSWERED)
                .scene("a note fails", JournalScene.Outcome.PASSED));
        String type = "dev.observatory.Weather";
        coverage.add(JournalClaim.of(type, "humidityAt(String)", "station.humidityAt(String)")
                .call("humidityAt(String)")
                .build());
        coverage.add(JournalClaim.of(type, "humidityAt(String)", "station.humidityAt(\"x\")")
                .call("humidityAt(\"x\")")
                .broken("no")
                .build());
        assertThat(CoverageTable.csv(coverage.rows(Order.NAME))).isEqualTo("""
                type,method,supposed,expected,verified,called,answers,backed,broken,failed
                "dev.observatory.Dome","close()",0,0,0,2,0,0,0,0
                "dev.observatory.Dome","open()",0,2,0,2,0,0,0,0
                "dev.observatory.Mount","park()",0,0,2,0,0,0,0,0
                "dev.observatory.Mount","rate()",0,0,0,2,0,0,0,2
                "dev.observatory.Mount","track(String, int, int)",0,0,0,0,0,0,0,0
                "dev.observatory.Weather","humidityAt(String)",2,0,0,2,1,1,0,0
                "dev.observatory.Weather","note(String)",0,0,0,3,0,0,0,1
                """);
        coverage.add(JournalClaim.of(type, "humidityAt(String)", "w.humidityAt(String)")
                .call("humidityAt(String)")
                .broken("no")
                .build());
        assertThat(coverage.rows(Order.NAME).get(5).broken())
                .as("broken once is broken")
                .isOne();
        assertThat(coverage.rows(Order.LEAST)).extracting(Coverage.Row::called).isSorted();
        coverage.add(JournalScene.of(
                        "RowsTest#reads",
                        Conversation.builder()
                                .add(DoubledType.of("java.sql.ResultSet", List.of("next()")))
                                .build())
                .build());
        assertThat(Coverage.own(coverage.rows(Order.NAME)))
                .extracting(Coverage.Row::type)
                .contains(type)
                .doesNotContain("java.sql.ResultSet");
        List<Coverage.Row> ofPlatform = coverage.rows(Order.NAME).stream()
                .filter(Coverage.Row::isOfPlatform)
                .toList();
        assertThat(Coverage.own(ofPlatform))
                .as("where nothing else was doubled")
                .hasSize(1)
                .isEqualTo(ofPlatform);
        assertThat(coverage.rows(Order.MOST).get(7).called()).isZero();
        assertThat(CoverageTable.json(Coverage.own(coverage.rows(Order.NAME))))
                .contains("\"percent\" : 71.4", "\"verified\" : 2");
    }

    /** The data of a script file, read as JSON between its round brackets. */
    private static String data(Path file) throws IOException {
        String text = Files.readString(file);
        String json = text.substring(text.indexOf('(') + 1, text.lastIndexOf(')'));
        try (JsonParser parser = new JsonFactory().createParser(json.replaceFirst("^\\d+, ", ""))) {
            while (parser.nextToken() != null) {
                parser.getText();
            }
        }
        return text;
    }

    @Test
    void a_site_holds_every_test_and_nothing_hostile_gets_out_of_its_data() throws IOException {
        Path into = folder.resolve("report");
        for (String round : List.of("first", "second")) {
            try (Site site = new Site(into, "Nights & <days>")) {
                for (int i = 0; i < 120; i++) {
                    site.add(
                            i == 60
                                    ? troubled
                                    : new Scenes()
                                            .note(Scenes.HOSTILE)
                                            .scene(round + Scenes.HOSTILE + i, Outcome.PASSED));
                }
                assertThat(into.resolve("index.html").toFile().exists())
                        .as("half a site")
                        .isEqualTo(round.equals("second"));
                assertThat(site.finish()).isEqualTo(into.resolve("index.html"));
            }
        }
        assertThat(folder).isDirectoryNotContaining(path -> !path.equals(into));
        assertThat(into.resolve("index.html"))
                .content()
                .contains("<title>Nights &amp; &lt;days&gt;</title>", "&lt;/script&gt;")
                .doesNotContain("<img");
        String overview = data(into.resolve("data/overview.js"));
        assertThat(overview)
                .contains("\"passed\":119", "\"failed\":1", "second")
                .doesNotContain("<", "\u2028", "first");
        assertThat(data(into.resolve("data/stories-0.js")) + data(into.resolve("data/stories-1.js")))
                .contains("zelotype.stories(0, [", "zelotype.stories(1, [", "a troubled night", "\\u003c/script\\u003e")
                .doesNotContain("</script");
        try (Stream<Path> files = Files.walk(into)) {
            assertThat(files.filter(Files::isRegularFile))
                    .allSatisfy(file -> assertThat(Files.readString(file).replaceAll(NAMES_NOT_PLACES, ""))
                            .as("reaches for no network: " + file)
                            .doesNotContainPattern("(src|href)=\"?(https?:)?//|fetch\\(|XMLHttpRequest"));
        }
        String page = Scenes.page(Story.of(troubled));
        assertThat(page).contains("a troubled night").doesNotContain("<img src=x");
        assertThat(page.split("</script>", -1)).hasSize(3);
    }

    @Test
    void a_share_of_nothing_is_not_told() throws IOException {
        Path into = folder.resolve("report");
        for (boolean disturbed : new boolean[] {false, true}) {
            try (Site site = new Site(into, "Nights")) {
                if (disturbed) {
                    site.add(troubled);
                }
                site.add(new JournalChallenge(
                        0, true, List.of(), disturbed ? List.of(place(JournalChallenge.NOTICED)) : List.of()));
                site.finish();
            }
        }
        List<String> reports = Files.readAllLines(into.resolve("data/history.jsonl"));
        assertThat(reports).hasSize(2);
        assertThat(reports.get(0)).contains("\"tests\":0").doesNotContain("covered", "noticed");
        assertThat(reports.get(1)).contains("\"covered\":", "\"noticed\":100");
    }

    private static JournalChallenge.Place place(String found) {
        return new JournalChallenge.Place(
                found, "lost", "mount", "dev.observatory.Mount", "rate()", "NightRun.java:33", "", "", List.of());
    }

    @Test
    void a_site_never_replaces_anything_but_a_site() throws IOException {
        Files.writeString(folder.resolve("thesis.txt"), "years of work");
        assertThatThrownBy(() -> new Site(folder, "x"))
                .isInstanceOf(ReportException.class)
                .hasMessageContaining("contains files that do not belong to a report");
        Site abandoned = new Site(folder.resolve("new"), "x");
        abandoned.add(troubled);
        abandoned.close();
        assertThat(folder)
                .isDirectoryContaining("glob:**thesis.txt")
                .isDirectoryNotContaining(path -> !path.endsWith("thesis.txt"));
    }

    @Test
    void calls_of_several_callers_and_of_none_are_drawn() {
        Story story = Story.of(new Scenes().scene("silent", Outcome.ABORTED));
        assertThat(story.items()).isEmpty();
        assertThat(story.lifelines())
                .extracting(line -> line.name() + " " + line.role())
                .containsExactly("NightRun subject");
        assertThat(TextStory.of(story, 80, TextStory.Signs.DRAWN)).isNotEmpty();
        assertThat(Scenes.page(story)).contains("silent");
        RecordedCall call = troubled.conversation().calls().get(0);
        assertThat(call.caller()).as("a lambda's class").contains("$$Lambda");
        assertThat(Story.of(troubled).lifelines().get(0).name()).isEqualTo("NightRun");
    }
}
