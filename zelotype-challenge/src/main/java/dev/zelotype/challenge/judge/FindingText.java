package dev.zelotype.challenge.judge;

import dev.zelotype.challenge.change.Baseline;
import dev.zelotype.challenge.change.CallPlace;
import dev.zelotype.challenge.change.Disturbance;
import dev.zelotype.challenge.change.Message;
import dev.zelotype.challenge.finding.Finding;
import dev.zelotype.challenge.finding.Finding.Weight;
import dev.zelotype.challenge.finding.Proposal;
import dev.zelotype.challenge.finding.Proposal.Receiver;
import dev.zelotype.tools.TestNames;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * A disturbance that no test noticed as a sentence, with the statement that would notice it.
 */
final class FindingText {

    private static final String UNNAMED = "argument ";
    private static final List<String> PLACES =
            List.of("first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth");

    private final Map<String, Baseline> tests;

    FindingText(Map<String, Baseline> tests) {
        this.tests = tests;
    }

    Finding of(Weight weight, Group group) {
        Set<String> reaching = new LinkedHashSet<>();
        if (group.passed) {
            // The count in the statement is the one of this test.
            reaching.add(group.test);
        }
        reaching.addAll(group.tests);
        return new Finding(
                weight,
                group.site,
                group.kind,
                sentence(weight, group),
                group.passed ? proposals(group) : List.of(),
                List.copyOf(reaching));
    }

    private String sentence(Weight weight, Group group) {
        CallPlace site = group.site;
        String what = site.text() + " " + site.at();
        boolean gap = weight != Weight.UNCLEAR;
        String unnoticed = gap
                ? ", and no test notices."
                : "; the tests crash on it, so it is unclear whether a check would notice it.";
        String change = group.change.isEmpty() ? "" : " (" + group.change + ")";
        return switch (group.kind) {
            case ANSWER ->
                what + " could answer otherwise" + change + unnoticed
                        + (gap ? " Assert on what becomes of the answer." : "");
            case LOST -> what + " could be left out" + unnoticed;
            case ARGUMENT ->
                what + " could be given " + another(group) + change + unnoticed
                        + (isToNarrow(group) ? narrow(site) : "");
            case CALLBACK ->
                what + " need not call back " + called(site.name(group.index)) + unnoticed
                        + (gap ? " Assert on what the callback does." : "");
            case TWICE -> what + " could be made twice" + unnoticed;
            case RESULT ->
                site.text() + ", called " + site.at() + ", could return otherwise" + change + unnoticed
                        + (gap ? " Assert on the result." : "");
            case THROWN ->
                "If " + what + " failed (" + group.change
                        + "), no test would notice. Should a test suppose that it fails?";
            case SILENT ->
                "If the future that " + what
                        + " returns never completed, no test would notice. Should a test cover that?";
            case ORDER ->
                what + " could be " + group.change + " in \"" + TestNames.readable(group.test)
                        + "\", and no test notices. Does the order matter?";
            case EXTRA -> throw new IllegalStateException("A call too many is asked about by " + MissingCalls.class);
        };
    }

    private static String another(Group group) {
        String name = called(group.site.name(group.index));
        if (group.part.isEmpty()) {
            return "another " + name;
        }
        return group.part.contains(" ") ? name + " without " + group.part : "another " + name + "." + group.part + "()";
    }

    /** If a supposition accepts any argument, it lets another argument pass; no check is missing. */
    private static boolean isToNarrow(Group group) {
        return !group.site.isCommand()
                && !group.site.isCountedExactly()
                && group.site.defaulted().isEmpty()
                && !Verbs.isCommand(group.site.method());
    }

    private static String narrow(CallPlace site) {
        return " Let the supposition fit " + (site.arguments().size() == 1 ? "this argument" : "these arguments")
                + " only.";
    }

    /** A parameter without a name in the class file is named by its position. */
    static String called(String name) {
        if (!name.startsWith(UNNAMED)) {
            return name;
        }
        int place = Integer.parseInt(name.substring(UNNAMED.length()));
        return (place <= PLACES.size() ? PLACES.get(place - 1) : place + "th") + " argument";
    }

    private List<Proposal> proposals(Group group) {
        CallPlace site = group.site;
        Disturbance disturbance = group.first();
        Receiver receiver = receiver(site, disturbance.test());
        List<Proposal> all = new ArrayList<>();
        switch (group.kind) {
            case LOST, TWICE -> {
                add(all, exactly(site, receiver), site, receiver, disturbance);
                add(all, anyOf(site, receiver), site, receiver, disturbance);
            }
            case ARGUMENT -> {
                if (isToNarrow(group)) {
                    String exact = site.written(receiver.variable());
                    boolean writable = !exact.isEmpty() && !site.answer().isEmpty();
                    String narrower = writable ? "suppose(" + exact + ").returns(" + site.answer() + ");" : "";
                    add(all, narrower, site, receiver, null);
                    return all;
                }
                add(all, exactly(site, receiver), site, receiver, disturbance);
                String condition = group.part.isEmpty() ? lambda(site, group.index) : "";
                if (!condition.isEmpty()) {
                    String where = any(site, receiver) + ".where(" + condition + ")";
                    add(all, where + times(site.count()), site, receiver, disturbance);
                    add(all, where + ".atLeast(1);", site, receiver, disturbance);
                }
            }
            case ORDER -> addOrder(all, group, receiver);
            case ANSWER, CALLBACK, RESULT, EXTRA, THROWN, SILENT -> {}
        }
        return all;
    }

