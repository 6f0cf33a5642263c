package dev.zelotype.challenge.change;

import java.util.List;

/** The result of a disturbance. */
public record Tried(
        Disturbance disturbance,
        CallPlace site,
        Verdict verdict,
        String change,
        boolean confirms,
        List<CallPlace> failedChecks,
        boolean failedOtherwise) {}
