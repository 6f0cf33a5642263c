package dev.zelotype.examples.guide;

import static dev.zelotype.Zelotype.stub;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import java.io.IOException;
import java.lang.reflect.Method;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.Enumeration;
import java.util.Iterator;
import java.util.LinkedList;
import java.util.List;
import java.util.ListIterator;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Spliterator;
import java.util.TreeMap;
import java.util.Vector;
import java.util.concurrent.BlockingDeque;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.BaseStream;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * The guide's table of empty values is correct: a double is asked for each of its types.
 */
class EmptyValuesTableTest {

    /** A method for each type of the table, named after the type. */
    interface Everything {
        String ofString();

        CharSequence ofCharSequence();

        Optional<String> ofOptional();

        OptionalInt ofOptionalInt();

        OptionalLong ofOptionalLong();

        OptionalDouble ofOptionalDouble();

        List<String> ofList();

        LinkedList<String> ofLinkedList();

        Deque<String> ofDeque();

        BlockingQueue<String> ofBlockingQueue();

        BlockingDeque<String> ofBlockingDeque();

        Vector<String> ofVector();

        TreeMap<String, String> ofTreeMap();

        Stream<String> ofStream();

        IntStream ofIntStream();

        LongStream ofLongStream();

        DoubleStream ofDoubleStream();

        Iterator<String> ofIterator();

        ListIterator<String> ofListIterator();

        Enumeration<String> ofEnumeration();

        Spliterator<String> ofSpliterator();

        CompletableFuture<String> ofCompletableFuture();

        CompletionStage<String> ofCompletionStage();

        Future<String> ofFuture();
    }

    interface Others {
        int number();

        Character letter();

        boolean[] flags();

        Others size(int size);

        Others getParent();

        Others next();

        Others findChild(String name);

        Instant time();
    }

    private static final Pattern ROW = Pattern.compile("\\| (.*) \\| (.*) \\|");
    private static final Pattern TYPE = Pattern.compile("`([A-Z]\\w+)`");

    private static List<String[]> table() throws IOException {
        List<String[]> rows = new ArrayList<>();
        String page = Files.readString(Path.of("../docs/guide/doubles.md"));
        page.substring(page.indexOf("## Empty values")).lines().forEach(line -> {
            Matcher row = ROW.matcher(line);
            if (row.matches()) {
                rows.add(new String[] {row.group(1), row.group(2)});
            }
        });
        return rows;
    }

    private static String said(Object value) {
        if (value instanceof String) {
            return "`\"" + value + "\"`";
        } else if (value instanceof Collection<?> || value instanceof Map<?, ?>) {
            return "a new, empty, mutable one";
        } else if (value instanceof BaseStream<?, ?> stream) {
            return stream.iterator().hasNext() ? "full" : "empty";
        } else if (value instanceof Iterator<?> iterator) {
            return iterator.hasNext() ? "going on" : "exhausted";
        } else if (value instanceof Enumeration<?> enumeration) {
            return enumeration.hasMoreElements() ? "going on" : "exhausted";
        } else if (value instanceof Spliterator<?> spliterator) {
            return spliterator.tryAdvance(each -> {}) ? "going on" : "exhausted";
        } else if (value instanceof CompletableFuture<?> future) {
            return "".equals(future.getNow(null)) ? "completed, with the empty value of its type argument" : "open";
        }
        return value.toString().endsWith(".empty") ? "empty" : value.toString();
    }

    @Test
    void each_type_that_the_table_names_is_as_it_says() throws Exception {
        try (Scene scene = Scene.open()) {
            Everything everything = stub(Everything.class);
            int asked = 0;
            for (String[] row : table()) {
                Matcher type = TYPE.matcher(row[0]);
                while (type.find()) {
                    Method method = Everything.class.getMethod("of" + type.group(1));
                    assertThat(said(method.invoke(everything)))
                            .as(type.group(1))
                            .isEqualTo(row[1]);
                    asked++;
                }
            }
            assertThat(asked).as("every type").isGreaterThanOrEqualTo(20);
            assertThat(scene.conversation().calls()).hasSize(asked);
        }
    }

    @Test
    void the_rows_without_a_type_hold() throws IOException {
        Others others = stub(Others.class);
        assertThat(others.number() + others.letter() + others.flags().length).isZero();
        assertThat(others.size(3)).isSameAs(others);
        assertThat(others.getParent()).isNull();
        assertThat(others.next()).isNull();
        assertThat(others.findChild("north")).isNull();
        assertThat(others.time()).isNull();
        assertThat(table())
                .extracting(row -> row[0] + ": " + row[1])
                .contains(
                        "a primitive or its box: 0, false, the character 0",
                        "an array: one of length 0",
                        "the doubled type itself, from a fluent method such as `size(3)`: the double",
                        "the doubled type itself, from a method that navigates"
                                + " (`getParent`, `next`, `findChild`): `null`",
                        "anything else: `null`");
    }
}