    private void addOrder(List<Proposal> all, Group group, Receiver receiver) {
        Disturbance disturbance = group.first();
        List<CallPlace> sites = tests.get(disturbance.test()).sites();
        for (int i = 0; i + 1 < sites.size(); i++) {
            CallPlace first = sites.get(i);
            if (first.key().equals(disturbance.site()) && first.occurrence() == disturbance.occurrence()) {
                CallPlace next = sites.get(i + 1);
                Receiver other = receiver(next, disturbance.test());
                String statement = "inThisOrder(() -> {\n    " + inOrder(first, receiver) + "\n    "
                        + inOrder(next, other) + "\n});";
                Set<String> imports = new TreeSet<>(first.imports());
                imports.addAll(next.imports());
                all.add(new Proposal(statement, imports, List.of(receiver, other), disturbance));
                return;
            }
        }
    }

    private static String inOrder(CallPlace site, Receiver receiver) {
        String exactly = exactly(site, receiver);
        return exactly.isEmpty() ? anyOf(site, receiver) : exactly;
    }

    /** A check of exactly this call and count; empty if an argument cannot be written down. */
    private static String exactly(CallPlace site, Receiver receiver) {
        String call = site.written(receiver.variable());
        return call.isEmpty() ? "" : "verify(" + call + ")" + times(site.ofText());
    }

    /** A check of all calls of the method. */
    private static String anyOf(CallPlace site, Receiver receiver) {
        return any(site, receiver) + times(site.count());
    }

    /** Adds a statement unless it is empty, with imports for the types that it uses. */
    private static void add(
            List<Proposal> all,
            String statement,
            CallPlace written,
            Receiver receiver,
            @Nullable Disturbance disturbance) {
        if (!statement.isEmpty()) {
            all.add(new Proposal(statement, written.imports(), List.of(receiver), disturbance));
        }
    }

    /** A statement that forbids a call in a test. */
    Proposal never(CallPlace site, Disturbance disturbance) {
        Receiver receiver = receiver(site, disturbance.test());
        return new Proposal(any(site, receiver) + ".never();", Set.of(), List.of(receiver), disturbance);
    }

    /** A statement that sets the default answer of a call; null if that cannot be written down. */
    @Nullable
    Proposal defaulted(CallPlace site, String test) {
        Receiver receiver = receiver(site, test);
        return site.answer().isEmpty()
                ? null
                : new Proposal(
                        "suppose(" + receiver.variable() + "::" + site.method() + ").returns(" + site.answer() + ");",
                        site.imports(),
                        List.of(receiver),
                        null);
    }

    private static String any(CallPlace site, Receiver receiver) {
        return "verify(" + receiver.variable() + "::" + site.method() + ")";
    }

    /** The variable of a test that holds a double: the one with its name, or else the only one of its type. */
    private Receiver receiver(CallPlace site, String test) {
        String name = site.receiver();
        Message.Named named = new Message.Named(name, site.type());
        if (site.isOfClass()) {
            return new Receiver(name, "", named, true);
        }
        Map<String, String> variables = tests.get(test).variables();
        String type = site.type().replace('$', '.');
        String known = variables.get(name);
        if (known != null) {
            return new Receiver(name, known, named, true);
        }
        List<String> ofType = variables.keySet().stream()
                .filter(each -> raw(variables.get(each)).equals(type))
                .toList();
        return ofType.size() == 1
                ? new Receiver(ofType.get(0), variables.get(ofType.get(0)), named, true)
                : new Receiver(name, type, named, false);
    }

    private static String raw(String type) {
        int generic = type.indexOf('<');
        return generic < 0 ? type : type.substring(0, generic);
    }

    private static String times(int count) {
        return count == 1 ? ".once();" : ".times(" + count + ");";
    }

    /** A condition that only the argument meets; empty if that cannot be written down. */
    private static String lambda(CallPlace site, int index) {
        List<String> names = new ArrayList<>();
        for (int i = site.isOfInstance() ? 1 : 0; i < site.arguments().size(); i++) {
            names.add(site.name(i).replace(UNNAMED, "p"));
        }
        String value = site.value(index);
        if (value.isEmpty()) {
            return "";
        }
        String name = site.name(index).replace(UNNAMED, "p");
        String all = String.join(", ", names);
        boolean primitive = value.matches("-?[0-9].*|true|false|'.*'|null|[\\w$.]+\\.[A-Z_0-9]+");
        return (names.size() == 1 ? all : "(" + all + ")") + " -> "
                + (primitive ? name + " == " + value : name + ".equals(" + value + ")");
    }
}
