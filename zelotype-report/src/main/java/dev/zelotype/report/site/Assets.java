package dev.zelotype.report.site;

import com.samskivert.mustache.Mustache;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Base64;
import java.util.HashMap;
import java.util.Map;
import java.util.Properties;

/**
 * The files that pages consist of.
 */
final class Assets {

    private Assets() {}

    /** A part of a page that is too long for a single string. */
    interface Part {
        void write(Writer out) throws IOException;
    }

    /** Writes a page from its template; values are escaped for HTML unless the template marks them as data. */
    static void page(String template, Map<String, ?> values, Writer to) {
        Map<String, Object> prepared = new HashMap<>(values);
        prepared.replaceAll((name, value) ->
                value instanceof Part part ? (Mustache.Lambda) (unused, out) -> part.write(out) : value);
        Mustache.compiler().compile(text(template)).execute(prepared, to);
    }

    /** The hash of an inline script or style for a page's content security policy. */
    static String hash(String text) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
            return "'sha256-" + Base64.getEncoder().encodeToString(digest) + "'";
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Each Java platform has SHA-256.", e);
        }
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

    /** The chart library, as its own project bundles it. */
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
