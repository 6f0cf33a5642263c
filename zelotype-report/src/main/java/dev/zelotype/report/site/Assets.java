package dev.zelotype.report.site;

import com.samskivert.mustache.Mustache;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Properties;

/**
 * The files that pages are made of.
 */
final class Assets {

    private Assets() {}

    /** A page from its template; values are escaped for HTML unless the template says that they are data. */
    static String page(String template, Map<String, ?> values) {
        return Mustache.compiler().compile(text(template)).execute(values);
    }

    static String text(String name) {
        try (InputStream in = Assets.class.getResourceAsStream(name)) {
            if (in == null) {
                throw new IllegalStateException("This build has no " + name + ".");
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The library that draws charts, as its own project bundles it. */
    static String chartLibrary() {
        Properties versions = new Properties();
        try (InputStream in = Assets.class.getResourceAsStream("versions.properties")) {
            versions.load(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text("/META-INF/resources/webjars/chart.js/" + versions.getProperty("chart") + "/dist/chart.umd.min.js");
    }
}
