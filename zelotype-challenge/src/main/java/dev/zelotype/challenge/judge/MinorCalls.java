package dev.zelotype.challenge.judge;

import dev.zelotype.challenge.change.CallPlace;
import java.util.List;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Calls that few tests check, with good reason: logging, metrics and audit. Findings about them are listed separately
 * and do not count.
 */
final class MinorCalls {

    /** Types, or their packages, that serve only this purpose. */
    private static final List<String> TYPES = List.of(
            "java.lang.System$Logger",
            "java.util.logging.",
            "org.slf4j.",
            "org.apache.logging.log4j.",
            "org.apache.commons.logging.",
            "org.jboss.logging.",
            "io.micrometer.",
            "io.opentelemetry.",
            "io.opentracing.",
            "io.prometheus.",
            "com.codahale.metrics.",
            "org.eclipse.microprofile.metrics.");

    /** Common names of the user's own types that do the same. */
    private static final Pattern NAMES = Pattern.compile(".*(Logger|Logging|Metrics?|MetricRegistry|MeterRegistry|Meter"
            + "|Telemetry|Tracer|Auditor|Audit|AuditLog|AuditTrail|Counters?|Gauges?|Histogram|Statistics|Stats)|Log");

    private MinorCalls() {}

    /**
     * Whether findings at a place do not count.
     *
     * @param others further methods with their types; null for none
     */
    static boolean include(CallPlace place, @Nullable Pattern others) {
        if (others != null && others.matcher(place.qualifiedMethod()).matches()) {
            return true;
        }
        String type = place.type();
        if (TYPES.stream().anyMatch(type::startsWith)) {
            return true;
        }
        // A query whose answer is used measures something for the subject, like a rain gauge.
        return place.isCommand() && NAMES.matcher(place.simpleType()).matches();
    }
}
