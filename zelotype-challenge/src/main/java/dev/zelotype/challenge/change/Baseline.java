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
    private String name = "";
    private String type = "";
    private String family = "";
    private boolean callsSubject;
    private long millis;

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
        name = done.name();
        type = done.testClass();
        family = done.family();
        millis = done.millis();
        variables.clear();
        for (Message.Variable each : done.variables()) {
            variables.put(each.name(), each.type());
        }
    }

    /** Notes whether it calls a class that is the subject of some test. */
    public void callsSubject(boolean calls) {
        callsSubject = calls;
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
        return type;
    }

    /** What tests of the same sort share. */
    public String family() {
        return family;
    }

    public boolean callsSubject() {
        return callsSubject;
    }

    public long millis() {
        return millis;
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
