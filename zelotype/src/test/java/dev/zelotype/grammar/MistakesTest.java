package dev.zelotype.grammar;

import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.SceneSettings;
import dev.zelotype.error.MisuseException;
import dev.zelotype.host.HostedScene;
import java.io.IOException;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * Every misuse is an error that says what to do, and is shown in the guide. To update the page, run the test with
 * {@code -Dzelotype.docs=write}.
 */
class MistakesTest {

    private static final Path PAGE = Path.of("../docs/mistakes.md");
    private static final Path SOURCES = Path.of("src/test/java/dev/zelotype/grammar");

    @Test
    void the_page_of_mistakes_shows_each_message_as_it_is() throws IOException {
        String source = "";
        List<Method> mistakes = new ArrayList<>();
        for (Class<?> type : List.of(Mistakes.class, MistakesInStatements.class)) {
            source += Files.readString(SOURCES.resolve(type.getSimpleName() + ".java"));
            mistakes.addAll(List.of(type.getDeclaredMethods()));
        }
        mistakes.removeIf(method -> !method.isAnnotationPresent(Mistake.class));
        String all = source;
        mistakes.sort(Comparator.comparingInt(method -> all.indexOf("void " + method.getName() + "()")));
        StringBuilder page = new StringBuilder("""
                # Mistakes and their messages

                A statement that means nothing, or only looks like a check, is an error. Its message says what to write
                instead. A test runs every example on this page and records the message.
                """);
        for (Method mistake : mistakes) {
            page.append("\n## ")
                    .append(mistake.getAnnotation(Mistake.class).value())
                    .append("\n\n```java\n")
                    .append(body(source, mistake.getName()))
                    .append("\n```\n```\n")
                    .append(message(mistake))
                    .append("\n```\n");
        }
        if ("write".equals(System.getProperty("zelotype.docs"))) {
            Files.createDirectories(PAGE.getParent());
            Files.writeString(PAGE, page);
        }
        assertThat(PAGE).hasContent(page.toString());
        assertThat(mistakes).hasSizeGreaterThan(40);
    }

    private static String message(Method mistake) {
        MisuseException misuse = null;
        HostedScene scene = HostedScene.of(SceneSettings.defaults()).open();
        try {
            mistake.invoke(mistake.getDeclaringClass() == Mistakes.class ? new Mistakes() : new MistakesInStatements());
        } catch (InvocationTargetException e) {
            assertThat(e.getCause()).as(mistake.getName()).isInstanceOf(MisuseException.class);
            misuse = (MisuseException) e.getCause();
        } catch (IllegalAccessException e) {
            throw new AssertionError(e);
        }
        try {
            scene.closeAfter(misuse);
        } catch (MisuseException e) {
            misuse = e;
        }
        assertThat(misuse).as(mistake.getName() + " is not an error").isNotNull();
        assertThat(misuse.getMessage()).as(mistake.getName()).contains("\n  Cure: ");
        return misuse.getMessage()
                .replaceAll("at [\\w.$]+\\(Mistakes(InStatements)?\\.java:\\d+\\)", "at ...(Mistakes.java:...)")
                .replaceAll("\\bMistakes(InStatements)?\\$(?=[A-Z])", "");
    }

    private static String body(String source, String method) {
        int start = source.indexOf('\n', source.indexOf("void " + method + "()")) + 1;
        return source.substring(start, source.indexOf("\n    }\n", start)).stripIndent();
    }
}
