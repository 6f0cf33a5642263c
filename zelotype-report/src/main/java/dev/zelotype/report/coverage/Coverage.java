package dev.zelotype.report.coverage;

import dev.zelotype.doubles.Conversation;
import dev.zelotype.doubles.DoubledType;
import dev.zelotype.doubles.RecordedCall;
import dev.zelotype.doubles.TestStatement;
import dev.zelotype.doubles.Verb;
import dev.zelotype.journal.JournalClaim;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.journal.JournalSink;
import dev.zelotype.tools.TypeNames;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * For Zelotype's own tools: which methods of each doubled type the tests exercise, and how. Memory is bounded by the
 * number of methods. For one thread.
 *
 * <pre>{@code
 * Coverage coverage = new Coverage();
 * JournalReader.read(folder, coverage);
 * coverage.rows(Coverage.Sort.NAME).forEach(System.out::println);
 * }</pre>
 */
public final class Coverage implements JournalSink {

    private static final int COLUMNS = 5;

    private final Map<String, Map<String, int[]>> types = new TreeMap<>();
    /** What was supposed of each method, by type and signature. */
    private final Map<String, Set<String>> answers = new TreeMap<>();
    /** What came of claims, by type, signature and calls; broken once is broken. */
    private final Map<String, Boolean> claims = new TreeMap<>();

    /** Starts with nothing. */
    public Coverage() {}

    /** In which order methods are listed. */
    public enum Sort {
        /** By type, then as the type lists its methods. */
        NAME(Comparator.comparing(Row::type)),
        /** Those that no test calls first. */
        LEAST(Comparator.comparingInt(Row::called)),
        /** Those that most tests call first. */
        MOST(Comparator.comparingInt(Row::called).reversed());

        private final Comparator<Row> order;

        Sort(Comparator<Row> order) {
            this.order = order;
        }
    }

    /**
     * A method and the number of tests that spoke of it.
     *
     * @param type the binary name of the doubled type
     * @param method the method with the simple names of its parameter types
     * @param supposed how many tests said what it answers
     * @param expected how many expected it beforehand
     * @param verified how many asked for it afterwards
     * @param called in how many it was called
     * @param answers how many different answers the tests suppose
     * @param backed how many of these a claim backs that a real object has kept
     * @param broken how many of these a real object has broken
     * @param failed in how many tests it failed: it threw, gave a future that did, or handed an exception over
     *     to a callback
     */
    public record Row(
            String type,
            String method,
            int supposed,
            int expected,
            int verified,
            int called,
            int answers,
            int backed,
            int broken,
            int failed) {

        /**
         * How many answers nobody has compared with a real object.
         *
         * @return the number
         */
        public int unclaimed() {
            return answers - backed - broken;
        }

        /**
         * Whether tests call it, and none sees it fail.
         *
         * @return whether it was called, and never failed
         */
        public boolean isNeverFailing() {
            return called > 0 && failed == 0;
        }

        /**
         * Whether its type comes with a platform or a language.
         *
         * @return whether it does, such as a type of the JDK
         */
        public boolean isOfPlatform() {
            return TypeNames.isOfPlatform(type);
        }

        /**
         * Whether any test exercises it.
         *
         * @return whether it was called
         */
        public boolean isExercised() {
            return called > 0;
        }
    }

    /**
     * Adds a test.
     *
     * @param scene the test
     */
    @Override
    public void add(JournalScene scene) {
        Conversation conversation = scene.conversation();
        for (DoubledType type : conversation.types()) {
            Map<String, int[]> methods = types.computeIfAbsent(type.name(), name -> new TreeMap<>());
            type.methods().forEach(method -> methods.computeIfAbsent(method, name -> new int[COLUMNS]));
        }
        Map<String, String> typeOf = conversation.typesOfDoubles();
        Set<String> counted = new HashSet<>();
        for (TestStatement statement : conversation.statements()) {
            String type = typeOf.get(statement.receiver());
            if (type != null && statement.verb() == Verb.SUPPOSED && !statement.link()) {
                answers.computeIfAbsent(type + "." + statement.signature(), first -> new HashSet<>())
                        .add(statement.call());
            }
            count(
                    counted,
                    typeOf.get(statement.receiver()),
                    statement.signature(),
                    switch (statement.verb()) {
                        case SUPPOSED -> 0;
                        case EXPECTED -> 1;
                        case VERIFIED, RECORDED -> 2;
                    });
        }
        for (RecordedCall call : conversation.calls()) {
            count(counted, typeOf.get(call.receiver()), call.signature(), 3);
            if (call.failed()) {
                count(counted, typeOf.get(call.receiver()), call.signature(), 4);
            }
        }
    }

    /**
     * Adds a claim that was held against a real object.
     *
     * @param claim the claim
     */
    @Override
    public void add(JournalClaim claim) {
        claims.merge(claim.type() + "." + claim.signature() + " " + claim.call(), claim.isKept(), Boolean::logicalAnd);
    }

    private Row row(String type, String method, int[] counts) {
        int backed = 0;
        int broken = 0;
        Set<String> said = answers.getOrDefault(type + "." + method, Set.of());
        for (String text : said) {
            Boolean kept = claims.get(type + "." + method + " " + text);
            backed += kept != null && kept ? 1 : 0;
            broken += kept != null && !kept ? 1 : 0;
        }
        return new Row(
                type, method, counts[0], counts[1], counts[2], counts[3], said.size(), backed, broken, counts[4]);
    }

    private void count(Set<String> counted, String type, String method, int column) {
        if (type != null && counted.add(column + type + "." + method)) {
            types.computeIfAbsent(type, name -> new TreeMap<>())
                    .computeIfAbsent(method, name -> new int[COLUMNS])[column]++;
        }
    }

    /**
     * All methods.
     *
     * @param sort in which order
     * @return one row a method
     */
    public List<Row> rows(Sort sort) {
        List<Row> rows = new ArrayList<>();
        types.forEach((type, methods) -> methods.forEach((method, counts) -> {
            // A constructor is a collaborator's only where a test replaces it.
            boolean spokenOf = Arrays.stream(counts).anyMatch(count -> count > 0);
            if (spokenOf || !method.startsWith("new(")) {
                rows.add(row(type, method, counts));
            }
        }));
        rows.sort(sort.order);
        return rows;
    }

    /**
     * Leaves out types that come with a platform or a language: nobody means to exercise all of a {@code ResultSet}.
     *
     * @param rows the methods to look at
     * @return those of other types; all of them if there are no others
     */
    public static List<Row> own(List<Row> rows) {
        List<Row> own = rows.stream().filter(row -> !row.isOfPlatform()).toList();
        return own.isEmpty() ? rows : own;
    }

    /**
     * How much is exercised.
     *
     * @param rows the methods to look at
     * @return the share of methods that a test calls, in percent; 100 if there is none
     */
    public static double percent(List<Row> rows) {
        long exercised = rows.stream().filter(Row::isExercised).count();
        return rows.isEmpty() ? 100 : 100.0 * exercised / rows.size();
    }
}
