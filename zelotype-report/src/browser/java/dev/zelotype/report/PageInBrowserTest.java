package dev.zelotype.report;

import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.conversation.Conversation;
import dev.zelotype.conversation.Ending;
import dev.zelotype.journal.JournalChallenge;
import dev.zelotype.journal.JournalScene.Outcome;
import dev.zelotype.report.site.Site;
import dev.zelotype.report.site.StoryPage;
import dev.zelotype.report.site.Sources;
import dev.zelotype.report.story.Mermaid;
import dev.zelotype.report.story.Story;
import java.io.IOException;
import java.io.InputStream;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Dimension;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.support.ui.WebDriverWait;

/**
 * The site and the story page in a real browser, from the disk and without a network.
 */
class PageInBrowserTest {

    private static ChromeDriver browser;

    @TempDir
    private static Path folder;

    private static String page;

    @BeforeAll
    static void openBrowser() {
        ChromeOptions options = new ChromeOptions();
        options.addArguments("--headless=new", "--no-sandbox", "--disable-gpu", "--disable-dev-shm-usage");
        options.setBinary(System.getProperty("browser.binary", "/usr/bin/chromium"));
        ChromeDriverService service = new ChromeDriverService.Builder()
                .usingDriverExecutable(
                        Path.of(System.getProperty("browser.driver", "/usr/bin/chromedriver")).toFile())
                .build();
        browser = new ChromeDriver(service, options);
        try (Site site = new Site(folder.resolve("site"), "Nights")) {
            for (int i = 0; i < 230; i++) {
                site.add(
                        i == 205
                                ? Scenes.troubled()
                                : new Scenes()
                                        .call("mount", "rate()", "", Scenes.HOSTILE, Ending.DEFAULTED)
                                        .note(Scenes.HOSTILE)
                                        .scene("night " + i + Scenes.HOSTILE, Outcome.PASSED));
            }
            site.add(new JournalChallenge(
                    40,
                    true,
                    List.of(new JournalChallenge.Tested("NightRunTest: a troubled night", 3, 1, 0)),
                    List.of(new JournalChallenge.Place(
                            JournalChallenge.GAP,
                            "lost",
                            "mount",
                            "dev.observatory.Mount",
                            "rate()",
                            "NightRun.java:33",
                            "mount.rate() could be left out" + Scenes.HOSTILE,
                            "verify(mount::park).once();" + Scenes.HOSTILE,
                            List.of("NightRunTest: a troubled night")))));
            page = site.finish().toUri().toString();
        }
    }

    @AfterAll
    static void closeBrowser() {
        browser.quit();
    }

    @BeforeEach
    void wide() {
        browser.manage().window().setSize(new Dimension(1280, 800));
    }

    @AfterEach
    void nothing_hostile_ran_and_nothing_went_wrong() {
        assertThat(browser.findElements(By.cssSelector("img"))).isEmpty();
        assertThat(browser.manage().logs().get(LogType.BROWSER).getAll()).isEmpty();
        assertThat((Boolean) browser.executeScript(
                        "return performance.getEntriesByType('resource').every(each => each.name.startsWith('file:'))"))
                .isTrue();
    }

    private static void open(String hash) {
        browser.get("about:blank");
        browser.get(page + hash);
    }

    private static WebElement wait(String css, String text) {
        return new WebDriverWait(browser, Duration.ofSeconds(10), Duration.ofMillis(50))
                .withMessage(() -> css + " with " + text)
                .until(driver -> driver.findElements(By.cssSelector(css)).stream()
                        .filter(element -> element.getText().contains(text))
                        .findFirst()
                        .orElse(null));
    }

    private static List<WebElement> all(String css) {
        return browser.findElements(By.cssSelector(css));
    }

    @Test
    void the_overview_counts_and_draws_a_chart() {
        open("");
        assertThat(wait(".counts", "tests").getText()).contains("230\ntests", "229\npassed", "1\nfailed");
        Long painted = (Long) browser.executeScript("const c = document.querySelector('canvas');"
                + "return c.getContext('2d').getImageData(0, 0, c.width, c.height).data.filter(v => v > 0).length");
        assertThat(painted).isGreaterThan(1000);
        assertThat(all("tbody td a"))
                .singleElement()
                .extracting(WebElement::getText)
                .isEqualTo("NightRunTest: a troubled night");
    }

