package dev.zelotype.challenge.judge;

import dev.zelotype.challenge.change.Baseline;
import dev.zelotype.challenge.change.CallPlace;
import dev.zelotype.challenge.change.ChangeKind;
import dev.zelotype.challenge.change.Message;
import dev.zelotype.challenge.finding.Finding;
import dev.zelotype.challenge.finding.Finding.Weight;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Callbacks that subjects pass to collaborators but that no test runs, so that their code is untested.
 */
final class Callbacks {

    private final Map<String, Baseline> tests;

    Callbacks(Map<String, Baseline> tests) {
        this.tests = tests;
    }

    /** Returns one question for each that no test runs. */
    List<Finding> neverRun() {
        Set<String> run = new HashSet<>();
        Map<String, CallPlace> found = new LinkedHashMap<>();
        Map<String, String> names = new LinkedHashMap<>();
        Map<String, Set<String>> reaching = new LinkedHashMap<>();
        for (Baseline test : tests.values()) {
            for (CallPlace site : test.sites()) {
                for (int i = 0; i < site.arguments().size(); i++) {
                    String key = site.key() + " " + i;
                    Message.Use use = site.arguments().get(i).use();
                    if (use == Message.Use.CALLED) {
                        run.add(key);
                    } else if (use == Message.Use.NOT_CALLED) {
                        found.putIfAbsent(key, site);
                        names.putIfAbsent(key, FindingText.called(site.name(i)));
                        reaching.computeIfAbsent(key, first -> new LinkedHashSet<>())
                                .add(test.name());
                    }
                }
            }
        }
        List<Finding> questions = new ArrayList<>();
        found.forEach((key, site) -> {
            if (!run.contains(key)) {
                questions.add(new Finding(
                        Weight.QUESTION,
                        site,
                        ChangeKind.CALLBACK,
                        "No test runs the callback that " + site.text() + " " + site.at() + " is given as "
                                + names.get(key) + ". Let an answer run it: suppose(...).does(...).",
                        List.of(),
                        List.copyOf(reaching.get(key))));
            }
        });
        return questions;
    }
}
