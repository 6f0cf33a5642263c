package dev.zelotype.challenge.judge;

import dev.zelotype.challenge.change.CallPlace;
import java.util.List;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Calls that few tests check, and for good reasons: of logging, metrics and audit. What is found there is told apart, and
 * counts for nothing.
 */
final class MinorCalls {

    /** Types, or the packages that hold them, that are made for nothing else. */
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

    /** How types of the user's own that do the same are mostly called. */
    private static final Pattern NAMES = Pattern.compile(".*(Logger|Logging|Metrics?|MetricRegistry|MeterRegistry|Meter"
            + "|Telemetry|Tracer|Auditor|Audit|AuditLog|AuditTrail|Counters?|Gauges?|Histogram|Statistics|Stats)|Log");

    private MinorCalls() {}

    /**
     * Whether what is found at a place counts for nothing.
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
        // What gives an answer that is used measures something for the subject, as a rain gauge does.
        return place.isCommand() && NAMES.matcher(place.simpleType()).matches();
    }
}
