package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.params.provider.Arguments.arguments;

import dev.zelotype.Scene;
import dev.zelotype.call.Query0;
import dev.zelotype.error.MisuseException;
import java.io.BufferedReader;
import java.io.StringReader;
import java.math.BigDecimal;
import java.nio.ByteBuffer;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.Deque;
import java.util.Enumeration;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Scanner;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import java.util.concurrent.atomic.LongAdder;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * A pattern is read and not run: it does not change objects of the test, and code that might is refused.
 */
class HarmlessPatternTest {

    interface Log {
        int note(Object what);

        int flag(boolean what);
    }

    private static final Log LOG = stub(Log.class);

    private final Scene scene = Scene.open();

    @AfterEach
    void close() {
        scene.close();
    }

    static Stream<Arguments> harmful() {
        Iterator<String> names = List.of("a").iterator();
        Enumeration<String> more = Collections.enumeration(List.of("a"));
        AtomicInteger number = new AtomicInteger();
        AtomicReference<String> name = new AtomicReference<>("a");
        LongAdder adder = new LongAdder();
        StringBuilder text = new StringBuilder("a");
        Scanner words = new Scanner("a b");
        Matcher matcher = Pattern.compile("a").matcher("a");
        Stream<String> stream = Stream.of("a");
        IntStream numbers = IntStream.of(1);
        BufferedReader reader = new BufferedReader(new StringReader("a\nb"));
        ByteBuffer bytes = ByteBuffer.wrap(new byte[] {1, 2});
        Random random = new Random(1);
        Deque<String> queue = new ArrayDeque<>(List.of("a"));
        List<String> list = new ArrayList<>(List.of("a"));
        Map<String, Integer> map = new TreeMap<>(Map.of("a", 1));
        boolean[] flags = {false};
        int[] counts = {0};
        String[] texts = {"a"};
        return Stream.of(
                arguments("next()", (Query0<?>) () -> LOG.note(names.next())),
                arguments("nextElement()", (Query0<?>) () -> LOG.note(more.nextElement())),
                arguments("incrementAndGet()", (Query0<?>) () -> LOG.note(number.incrementAndGet())),
                arguments("getAndIncrement()", (Query0<?>) () -> LOG.note(number.getAndIncrement())),
                arguments("getAndSet()", (Query0<?>) () -> LOG.note(name.getAndSet("b"))),
                arguments("compareAndSet()", (Query0<?>) () -> LOG.flag(name.compareAndSet("a", "b"))),
                arguments("sumThenReset()", (Query0<?>) () -> LOG.note(adder.sumThenReset())),
                arguments("append()", (Query0<?>) () -> LOG.note(text.append("b"))),
                arguments("insert()", (Query0<?>)
                        () -> LOG.note(text.insert(0, "b").toString())),
                arguments("a word", (Query0<?>) () -> LOG.note(words.next())),
                arguments("hasNext() of a scanner", (Query0<?>) () -> LOG.flag(words.hasNext())),
                arguments("find()", (Query0<?>) () -> LOG.flag(matcher.find())),
                arguments("matches()", (Query0<?>) () -> LOG.flag(matcher.matches())),
                arguments("a stream", (Query0<?>) () -> LOG.note(stream.count())),
                arguments("a part of a stream", (Query0<?>)
                        () -> LOG.note(numbers.map(n -> n + 1).sum())),
                arguments("a reader", (Query0<?>) () -> LOG.note(reader.readLine())),
                arguments("a reader within", (Query0<?>) () -> LOG.note(new Scanner(reader).nextLine())),
                arguments("a relative get()", (Query0<?>) () -> LOG.note(bytes.get())),
                arguments("nextInt()", (Query0<?>) () -> LOG.note(random.nextInt())),
                arguments("poll()", (Query0<?>) () -> LOG.note(queue.poll())),
                arguments("an iterator of a view", (Query0<?>)
                        () -> LOG.flag(map.keySet().remove("a"))),
                arguments("removeIf()", (Query0<?>) () -> LOG.flag(list.removeIf(each -> true))),
                arguments("computeIfAbsent()", (Query0<?>) () -> LOG.note(map.computeIfAbsent("b", key -> 2))),
                arguments("a static method", (Query0<?>) () -> LOG.flag(Collections.addAll(list, "b"))),
                arguments("interrupted()", (Query0<?>) () -> LOG.flag(Thread.interrupted())),
                arguments("an array", (Query0<?>) () -> LOG.note(counts[0]++)),
                arguments("an array of flags", (Query0<?>) () -> LOG.flag(flags[0] = true)),
                arguments("an array of texts", (Query0<?>) () -> LOG.note(texts[0] = "b")));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("harmful")
    void what_may_change_something_is_refused(String what, Query0<?> pattern) {
        assertThatThrownBy(() -> suppose(pattern))
                .as(what)
                .isInstanceOf(MisuseException.class)
                .hasMessageMatching(
                        "(?s)This pattern .*(runs real code before its call: |writes into an array).*Cure: .+");
    }

    static Stream<Arguments> harmless() {
        List<String> list = List.of("b", "a");
        Map<String, Integer> map = new TreeMap<>(Map.of("a", 1));
        StringBuilder text = new StringBuilder("abc");
        AtomicInteger number = new AtomicInteger(7);
        int[] counts = {3};
        Optional<String> maybe = Optional.of("a");
        BigDecimal exact = new BigDecimal("1.50");
        Pattern letters = Pattern.compile("[a-z]");
        return Stream.of(
                arguments("b", (Query0<?>) () -> LOG.note(list.get(0))),
                arguments("a", (Query0<?>)
                        () -> LOG.note(list.stream().sorted().toList().get(0))),
                arguments("b", (Query0<?>) () -> LOG.note(list.iterator().next())),
                arguments("a", (Query0<?>) () -> LOG.note(new ArrayDeque<>(list).pollLast())),
                arguments(
                        "a", (Query0<?>) () -> LOG.note(map.keySet().iterator().next())),
                arguments(1, (Query0<?>) () -> LOG.note(map.getOrDefault("a", 9))),
                arguments(1, (Query0<?>) () -> LOG.note(text.indexOf("b"))),
                arguments("abcd", (Query0<?>)
                        () -> LOG.note(new StringBuilder(text).append('d').toString())),
                arguments(7, (Query0<?>) () -> LOG.note(number.get())),
                arguments(4, (Query0<?>) () -> LOG.note(counts[0] + 1)),
                arguments(3, (Query0<?>) () -> LOG.note(new int[] {1, 2, 3}.length)),
                arguments("a", (Query0<?>) () -> LOG.note(maybe.orElse("none"))),
                arguments(new BigDecimal("3.00"), (Query0<?>) () -> LOG.note(exact.add(exact))),
                arguments(true, (Query0<?>) () -> LOG.note(letters.matcher("a").matches())),
                arguments(Duration.ofMinutes(2), (Query0<?>)
                        () -> LOG.note(Duration.ofSeconds(60).multipliedBy(2))),
                arguments(LocalDate.EPOCH, (Query0<?>)
                        () -> LOG.note(LocalDate.of(1970, 1, 2).minusDays(1))),
                arguments("a", (Query0<?>) () -> LOG.note(new Scanner("a b").next())),
                arguments(List.of("a", "b"), (Query0<?>) () -> LOG.note(Arrays.asList("a", "b"))),
                arguments("B", (Query0<?>)
                        () -> LOG.note(String.valueOf(list.get(0)).toUpperCase())),
                arguments("b", (Query0<?>) () -> LOG.note(Collections.max(list, Comparator.naturalOrder()))),
                arguments(6, (Query0<?>)
                        () -> LOG.note(IntStream.rangeClosed(1, 3).sum())));
    }

    @ParameterizedTest
    @MethodSource("harmless")
    void what_only_looks_or_makes_something_new_is_run(Object argument, Query0<?> pattern) {
        suppose(pattern).fails(new IllegalStateException("covered"));
        assertThatThrownBy(() -> LOG.note(argument)).hasMessage("covered");
        assertThat(LOG.note("something else")).isZero();
    }
}
