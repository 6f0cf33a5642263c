package dev.zelotype.report.site;

import dev.zelotype.journal.JournalChallenge;
import dev.zelotype.journal.JournalClaim;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.journal.JournalSink;
import dev.zelotype.report.story.Story;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * For Zelotype's own tools: a site of static files that can be opened from a disk: the overview in one file, the
 * stories in files of a hundred, which the page loads on demand. Scenes are written immediately, so memory is bounded
 * by the number of tests, not by that of their calls. For one thread.
 *
 * <pre>{@code
 * try (Site site = new Site(folder, "Observatory")) {
 *     JournalReader.read(journal, site);
 *     Path page = site.finish();
 * }
 * }</pre>
 */
public final class Site implements JournalSink, AutoCloseable {

    private static final int SCENES_A_FILE = 100;

    private final Path target;
    private final Sources sources;
    private final SiteFolder folder;
    private final String title;
    private final History history;
    private final Overview overview = new Overview();
    private final List<Story> waiting = new ArrayList<>();
    private int files;

    /**
     * Starts a site.
     *
     * @param folder its folder; an earlier site there is replaced when this one is finished
     * @param title the title
     * @throws ReportException if the folder contains anything else, or cannot be written to
     */
    public Site(Path folder, String title) {
        this(folder, title, Sources.NONE);
    }

    /**
     * Starts a site that shows the source lines of calls.
     *
     * @param folder its folder; an earlier site there is replaced when this one is finished
     * @param title the title
     * @param sources where to find the lines
     * @throws ReportException if the folder contains anything else, or cannot be written to
     */
    public Site(Path folder, String title, Sources sources) {
        this.sources = sources;
        this.target = folder;
        this.folder = new SiteFolder(folder);
        this.title = title;
        this.history = new History(this.folder.earlier(History.FILE));
    }

    /**
     * Adds a test.
     *
     * @param scene the test
     */
    @Override
    public void add(JournalScene scene) {
        overview.add(scene);
        waiting.add(Story.of(scene).folded());
        if (waiting.size() == SCENES_A_FILE) {
            writeWaiting();
        }
    }

    /**
     * Adds a claim that was checked against a real object.
     *
     * @param claim the claim
     */
    @Override
    public void add(JournalClaim claim) {
        overview.add(claim);
    }

    /**
     * Adds the result of a challenge; if there are several, the last one counts.
     *
     * @param found the findings
     */
    @Override
    public void add(JournalChallenge found) {
        overview.add(found);
    }

    private void writeWaiting() {
        script("data/stories-" + files + ".js", "zelotype.stories(" + files + ", ", out -> {
            out.writeStartArray();
            for (Story story : waiting) {
                StoryJson.write(out, story, sources);
            }
            out.writeEndArray();
        });
        files++;
        waiting.clear();
    }

    /**
     * Writes the remaining stories, and the pages.
     *
     * @return the page to open
     */
    public Path finish() {
        if (!waiting.isEmpty()) {
            writeWaiting();
        }
        history.add(overview.figures());
        folder.write(History.FILE, out -> {
            for (Map<String, Number> report : history.reports()) {
                ScriptJson.write(out, json -> History.write(json, report));
                out.write('\n');
            }
        });
        script(
                "data/overview.js",
                "zelotype.overview(",
                json -> new OverviewJson(json, overview, history.reports()).write(title, SCENES_A_FILE));
        for (String name : List.of("style.css", "story.js", "site.js")) {
            folder.write(name, out -> out.write(Assets.text(name)));
        }
        folder.write("chart.js", out -> out.write(Assets.chartLibrary()));
        Map<String, Object> values =
                Map.of("title", title, "tests", overview.entries.size(), "rows", overview.firstTests(SCENES_A_FILE));
        folder.write("index.html", out -> Assets.page("index.html", values, out));
        folder.finish();
        return target.resolve("index.html");
    }

    /** Removes the unfinished site. */
    @Override
    public void close() {
        folder.abandon();
    }

    /** Data as a function call, because pages opened from a disk may load scripts but no data. */
    private void script(String name, String call, ScriptJson.Content content) {
        folder.write(name, out -> {
            out.write(call);
            ScriptJson.write(out, content);
            out.write(");\n");
        });
    }
}
