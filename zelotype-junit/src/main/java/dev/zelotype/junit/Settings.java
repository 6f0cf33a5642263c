package dev.zelotype.junit;

import dev.zelotype.SceneSettings;
import dev.zelotype.doubles.Severity;
import dev.zelotype.error.MisuseException;
import dev.zelotype.host.HostedScene;
import java.io.IOException;
import java.io.InputStream;
import java.util.Arrays;
import java.util.Locale;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.regex.PatternSyntaxException;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.platform.commons.support.AnnotationSupport;

/**
 * How the scenes of a test class behave: what its annotation says, else what the configuration parameters say.
 */
final class Settings {

    static final String JOURNAL = "zelotype.journal";
    private static final String MASK = "zelotype.mask";
    private static final String UNUSED = "zelotype.unused";
    private static final String LINES = "zelotype.lines";
    private static final Set<String> KNOWN = new TreeSet<>(Set.of(JOURNAL, MASK, UNUSED, LINES));
    /** Settings of the build, which mean nothing here but are no mistakes either. */
    private static final Set<String> OTHERS = Set.of("zelotype.docs");

    private static volatile @Nullable Set<String> namesInFile;

    private Settings() {}

    static HostedScene.Opening of(ExtensionContext context) {
        refuseUnknown();
        SceneSettings settings = SceneSettings.defaults();
        WithDoubles annotation = annotation(context);
        String unused = annotation.unused().length > 0
                ? annotation.unused()[0].name()
                : context.getConfigurationParameter(UNUSED).orElse(null);
        if (unused != null) {
            settings = settings.unusedSuppositions(severity(unused));
        }
        int lines = annotation.lines() >= 0
                ? annotation.lines()
                : context.getConfigurationParameter(LINES).map(Settings::number).orElse(-1);
        mask(context);
        return HostedScene.of(lines < 0 ? settings : settings.linesOfCalls(lines))
                .titled(title(context))
                .inTest(context.getRequiredTestClass())
                // What a journal tells must be what was so at the time of the call.
                .keepingDetails(context.getConfigurationParameter(JOURNAL).isPresent());
    }

    /** The test as messages call its scene, such as {@code NightRunTest.a_humid_night}. */
    private static String title(ExtensionContext context) {
        return context.getTestClass().map(Class::getSimpleName).orElse("")
                + context.getTestMethod().map(method -> "." + method.getName()).orElse("");
    }

    /** What the journal must not show, or null. */
    static @Nullable Pattern mask(ExtensionContext context) {
        String mask = context.getConfigurationParameter(MASK).orElse(null);
        try {
            return mask == null ? null : Pattern.compile(mask);
        } catch (PatternSyntaxException e) {
            throw new MisuseException(
                    MASK + "=" + mask + " is no regular expression: " + e.getDescription() + ".",
                    "give one that matches what no journal may show",
                    e);
        }
    }

    private static WithDoubles annotation(ExtensionContext context) {
        for (Class<?> type = context.getRequiredTestClass(); type != null; type = type.getEnclosingClass()) {
            WithDoubles found =
                    AnnotationSupport.findAnnotation(type, WithDoubles.class).orElse(null);
            if (found != null) {
                return found;
            }
        }
        return Unannotated.class.getAnnotation(WithDoubles.class);
    }

    /** For classes that register the extension in another way. */
    @WithDoubles
    private static final class Unannotated {
        private Unannotated() {}
    }

    private static Severity severity(String value) {
        try {
            return Severity.valueOf(value.toUpperCase(Locale.ROOT));
        } catch (IllegalArgumentException e) {
            throw new MisuseException(
                    UNUSED + "=" + value + " is no severity.", "give one of " + Arrays.toString(Severity.values()), e);
        }
    }

    private static int number(String value) {
        try {
            int number = Integer.parseInt(value);
            if (number >= 0) {
                return number;
            }
        } catch (NumberFormatException e) {
            throw new MisuseException(LINES + "=" + value + " is no number.", "give 0 or more", e);
        }
        throw new MisuseException(LINES + "=" + value + " is negative.", "give 0 or more");
    }

    private static void refuseUnknown() {
        Set<String> given = new TreeSet<>(System.getProperties().stringPropertyNames());
        given.addAll(namesInFile());
        for (String name : given) {
            if (name.startsWith("zelotype.") && !KNOWN.contains(name) && !OTHERS.contains(name)) {
                throw new MisuseException("There is no setting " + name + ".", "use one of " + KNOWN);
            }
        }
    }

    /** The file does not change while the JVM runs, so it is read for the first test only. */
    private static Set<String> namesInFile() {
        Set<String> known = namesInFile;
        if (known == null) {
            known = readFile().stringPropertyNames();
            namesInFile = known;
        }
        return known;
    }

    private static Properties readFile() {
        Properties properties = new Properties();
        ClassLoader loader = Thread.currentThread().getContextClassLoader();
        try (InputStream in = loader == null ? null : loader.getResourceAsStream("junit-platform.properties")) {
            if (in != null) {
                properties.load(in);
            }
        } catch (IOException e) {
            throw new MisuseException("junit-platform.properties cannot be read.", "mend or remove it", e);
        }
        return properties;
    }
}
