package dev.zelotype.challenge.change;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A test and its undisturbed runs. */
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

    /** Records a call made by its subject. */
    public void calls(CallPlace site) {
        sites.add(site);
    }

    /** Records what a run has reported about it. */
    public void ran(Message.Done done) {
        this.done = done;
        name = done.name();
        callsSubject = done.callsSubject();
        variables.clear();
        for (Message.Variable each : done.variables()) {
            variables.put(each.name(), each.type());
        }
    }

    /** Records whether it calls a class that is the subject of some test. */
    public void callsSubject(boolean calls) {
        callsSubject = calls;
    }

    /** What its last run reported, with what has been learned since. */
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

    /** Its display name; empty until it has ended. */
    public String name() {
        return name;
    }

    /** The class that holds it. */
    public String type() {
        return done.testClass();
    }

    /** What tests of the same kind share. */
    public String family() {
        return done.family();
    }

    public boolean callsSubject() {
        return callsSubject;
    }

    public long millis() {
        return done.millis();
    }

    /** The time of all its disturbed runs in milliseconds, with one more per run for the overhead. */
    public long millisOfAllRuns() {
        return (millis() + 1) * (1 + sites.size());
    }

    /** Whether its subject makes the same calls as in another run, regardless of arguments and answers. */
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

    /** The variables of its class that hold doubles and subjects, by name, with their types. */
    public Map<String, String> variables() {
        return Collections.unmodifiableMap(variables);
    }
}