    @Test
    void tests_are_searched_filtered_and_opened_with_the_keyboard_alone() {
        open("");
        wait(".counts", "tests");
        browser.switchTo().activeElement().sendKeys("/");
        wait(".filters", "230 of 230 tests");
        assertThat(all("tbody tr")).hasSize(100);
        browser.switchTo().activeElement().sendKeys("troubled NIGHT");
        wait(".filters", "1 of 230 tests");
        WebElement link = all("tbody a").get(0);
        link.sendKeys(Keys.ENTER);
        wait("h2", "a troubled night ✘ failed");
        browser.switchTo().activeElement().sendKeys(Keys.ESCAPE);
        wait(".filters", "1 of 230 tests");
    }

    @Test
    void a_story_is_stepped_through_forwards_backwards_to_the_end_and_played() {
        open("#test-205");
        wait(".controls", "8 of 8");
        WebElement body = browser.findElement(By.tagName("body"));
        body.sendKeys(Keys.HOME);
        wait(".detail", "Before the first call.");
        assertThat(all(".step.later")).hasSize(8);
        body.sendKeys(Keys.ARROW_RIGHT, Keys.ARROW_RIGHT);
        wait(".detail", "open()");
        assertThat(all(".step[aria-current]")).singleElement().extracting(step -> step.getAttribute("aria-label"))
                .asString().isEqualTo("✔ 2 open() , expected");
        body.sendKeys(Keys.ARROW_LEFT);
        assertThat(wait(".detail", "humidityAt").getText()).contains("= 40", "· allowed", "NightRun.java:30");
        body.sendKeys(Keys.END);
        assertThat(wait(".detail", "park()").getText()).contains("? missing");
        body.sendKeys(Keys.HOME);
        wait("button", "▶ Play").click();
        wait(".controls", "3 of 8");
        wait("button", "⏸ Pause").click();
        all(".step .hit").get(3).click();
        assertThat(wait(".detail", "rate()").getText()).contains("4 times; this is the first");
    }

    @Test
    void marks_differ_by_shape_and_word() {
        open("#test-205");
        wait(".controls", "8 of 8");
        assertThat(all(".step.expected .tip.full")).hasSize(1);
        assertThat(all(".step.allowed .tip.open")).hasSize(5);
        assertThat(all(".word")).extracting(WebElement::getText).containsExactly("unexpected", "missing");
        assertThat(all(".step.missing .arrow")).singleElement()
                .extracting(arrow -> arrow.getCssValue("stroke-dasharray")).asString().contains("7");
    }

    @Test
    void coverage_sorts_and_the_other_pages_list_what_was_found() {
        open("#coverage");
        wait("thead", "Called");
        assertThat(all("tbody tr.group")).extracting(WebElement::getText).contains("Mount 1 of 3 methods called");
        wait("th button", "Called").click();
        wait("thead", "Called ↑");
        assertThat(all("tbody tr").get(0).getText()).contains("never");
        wait("th button", "Called").click();
        wait("thead", "Called ↓");
        assertThat(all("tbody tr").get(0).getText()).contains("rate()", "230");
        for (Map.Entry<String, String> part : Map.of(
                "#defaulted", "rate()", "#unused", "track(any String", "#advice", "None").entrySet()) {
            open(part.getKey());
            wait("main", part.getValue());
        }
        open("#defaulted");
        wait("main", "rate()");
        assertThat(all("tbody th")).extracting(WebElement::getText).containsExactlyInAnyOrder("Mount", "Weather");
        assertThat(all("tbody td .code[title]")).isNotEmpty().allSatisfy(what -> {
            String shown = what.getAttribute("textContent");
            assertThat(shown).doesNotContain("dev.observatory");
            assertThat(what.getAttribute("title")).matches("dev\\.observatory\\.(Mount|Weather)\\." + Pattern.quote(shown));
        });
        assertThat(browser.findElement(By.tagName("main")).getText())
                .contains("Supposed is weather.humidityAt(String) at NightRunTest.java:20,"
                        + " but weather.humidityAt(\"0\") came.");
    }

    @Test
    void both_colour_schemes_and_narrow_windows_are_readable() {
        for (String scheme : List.of("light", "dark")) {
            browser.executeCdpCommand(
                    "Emulation.setEmulatedMedia",
                    Map.of("features", List.of(Map.of("name", "prefers-color-scheme", "value", scheme))));
            for (int width : new int[] {1280, 520}) {
                browser.manage().window().setSize(new Dimension(width, 800));
                for (String part : List.of("#overview", "#tests", "#coverage", "#test-205", "#advice")) {
                    open(part);
                    wait("main", "");
                    assertThat((Boolean) browser.executeScript(
                                    "return document.documentElement.scrollWidth <= document.documentElement.clientWidth"))
                            .as("%s at %s fits", part, width)
                            .isTrue();
                    assertThat((Double) browser.executeScript(CONTRAST)).as("contrast in %s", scheme).isGreaterThan(4.5);
                }
            }
        }
    }

