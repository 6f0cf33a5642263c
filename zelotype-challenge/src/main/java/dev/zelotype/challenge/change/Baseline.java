package dev.zelotype.challenge.change;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A test as it is without disturbance. */
public final class Baseline {

    private final String id;
    private final List<CallPlace> sites = new ArrayList<>();
    private final Map<String, String> variables = new LinkedHashMap<>();
    private Message.Done done =
            new Message.Done("", Verdict.PASSED, "", 0, "", "", "", false, "", false, List.of(), "");
    private String name = "";
    private boolean callsSubject;

    /** A test before its first run. */
    public Baseline(String id) {
        this.id = id;
    }

    /** Notes a call that its subject makes. */
    public void calls(CallPlace site) {
        sites.add(site);
    }

    /** Notes what a run has told of it. */
    public void ran(Message.Done done) {
        this.done = done;
        name = done.name();
        callsSubject = done.callsSubject();
        variables.clear();
        for (Message.Variable each : done.variables()) {
            variables.put(each.name(), each.type());
        }
    }

    /** Notes whether it calls a class that is the subject of some test. */
    public void callsSubject(boolean calls) {
        callsSubject = calls;
    }

    /** What its last run has told, with what is known since. */
    public Message.Done done() {
        return new Message.Done(
                id,
                done.verdict(),
                done.applied(),
                done.millis(),
                done.testClass(),
                done.title(),
                done.failure(),
                done.failed(),
                done.family(),
                callsSubject,
                done.variables(),
                done.tried());
    }

    public String id() {
        return id;
    }

    /** Its name for people; empty as long as it has not ended. */
    public String name() {
        return name;
    }

    /** The class that holds it. */
    public String type() {
        return done.testClass();
    }

    /** What tests of the same sort share. */
    public String family() {
        return done.family();
    }

    public boolean callsSubject() {
        return callsSubject;
    }

    public long millis() {
        return done.millis();
    }

    /** How long it takes with a disturbance of each call, in milliseconds: one more for what is around each run. */
    public long millisOfAllRuns() {
        return (millis() + 1) * (1 + sites.size());
    }

    /** Whether its subject makes the same calls as in another run, whatever they are given and answered. */
    public boolean asksAs(Baseline other) {
        return keys().equals(other.keys());
    }

    private List<String> keys() {
        return sites.stream().map(site -> site.key() + " " + site.occurrence()).toList();
    }

    /** The calls of its subject, in their order. */
    public List<CallPlace> sites() {
        return Collections.unmodifiableList(sites);
    }

    /** The variables in which its class keeps doubles and subjects, by name, with their types. */
    public Map<String, String> variables() {
        return Collections.unmodifiableMap(variables);
    }
}
