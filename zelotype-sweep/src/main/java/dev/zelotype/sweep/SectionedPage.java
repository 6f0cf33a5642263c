package dev.zelotype.sweep;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;

/**
 * A page with a section for each JDK that a sweep was run on.
 */
final class SectionedPage {

    private SectionedPage() {}

    /** Writes what this JDK has shown into its own section of the page; what others have shown stays. */
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
