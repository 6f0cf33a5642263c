package dev.zelotype.junit;

import dev.zelotype.error.MisuseException;
import dev.zelotype.journal.TestSettings;
import java.io.IOException;
import java.io.InputStream;
import java.util.Optional;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.platform.commons.support.AnnotationSupport;

/**
 * The settings of a test class: those of its annotation, or else the configuration parameters.
 */
final class Settings {

    private static final ExtensionContext.Namespace SETTINGS = ExtensionContext.Namespace.create(Settings.class);

    private static volatile @Nullable Set<String> namesInFile;

    private Settings() {}

    /** Computed once per class and run, because each test needs them. */
    static TestSettings of(ExtensionContext context) {
        return store(context)
                .getOrComputeIfAbsent(context.getRequiredTestClass(), type -> workedOut(context), TestSettings.class);
    }

    private static ExtensionContext.Store store(ExtensionContext context) {
        return context.getRoot().getStore(SETTINGS);
    }

    private static TestSettings workedOut(ExtensionContext context) {
        store(context).getOrComputeIfAbsent("names that are set", key -> namesOfRun());
        WithDoubles annotation = annotation(context);
        return TestSettings.of(context::getConfigurationParameter)
                .with(annotation.unused().length > 0 ? annotation.unused()[0] : null, annotation.lines());
    }

    /** Checked once per run. */
    private static Set<String> namesOfRun() {
        Set<String> given = new TreeSet<>(System.getProperties().stringPropertyNames());
        given.addAll(namesInFile());
        TestSettings.refuseNearMisses(given);
        return given;
    }

    /** Settings outside a running test: from system properties or the configuration file. */
    static TestSettings ofFile() {
        Properties file = readFile();
        return TestSettings.of(name -> Optional.ofNullable(System.getProperty(name, file.getProperty(name))));
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

    /** The file does not change while the JVM runs, so it is read only once. */
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
