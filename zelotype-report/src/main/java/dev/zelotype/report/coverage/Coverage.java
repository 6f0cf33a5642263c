package dev.zelotype.report.coverage;

import dev.zelotype.conversation.Conversation;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.conversation.TestStatement;
import dev.zelotype.conversation.Verb;
import dev.zelotype.doubles.DoubledType;
import dev.zelotype.journal.JournalClaim;
import dev.zelotype.journal.JournalScene;
import dev.zelotype.journal.JournalSink;
import dev.zelotype.tools.TypeNames;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * For Zelotype's own tools: which methods of each doubled type the tests use, and how. Memory is bounded by the number
 * of methods. For one thread.
 *
 * <pre>{@code
 * Coverage coverage = new Coverage();
 * JournalReader.read(folder, coverage);
 * coverage.rows(Coverage.Order.NAME).forEach(System.out::println);
 * }</pre>
 */
public final class Coverage implements JournalSink {

    private final Map<String, Map<String, Counts>> types = new TreeMap<>();
    /** The suppositions about each method. */
    private final Map<Method, Set<String>> answers = new HashMap<>();
    /** Results of claims; a claim that was broken once counts as broken. */
    private final Map<Claimed, Boolean> claims = new HashMap<>();

    /** How a test can use a method. */
    private enum Way {
        SUPPOSED,
        EXPECTED,
        VERIFIED,
        CALLED,
        FAILED;

        static Way of(Verb verb) {
            return switch (verb) {
                case SUPPOSED -> SUPPOSED;
                case EXPECTED -> EXPECTED;
                case VERIFIED, RECORDED, NOTHING_ELSE -> VERIFIED;
            };
        }
    }

    private record Method(String type, String signature) {}

    private record Claimed(Method method, String call) {}

    /** The number of tests for each use. */
    private static final class Counts {
        private final Map<Way, Integer> tests = new EnumMap<>(Way.class);

        int of(Way way) {
            return tests.getOrDefault(way, 0);
        }
    }

    /** The uses in one test, each once per method. */
    private final class InTest {
        private final Map<Way, Set<Method>> counted = new EnumMap<>(Way.class);

        void count(@Nullable String type, String signature, Way way) {
            if (type != null
                    && counted.computeIfAbsent(way, first -> new HashSet<>()).add(new Method(type, signature))) {
                types.computeIfAbsent(type, name -> new TreeMap<>())
                        .computeIfAbsent(signature, name -> new Counts())
                        .tests
                        .merge(way, 1, Integer::sum);
            }
        }
    }

    /** An empty coverage. */
    public Coverage() {}

    /** The order of methods. */
    public enum Order {
        /** By type, then in declaration order. */
        NAME(Comparator.comparing(Row::type)),
        /** Those that no test calls first. */
        LEAST(Comparator.comparingInt(Row::called)),
        /** Those that most tests call first. */
        MOST(Comparator.comparingInt(Row::called).reversed());

        private final Comparator<Row> rows;

        Order(Comparator<Row> rows) {
            this.rows = rows;
        }
    }

    /**
     * A method and the number of tests that use it.
     *
     * @param type the binary name of the doubled type
     * @param method the method with the simple names of its parameter types
     * @param supposed how many tests set its answer
     * @param expected how many expected it
     * @param verified how many verified it
     * @param called how many called it
     * @param answers how many different answers the tests suppose
     * @param backed how many of these are confirmed by a claim that holds
     * @param broken how many of these are refuted by a broken claim
     * @param failed in how many it failed: it threw, returned a future that failed, or passed an exception to a
     *     callback
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
         * Returns how many answers were not compared with a real object.
         *
         * @return the number
         */
        public int unclaimed() {
            return answers - backed - broken;
        }

        /**
         * Tells whether tests call it, but never see it fail.
         *
         * @return whether it was called and never failed
         */
        public boolean isNeverFailing() {
            return called > 0 && failed == 0;
        }

        /**
         * Tells whether its type belongs to a platform or a language.
         *
         * @return whether it does, for example a type of the JDK
         */
        public boolean isOfPlatform() {
            return TypeNames.isOfPlatform(type);
        }

        /**
         * Tells whether any test calls it.
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
            Map<String, Counts> methods = types.computeIfAbsent(type.name(), name -> new TreeMap<>());
            type.methods().forEach(method -> methods.computeIfAbsent(method, name -> new Counts()));
        }
        Map<String, String> typeOf = conversation.typesOfDoubles();
        InTest test = new InTest();
        for (TestStatement statement : conversation.statements()) {
            String type = typeOf.get(statement.receiver());
            if (type != null && statement.verb() == Verb.SUPPOSED && !statement.link()) {
                answers.computeIfAbsent(new Method(type, statement.signature()), first -> new HashSet<>())
                        .add(statement.call());
            }
            if (!statement.signature().isEmpty()) {
                test.count(type, statement.signature(), Way.of(statement.verb()));
            }
        }
        for (RecordedCall call : conversation.calls()) {
            String type = typeOf.get(call.receiver());
            test.count(type, call.signature(), Way.CALLED);
            if (call.failed()) {
                test.count(type, call.signature(), Way.FAILED);
            }
        }
    }

    /**
     * Adds a claim that was checked against a real object.
     *
     * @param claim the claim
     */
    @Override
    public void add(JournalClaim claim) {
        Method method = new Method(claim.type(), claim.signature());
        claims.merge(new Claimed(method, claim.call()), claim.isKept(), Boolean::logicalAnd);
    }

    private Row row(Method method, Counts counts) {
        int backed = 0;
        int broken = 0;
        Set<String> said = answers.getOrDefault(method, Set.of());
        for (String call : said) {
            Boolean kept = claims.get(new Claimed(method, call));
            backed += kept != null && kept ? 1 : 0;
            broken += kept != null && !kept ? 1 : 0;
        }
        return new Row(
                method.type(),
                method.signature(),
                counts.of(Way.SUPPOSED),
                counts.of(Way.EXPECTED),
                counts.of(Way.VERIFIED),
                counts.of(Way.CALLED),
                said.size(),
                backed,
                broken,
                counts.of(Way.FAILED));
    }

    /**
     * Returns all methods.
     *
     * @param order the order
     * @return one row per method
     */
    public List<Row> rows(Order order) {
        List<Row> rows = new ArrayList<>();
        types.forEach((type, methods) -> methods.forEach((method, counts) -> {
            // A constructor only counts as a collaborator if a test replaces it.
            boolean spokenOf = !counts.tests.isEmpty();
            if (spokenOf || !method.startsWith("new(")) {
                rows.add(row(new Method(type, method), counts));
            }
        }));
        rows.sort(order.rows);
        return rows;
    }

    /**
     * Leaves out types of a platform or a language: no project uses all of a {@code ResultSet}.
     *
     * @param rows the methods to filter
     * @return those of other types; all of them if all are of the same type
     */
    public static List<Row> own(List<Row> rows) {
        List<Row> own = rows.stream().filter(row -> !row.isOfPlatform()).toList();
        return own.isEmpty() ? rows : own;
    }

    /**
     * Returns the share of used methods.
     *
     * @param rows the methods to filter
     * @return the percentage of methods that a test calls; 100 if there are none
     */
    public static double percent(List<Row> rows) {
        long exercised = rows.stream().filter(Row::isExercised).count();
        return rows.isEmpty() ? 100 : 100.0 * exercised / rows.size();
    }
}
