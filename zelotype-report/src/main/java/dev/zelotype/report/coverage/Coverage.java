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
 * For Zelotype's own tools: which methods of each doubled type the tests exercise, and how. Memory is bounded by the
 * number of methods. For one thread.
 *
 * <pre>{@code
 * Coverage coverage = new Coverage();
 * JournalReader.read(folder, coverage);
 * coverage.rows(Coverage.Order.NAME).forEach(System.out::println);
 * }</pre>
 */
public final class Coverage implements JournalSink {

    private final Map<String, Map<String, Counts>> types = new TreeMap<>();
    /** What was supposed of each method. */
    private final Map<Method, Set<String>> answers = new HashMap<>();
    /** What came of claims; broken once is broken. */
    private final Map<Claimed, Boolean> claims = new HashMap<>();

    /** How a test can mention a method, or call it. */
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

    /** In how many tests each way occurs. */
    private static final class Counts {
        private final Map<Way, Integer> tests = new EnumMap<>(Way.class);

        int of(Way way) {
            return tests.getOrDefault(way, 0);
        }
    }

    /** The ways that occur in one test, each once a method. */
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

    /** Starts with nothing. */
    public Coverage() {}

    /** In which order methods are listed. */
    public enum Order {
        /** By type, then as the type lists its methods. */
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
         * How many answers were not compared with a real object.
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
     * Adds a claim that was held against a real object.
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
     * All methods.
     *
     * @param order in which order
     * @return one row a method
     */
    public List<Row> rows(Order order) {
        List<Row> rows = new ArrayList<>();
        types.forEach((type, methods) -> methods.forEach((method, counts) -> {
            // A constructor is a collaborator's only where a test replaces it.
            boolean spokenOf = !counts.tests.isEmpty();
            if (spokenOf || !method.startsWith("new(")) {
                rows.add(row(new Method(type, method), counts));
            }
        }));
        rows.sort(order.rows);
        return rows;
    }

    /**
     * Leaves out types that come with a platform or a language: no project exercises all of a {@code ResultSet}.
     *
     * @param rows the methods to look at
     * @return those of other types; all of them if every type is of that kind
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
