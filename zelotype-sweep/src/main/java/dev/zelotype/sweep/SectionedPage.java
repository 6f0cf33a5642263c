package dev.zelotype.sweep;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;

/**
 * A page with a section for each JDK that the sweep ran on.
 */
final class SectionedPage {

    private SectionedPage() {}

    /** Replaces the section of this JDK, and keeps the others. */
    static void write(Path page, String head, String section) throws IOException {
        Map<String, String> sections = new TreeMap<>();
        if (Files.exists(page)) {
            for (String each : Files.readString(page).split("\n(?=## JDK )")) {
                if (each.startsWith("## JDK ")) {
                    sections.put(each.substring(0, each.indexOf('\n')), each.strip());
                }
            }
        }
        String title = "## JDK " + System.getProperty("java.specification.version");
        sections.put(title, title + "\n\n" + section.strip());
        Files.writeString(page, head + "\n" + String.join("\n\n", sections.values()) + "\n");
    }
}
