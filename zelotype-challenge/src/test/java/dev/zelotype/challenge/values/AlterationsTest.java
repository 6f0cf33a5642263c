package dev.zelotype.challenge.values;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.lang.reflect.Method;
import java.lang.reflect.Type;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.net.URI;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.Period;
import java.time.Year;
import java.time.YearMonth;
import java.time.ZoneId;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Currency;
import java.util.Date;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Queue;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * For every argument and return value of a collaborator there is another value of the same type that is not equal to
 * it.
 */
class AlterationsTest {

    enum Sky {
        CLEAR,
        FOG
    }

    record Frame(int number, String name) {}

    record Checked(int degrees) {
        Checked {
            if (degrees < 0 || degrees > 360) {
                throw new IllegalArgumentException("no angle");
            }
        }
    }

    static final class Money {
        private final long cents;
        private final Currency currency;

        Money(long cents, Currency currency) {
            this.cents = cents;
            this.currency = currency;
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof Money money && cents == money.cents && currency.equals(money.currency);
        }

        @Override
        public int hashCode() {
            return Objects.hash(cents, currency);
        }
    }

    /** The return types of its methods are the tested types, with their type arguments. */
    interface Types {
        List<String> texts();

        List<List<Frame>> nested();

        Set<Sky> skies();

        EnumSet<Sky> exactly();

        SortedSet<String> sorted();

        Queue<Integer> queue();

        Map<String, Integer> map();

        SortedMap<String, Frame> sortedMap();

        Optional<Frame> optional();

        CompletableFuture<String> future();

        Iterable<String> iterable();

        Object anything();
    }

    record Value(Object value, Type type) {}

    private static Value of(Object value) {
        return new Value(value, value.getClass());
    }

    private static Value as(String method, Object value) {
        for (Method each : Types.class.getDeclaredMethods()) {
            if (each.getName().equals(method)) {
                return new Value(value, each.getGenericReturnType());
            }
        }
        throw new IllegalArgumentException(method);
    }

    static Stream<Value> values() {
        List<Value> all = new ArrayList<>();
        for (double number : new double[] {0, -0.0, 2.5, 9.46e20, -1e300, Double.MIN_VALUE, Double.NaN, 1.0 / 0}) {
            all.add(new Value(number, double.class));
            all.add(new Value((float) number, float.class));
        }
        for (long number : new long[] {0, 1, -1, 40, Integer.MIN_VALUE, Integer.MAX_VALUE}) {
            all.add(new Value((int) number, int.class));
            all.add(new Value((short) number, Short.class));
            all.add(new Value((byte) number, byte.class));
            all.add(new Value(number << 32, long.class));
            all.add(of(BigInteger.valueOf(number).pow(9)));
            all.add(of(BigDecimal.valueOf(number).scaleByPowerOfTen(40)));
        }
        Stream.of("", "rain", 'x', 'y', true, Sky.FOG, new Frame(3, "raw"), new Checked(300), UUID.randomUUID())
                .forEach(each -> all.add(of(each)));
        Stream.of(Locale.FRANCE, Locale.ROOT, URI.create("http://a.example/b"), Currency.getInstance("SEK"))
                .forEach(each -> all.add(of(each)));
        Stream.of(Duration.ZERO, Duration.ofNanos(1), Duration.ofSeconds(Long.MAX_VALUE), Period.ofDays(3))
                .forEach(each -> all.add(of(each)));
        Stream.of(Instant.MAX, Instant.MIN, Instant.EPOCH, LocalDate.MAX, LocalTime.NOON, Year.of(2030))
                .forEach(each -> all.add(of(each)));
        Stream.of(YearMonth.of(2030, 1), new Date(0), new java.sql.Timestamp(9), new File("a/b"), OptionalInt.empty())
                .forEach(each -> all.add(of(each)));
        Stream.of(new IllegalStateException("stuck"), new java.io.IOException()).forEach(each -> all.add(of(each)));
        Stream.of(new Money(900, Currency.getInstance("CHF")), new int[] {1, 2}, new int[0], new String[][] {{"a"}})
                .forEach(each -> all.add(of(each)));
        all.add(new Value(Path.of("a/b"), Path.class));
        all.add(new Value(StandardCharsets.UTF_16, Charset.class));
        all.add(new Value(ZoneId.of("Europe/Paris"), ZoneId.class));
        all.add(as("texts", List.of()));
        all.add(as("texts", List.of("north")));
        all.add(as("texts", List.of("north", "south")));
        all.add(as("nested", List.of(List.of(new Frame(1, "raw")))));
        all.add(as("skies", EnumSet.allOf(Sky.class)));
        all.add(as("exactly", EnumSet.of(Sky.FOG)));
        all.add(as("sorted", new TreeSet<>(Set.of("a", "b"))));
        all.add(as("queue", new ArrayDeque<>(List.of(1, 2))));
        all.add(as("map", Map.of()));
        all.add(as("map", Map.of("a", 1)));
        all.add(as("sortedMap", new TreeMap<>(Map.of("a", new Frame(1, "raw")))));
        all.add(as("optional", Optional.empty()));
        all.add(as("optional", Optional.of(new Frame(1, "raw"))));
        all.add(as("future", CompletableFuture.completedFuture("a")));
        all.add(as("iterable", List.of("a", "b")));
        all.add(as("anything", "rain"));
        all.add(new Value(null, String.class));
        return all.stream();
    }

    @ParameterizedTest
    @MethodSource("values")
    void another_value_is_of_the_same_type_and_never_equal(Value given) {
        List<Object> others = Alterations.of(given.value(), given.type());

        assertThat(others).isNotEmpty().allSatisfy(other -> {
            assertThat(Objects.deepEquals(given.value(), other)).as("%s", other).isFalse();
            Class<?> raw = Alterations.raw(given.type());
            assertThat(raw.isPrimitive() || raw.isInstance(other))
                    .as("%s", other)
                    .isTrue();
        });
    }

    @ParameterizedTest
    @MethodSource("values")
    void a_changed_part_leaves_the_others_as_they_are(Value given) {
        Map<String, Object> parts = Alterations.parts(given.value(), given.type());

        if (given.value() instanceof Frame frame) {
            assertThat(parts.keySet()).containsExactly("number", "name");
            assertThat(((Frame) parts.get("name")).number()).isEqualTo(frame.number());
            assertThat(((Frame) parts.get("number")).name()).isEqualTo(frame.name());
        } else if (given.value() instanceof List<?> list && list.size() > 1) {
            assertThat(parts.get("its first element")).isEqualTo(list.subList(1, list.size()));
            assertThat(parts.get("its last element")).isEqualTo(list.subList(0, list.size() - 1));
        } else {
            assertThat(parts.values()).doesNotContain(given.value());
        }
    }
}
