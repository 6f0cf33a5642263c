package dev.zelotype.challenge.change;

import java.util.List;

/** What became of a disturbance. */
public record Tried(
        Disturbance disturbance,
        CallPlace site,
        Verdict verdict,
        String change,
        boolean confirms,
        List<CallPlace> failedChecks,
        boolean failedOtherwise) {}
