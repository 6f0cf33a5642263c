package dev.zelotype.challenge;

import dev.zelotype.challenge.Finding.Weight;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * What nobody noticed, as a sentence, with the statement that would.
 */
final class FindingText {

    private static final String UNNAMED = "argument ";
    private static final List<String> PLACES =
            List.of("first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth");

    private FindingText() {}

    static Finding of(Weight weight, Group group) {
        CallPlace site = group.site;
        String what = site.text() + " at " + site.place();
        String nobody = weight == Weight.GAP
                ? ", and no test notices."
                : "; the tests crash on it, so it is unclear whether a check would notice it.";
        String sentence = switch (group.kind) {
            case ANSWER ->
                what + " could answer otherwise" + (group.change.isEmpty() ? "" : " (" + group.change + ")") + nobody
                        + (weight == Weight.GAP ? " Assert on what becomes of the answer." : "");
            case LOST -> what + " could be left out" + nobody;
            case ARGUMENT ->
                what + " could be given another " + called(site.name(group.index))
                        + (group.change.isEmpty() ? "" : " (" + group.change + ")") + nobody;
            case CALLBACK ->
                what + " need not call back " + called(site.name(group.index)) + nobody
                        + (weight == Weight.GAP ? " Assert on what the callback does." : "");
            case TWICE -> what + " could be made twice" + nobody;
            case RESULT ->
                site.text() + ", called at " + site.place() + ", could return otherwise"
                        + (group.change.isEmpty() ? "" : " (" + group.change + ")") + nobody
                        + (weight == Weight.GAP ? " Assert on the result." : "");
            case EXTRA -> throw new IllegalStateException("A call too many is a question, and no gap.");
        };
        Set<String> reaching = new LinkedHashSet<>();
        if (group.passed) {
            // The statement is counted out for this one.
            reaching.add(group.test);
        }
        reaching.addAll(group.tests);
        return new Finding(weight, site, group.kind, sentence, statement(group), List.copyOf(reaching));
    }

    /** A parameter that no class file names is told by its place. */
    private static String called(String name) {
        if (!name.startsWith(UNNAMED)) {
            return name;
        }
        int place = Integer.parseInt(name.substring(UNNAMED.length()));
        return (place <= PLACES.size() ? PLACES.get(place - 1) : place + "th") + " argument";
    }

    private static String statement(Group group) {
        CallPlace site = group.site;
        String any = "verify(" + site.receiver() + "::" + site.method() + ")";
        String exact = "verify(" + site.written() + ")" + times(site.ofText());
        return switch (group.kind) {
            case LOST, TWICE -> site.written().isEmpty() ? any + times(site.count()) : exact;
            case ARGUMENT ->
                site.written().isEmpty() ? any + ".where(" + lambda(site, group.index) + ").atLeast(1);" : exact;
            case ANSWER, CALLBACK, RESULT, EXTRA -> "";
        };
    }

    private static String times(int count) {
        return count == 1 ? ".once();" : ".times(" + count + ");";
    }

    private static String lambda(CallPlace site, int index) {
        List<String> names = new ArrayList<>();
        for (int i = 0; i < site.arguments().length(); i++) {
            names.add(site.name(i).replace("argument ", "p"));
        }
        String all = String.join(", ", names);
        String value = site.value(index);
        String name = names.get(index);
        boolean primitive = value.matches("-?[0-9].*|true|false|'.*'|null|[\\w$]+\\.[A-Z_0-9]+");
        return (names.size() == 1 ? all : "(" + all + ")") + " -> "
                + (primitive
                        ? name + " == " + value
                        : name + ".equals(" + (value.isEmpty() ? "expected" : value) + ")");
    }
}