    /** The contrast of text and background, from 1 to 21. */
    private static final String CONTRAST = """
            const light = css => {
              const linear = v => v <= .03928 ? v / 12.92 : ((v + .055) / 1.055) ** 2.4;
              const [r, g, b] = css.match(/\\d+/g).map(v => linear(v / 255));
              return .2126 * r + .7152 * g + .0722 * b;
            };
            const style = getComputedStyle(document.body);
            const [a, b] = [light(style.color), light(style.backgroundColor)].sort((x, y) => y - x);
            return (a + .05) / (b + .05) + 1e-9;
            """;

    @Test
    void a_story_page_needs_no_other_file() throws IOException {
        Path alone = Files.writeString(folder.resolve("alone.html"), Scenes.page(Story.of(Scenes.troubled())));
        browser.get(alone.toUri().toString());
        wait(".controls", "14 of 14");
        assertThat(browser.findElement(By.tagName("h2")).getText()).isEqualTo("NightRunTest: a troubled night ✘ failed");
    }

    @ParameterizedTest
    @ValueSource(strings = {
        "#__proto__", "#constructor", "#toString", "#test-", "#test-length", "#test-999999999", "#test-1e1", "#test--1",
        "#test-205-step-", "#%E0%A4%A", "#<img src=x>", "#overview/../tests", "#"
    })
    void an_address_that_names_no_part_shows_the_overview(String hash) {
        open(hash);
        assertThat(wait(".counts", "tests").getText()).contains("230");
    }

    @Test
    void a_step_has_an_address_of_its_own() {
        open("#test-205-step-3");
        wait(".controls", "3 of 8");
        browser.findElement(By.tagName("body")).sendKeys(Keys.ARROW_RIGHT);
        wait(".controls", "4 of 8");
        assertThat(browser.getCurrentUrl()).endsWith("#test-205-step-4");
        open("#test-205-step-77");
        wait(".controls", "8 of 8");
    }

    @Test
    void no_page_runs_a_script_that_was_put_into_it() throws IOException {
        Path alone = Files.writeString(folder.resolve("guarded.html"), Scenes.page(Story.of(Scenes.troubled())));
        for (String address : List.of(page, alone.toUri().toString())) {
            browser.get("about:blank");
            browser.get(address);
            wait("main", " ");
            browser.executeScript("const script = document.createElement('script'); script.textContent = 'window.ran = 1';"
                    + "document.body.append(script); document.body.setAttribute('onclick', 'window.ran = 2');"
                    + "document.body.click();"
                    + "const style = document.createElement('style'); style.textContent = 'body { width: 7px }';"
                    + "document.body.append(style)");
            assertThat(browser.executeScript("return [typeof window.ran, document.body.clientWidth > 7]"))
                    .isEqualTo(List.of("undefined", true));
            assertThat(browser.manage().logs().get(LogType.BROWSER).getAll())
                    .as("what was refused in %s", address)
                    .hasSize(3)
                    .allMatch(entry -> entry.getMessage().contains("Content Security Policy"));
        }
    }

    @Test
    void a_story_of_any_length_is_drawn_where_one_looks() throws IOException {
        Scenes scenes = new Scenes();
        for (int i = 0; i < 200_000; i++) {
            scenes.call(i % 3 == 0 ? "mount" : "weather", "note(String)", "\"step " + i + "\"", "", Ending.ANSWERED);
        }
        Path file = folder.resolve("long.html");
        try (Writer out = Files.newBufferedWriter(file)) {
            StoryPage.write(Story.of(scenes.scene("a long night", Outcome.PASSED)), out);
        }
        browser.get(file.toUri() + "#step-150000");
        wait(".controls", "150,000 of 200,000");
        assertThat(all(".step")).hasSizeBetween(10, 300);
        assertThat(all(".step[aria-current]")).singleElement()
                .extracting(step -> step.getAttribute("aria-label")).asString().contains("150000 note(\"step 149999\")");
        browser.executeScript("document.querySelector('.picture').scrollTop = 1e9");
        wait(".step text", "200000 note");
        assertThat(all(".step")).hasSizeBetween(10, 300);
        browser.findElement(By.tagName("body")).sendKeys(Keys.HOME, Keys.ARROW_RIGHT);
        wait(".detail", "step 0");
        wait(".step text", "1 note");
    }

