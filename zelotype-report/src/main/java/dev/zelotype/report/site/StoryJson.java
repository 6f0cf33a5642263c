package dev.zelotype.report.site;

import com.fasterxml.jackson.core.JsonGenerator;
import dev.zelotype.report.story.Item;
import dev.zelotype.report.story.Item.Loop;
import dev.zelotype.report.story.Item.Message;
import dev.zelotype.report.story.Lifeline;
import dev.zelotype.report.story.Story;
import java.io.IOException;

/**
 * A story as the page's script reads it.
 */
final class StoryJson {

    private StoryJson() {}

    static void write(JsonGenerator out, Story story) throws IOException {
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
                    message(out, message);
                }
                out.writeEndArray();
                out.writeEndObject();
            } else {
                message(out, (Message) item);
            }
        }
        out.writeEndArray();
        out.writeArrayFieldStart("notes");
        for (String note : story.scene().conversation().notes()) {
            out.writeString(note);
        }
        out.writeEndArray();
        out.writeEndObject();
    }

    private static void message(JsonGenerator out, Message message) throws IOException {
        out.writeStartObject();
        out.writeNumberField("number", message.number());
        out.writeNumberField("from", message.from());
        out.writeNumberField("to", message.to());
        out.writeStringField("text", message.text());
        out.writeStringField("answer", message.answerText());
        out.writeStringField("mark", message.role().word());
        out.writeBooleanField("defaulted", message.isDefaulted());
        out.writeStringField("place", message.place());
        out.writeStringField("thread", message.thread());
        out.writeNumberField("micros", message.micros());
        out.writeNumberField("took", message.tookMicros());
        out.writeEndObject();
    }
}
