package dev.zelotype.report.site;

import dev.zelotype.report.story.Story;
import java.io.IOException;
import java.io.Writer;
import java.util.Map;

/**
 * For Zelotype's own tools: one story as a self-contained page. Stateless.
 */
public final class StoryPage {

    private StoryPage() {}

    /**
     * Writes a self-contained page for one story.
     *
     * @param story the story
     * @param to receives the HTML; not closed
     * @throws IOException if it cannot be written
     */
    public static void write(Story story, Writer to) throws IOException {
        write(story, Sources.NONE, to);
    }

    /**
     * As {@link #write(Story, Writer)}, with the source lines of calls.
     *
     * @param story the story
     * @param sources where to find the lines
     * @param to receives the HTML; not closed
     * @throws IOException if it cannot be written
     */
    public static void write(Story story, Sources sources, Writer to) throws IOException {
        String style = Assets.text("style.css");
        String script = Assets.text("story.js");
        Assets.page(
                "story.html",
                Map.of(
                        "title",
                        story.title(),
                        "style",
                        style,
                        "styleHash",
                        Assets.hash(style),
                        "script",
                        script,
                        "scriptHash",
                        Assets.hash(script),
                        "data",
                        (Assets.Part) out -> ScriptJson.write(out, json -> StoryJson.write(json, story, sources))),
                to);
    }
}
