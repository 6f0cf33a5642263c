package dev.zelotype.report.site;

import com.fasterxml.jackson.core.JsonGenerator;
import dev.zelotype.report.story.Item;
import dev.zelotype.report.story.Item.Loop;
import dev.zelotype.report.story.Item.Message;
import dev.zelotype.report.story.Lifeline;
import dev.zelotype.report.story.Story;
import dev.zelotype.tools.Sentences;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * A story in the form that the page's script reads.
 */
final class StoryJson {

    private static final int LONGEST = 10_000;

    private final JsonGenerator out;
    private final Sources sources;
    private final Map<String, Integer> places = new LinkedHashMap<>();

    private StoryJson(JsonGenerator out, Sources sources) {
        this.out = out;
        this.sources = sources;
    }

    static void write(JsonGenerator out, Story story, Sources sources) throws IOException {
        new StoryJson(out, sources).write(story);
    }

    private void write(Story story) throws IOException {
        out.writeStartObject();
        out.writeStringField("group", story.scene().group());
        out.writeStringField("title", story.scene().title());
        out.writeStringField("test", story.scene().test());
        out.writeStringField("outcome", story.scene().outcome().word());
        out.writeStringField("failure", story.scene().failure());
        out.writeArrayFieldStart("lifelines");
        for (Lifeline lifeline : story.lifelines()) {
            out.writeStartObject();
            out.writeStringField("name", lifeline.name());
            out.writeStringField("role", lifeline.role());
            out.writeStringField("type", lifeline.type());
            out.writeEndObject();
        }
        out.writeEndArray();
        out.writeArrayFieldStart("items");
        for (Item item : story.items()) {
            if (item instanceof Loop loop) {
                out.writeStartObject();
                out.writeNumberField("times", loop.times());
                out.writeArrayFieldStart("items");
                for (Message message : loop.messages()) {
                    message(message);
                }
                out.writeEndArray();
                out.writeEndObject();
            } else {
                message((Message) item);
            }
        }
        out.writeEndArray();
        out.writeArrayFieldStart("notes");
        for (String note : story.scene().conversation().notes()) {
            out.writeString(note);
        }
        out.writeEndArray();
        out.writeArrayFieldStart("places");
        for (String place : places.keySet()) {
            out.writeString(place);
        }
        out.writeEndArray();
        if (sources != Sources.NONE) {
            out.writeArrayFieldStart("lines");
            for (String place : places.keySet()) {
                out.writeString(sources.line(place));
            }
            out.writeEndArray();
        }
        out.writeArrayFieldStart("silent");
        for (String name : story.silent()) {
            out.writeString(name);
        }
        out.writeEndArray();
        out.writeEndObject();
    }

    /** Default values are omitted: a story may have very many messages. */
    private void message(Message message) throws IOException {
        out.writeStartObject();
        if (message.number() > 0) {
            out.writeNumberField("number", message.number());
        }
        out.writeNumberField("from", message.from());
        out.writeNumberField("to", message.to());
        text("text", message.text());
        text("answer", message.answerText());
        out.writeStringField("mark", message.role().word());
        if (message.isDefaulted()) {
            out.writeBooleanField("defaulted", true);
        }
        if (!message.place().isEmpty()) {
            out.writeNumberField("place", places.computeIfAbsent(message.place(), place -> places.size()));
        }
        text("thread", message.thread());
        if (message.micros() > 0) {
            out.writeNumberField("micros", message.micros());
        }
        if (message.tookMicros() >= 0) {
            out.writeNumberField("took", message.tookMicros());
        }
        if (message.failedLater()) {
            out.writeBooleanField("failedLater", true);
        }
        out.writeEndObject();
    }

    private void text(String name, String value) throws IOException {
        if (!value.isEmpty()) {
            out.writeStringField(
                    name,
                    value.length() <= LONGEST
                            ? value
                            : Sentences.start(value, LONGEST) + "... (" + value.length() + " characters)");
        }
    }
}