    @Test
    void a_story_shows_threads_sources_and_who_was_not_asked_and_can_be_copied() throws IOException {
        Path sources = Files.createDirectories(folder.resolve("src"));
        Files.writeString(sources.resolve("NightRun.java"), "\n".repeat(30) + "    dome.turn(\"east\");\n");
        Story story = Story.of(new Scenes()
                        .call("weather", "humidityAt(String)", "\"north\"", "40", Ending.ANSWERED, "main", 900)
                        .call("weather", "note(String)", Scenes.HOSTILE, "", Ending.ANSWERED, "pool-1", 1)
                        .call("weather", "note(String)", "\"rain\"", "", Ending.ANSWERED, "pool-1", 1)
                        .scene("a shared night", Outcome.PASSED))
                .folded();
        Path file = folder.resolve("shared.html");
        try (Writer out = Files.newBufferedWriter(file)) {
            StoryPage.write(story, Sources.in(List.of(sources)), out);
        }
        browser.get(file.toUri() + "#step-2");
        assertThat(wait(".detail", "pool-1").getText())
                .contains("dome.turn(\"east\");")
                .contains("A call of another thread was still running.");
        assertThat(all(".picture .thread")).hasSize(2);
        assertThat(all(".step text")).extracting(WebElement::getText).contains("thread pool-1");
        assertThat(browser.findElement(By.tagName("main")).getText())
                .contains("Not called: dome (mock), mount (spy).");
        assertThat(browser.executeScript("return zelotypeStory.mermaid(zelotypeStory.read("
                        + "JSON.parse(document.getElementById('data').textContent)))"))
                .isEqualTo(Mermaid.of(story));
        browser.findElement(By.xpath("//button[. = 'Copy as Mermaid']")).click();
        wait(".controls", "Copied.");
    }

    @Test
    void figures_are_compared_with_those_of_earlier_reports() {
        Path again = folder.resolve("again");
        for (int report = 1; report <= 3; report++) {
            try (Site site = new Site(again, "Nights")) {
                for (int i = 0; i < report; i++) {
                    site.add(new Scenes()
                            .call("mount", "rate()", "", "2", Ending.ANSWERED)
                            .scene("night " + i, Outcome.PASSED));
                }
                browser.get(site.finish().toUri().toString());
            }
            wait("main", "Busiest collaborators");
            assertThat(all("#trends")).hasSize(report > 1 ? 1 : 0);
        }
        assertThat(wait("main", "Since earlier reports").getText()).contains("tests 2 → 3");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "#tests", "#test-205", "#coverage", "#defaulted", "#unused", "#advice", "#challenge"})
    void everybody_can_read_the_pages(String hash) throws IOException {
        String check = accessibilityCheck();
        for (String scheme : List.of("light", "dark")) {
            browser.executeCdpCommand(
                    "Emulation.setEmulatedMedia",
                    Map.of("features", List.of(Map.of("name", "prefers-color-scheme", "value", scheme))));
            open(hash);
            wait("main", "");
            browser.executeScript(check);
            assertThat(browser.executeAsyncScript("const done = arguments[0];"
                            + "axe.run({preload: false, runOnly: ['wcag2a', 'wcag2aa', 'wcag21aa']})"
                            + ".then(result => done(result.violations"
                            + ".map(each => each.id + ': ' + each.nodes.slice(0, 3).map(node => node.html + ' '"
                            + " + node.any.map(any => any.message)).join(' | '))))"))
                    .as(scheme)
                    .isEqualTo(List.of());
        }
        browser.executeCdpCommand("Emulation.setEmulatedMedia", Map.of("features", List.of()));
    }

    private static String accessibilityCheck() throws IOException {
        try (InputStream in = PageInBrowserTest.class.getResourceAsStream("/axe.min.js")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @Test
    void what_a_challenge_found_has_a_page_and_stands_at_the_call() {
        open("#challenge");
        assertThat(wait("main", "Gaps").getText())
                .contains("0.0 %", "of 1 disturbed place noticed")
                .contains("mount.rate() could be left out", "verify(mount::park).once();");
        all("main .remark a").get(0).click();
        wait(".controls", "8 of 8");
        assertThat(all(".doubt")).singleElement().extracting(WebElement::getText).isEqualTo("⚠ may be left out");
    }
}
