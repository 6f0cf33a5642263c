package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import dev.zelotype.doubles.EmptyValue;
import dev.zelotype.error.MisuseException;
import dev.zelotype.error.UnexpectedCall;
import java.lang.reflect.Method;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.AbstractList;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashMap;
import java.util.Hashtable;
import java.util.LinkedList;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.PriorityQueue;
import java.util.Properties;
import java.util.Queue;
import java.util.Stack;
import java.util.Vector;
import java.util.WeakHashMap;
import java.util.concurrent.BlockingDeque;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ConcurrentNavigableMap;
import java.util.concurrent.ConcurrentSkipListSet;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CopyOnWriteArraySet;
import java.util.concurrent.DelayQueue;
import java.util.concurrent.LinkedBlockingDeque;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.PriorityBlockingQueue;
import java.util.concurrent.TransferQueue;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Default answers: containers that can be filled, and no values that cause endless loops.
 */
class EmptyValuesTest {

    private interface Containers {
        ArrayList<String> arrayList();

        LinkedList<String> linkedList();

        Vector<String> vector();

        Stack<String> stack();

        AbstractList<String> abstractList();

        PriorityQueue<String> priorityQueue();

        Queue<String> queue();

        Deque<String> deque();

        ArrayDeque<String> arrayDeque();

        BlockingQueue<String> blockingQueue();

        BlockingDeque<String> blockingDeque();

        TransferQueue<String> transferQueue();

        LinkedBlockingQueue<String> linkedBlockingQueue();

        LinkedBlockingDeque<String> linkedBlockingDeque();

        PriorityBlockingQueue<String> priorityBlockingQueue();

        ConcurrentLinkedQueue<String> concurrentLinkedQueue();

        ConcurrentLinkedDeque<String> concurrentLinkedDeque();

        ConcurrentSkipListSet<String> concurrentSkipListSet();

        CopyOnWriteArrayList<String> copyOnWriteArrayList();

        CopyOnWriteArraySet<String> copyOnWriteArraySet();

        HashMap<String, String> hashMap();

        Hashtable<String, String> hashtable();

        WeakHashMap<String, String> weakHashMap();

        NavigableMap<String, String> navigableMap();

        ConcurrentNavigableMap<String, String> concurrentNavigableMap();

        Properties properties();

        DelayQueue<?> delayQueue();
    }

    @Test
    @SuppressWarnings("unchecked")
    void containers_are_fresh_empty_and_can_be_filled() throws ReflectiveOperationException {
        try (Scene scene = Scene.open()) {
            Containers containers = stub(Containers.class);
            for (Method method : Containers.class.getMethods()) {
                Object one = method.invoke(containers);
                Object other = method.invoke(containers);
                assertThat(one).as(method.getName()).isNotNull().isNotSameAs(other);
                if (one instanceof Map<?, ?> map) {
                    ((Map<String, String>) map).put("M31", "seen");
                    assertThat(map).hasSize(1);
                } else if (!(one instanceof DelayQueue)) {
                    ((Collection<String>) one).add("M31");
                    assertThat((Collection<?>) one).hasSize(1);
                }
                assertThat(other instanceof Map<?, ?> map ? map.keySet() : (Collection<?>) other)
                        .isEmpty();
            }
            assertThat(scene.conversation().calls()).hasSize(2 * Containers.class.getMethods().length);
        }
    }

    /** Methods that return the type itself: those of builders return the double, those that navigate end. */
    private interface Part {
        Part size(int millimetres);

        Part withColor(String color);

        Part and();

        Part add(Part other);

        Part self();

        Part getParent();

        Part next();

        Part previous();

        Part parent();

        Part getCause();

        Part findChild(String name);

        Part first();

        Part copyOf();
    }

    @Test
    void a_method_that_gives_its_own_type_is_fluent_unless_it_leads_elsewhere() {
        try (Scene scene = Scene.open()) {
            for (Part part : List.<Part>of(stub(Part.class), spy(Part.class))) {
                assertThat(part.size(3).withColor("red").and().add(part).self()).isSameAs(part);
                int steps = 0;
                for (Part each = part.getParent(); each != null && steps < 100; each = each.getParent()) {
                    steps++;
                }
                for (Part each = part; each.next() != null && steps < 100; each = each.next()) {
                    steps++;
                }
                assertThat(steps).isZero();
                assertThat(java.util.Arrays.asList(
                                part.previous(),
                                part.parent(),
                                part.getCause(),
                                part.findChild("lens"),
                                part.first(),
                                part.copyOf()))
                        .containsOnlyNulls();
            }
            assertThat(scene.conversation().calls()).isNotEmpty();
        }
    }

    interface Forecasts {
        Duration delay();

        CompletableFuture<Duration> delayLater();

        List<String> warnings();

        Forecasts next(String from);

        int count();
    }

    /** As a team would define it in a file of its tests. */
    public static final class FiveSeconds implements EmptyValue {
        @Override
        public @Nullable Object of(Class<?> type) {
            return type == Duration.class ? Duration.ofSeconds(5) : null;
        }
    }

    @Test
    void a_team_says_the_empty_values_of_its_own_types(@TempDir Path folder) throws Exception {
        Forecasts shared = stub(Forecasts.class);
        assertThat(shared.delay()).isNull();
        EmptyValue zero = type -> type == Duration.class ? Duration.ZERO : null;
        try (Scene outer = Scene.open(SceneSettings.defaults().emptyValue(zero))) {
            Forecasts forecasts = stub(Forecasts.class);
            assertThat(forecasts.delay()).isEqualTo(Duration.ZERO);
            assertThat(forecasts.delayLater()).isCompletedWithValue(Duration.ZERO);
            assertThat(forecasts.warnings()).isEmpty();
            assertThat(forecasts.count()).isZero();
            assertThat(shared.delay()).isEqualTo(Duration.ZERO);
            try (Scene inner = Scene.open(
                    SceneSettings.defaults().emptyValue(type -> type == List.class ? List.of("storm") : null))) {
                assertThat(stub(Forecasts.class).delay()).isEqualTo(Duration.ZERO);
                assertThat(stub(Forecasts.class).warnings()).containsExactly("storm");
                assertThat(inner.conversationText()).contains("storm");
            }
            assertThat(outer.conversationText()).contains("PT0S");
        }
        Path services = Files.createDirectories(folder.resolve("META-INF/services"));
        Files.writeString(services.resolve(EmptyValue.class.getName()), FiveSeconds.class.getName());
        ClassLoader before = Thread.currentThread().getContextClassLoader();
        try (URLClassLoader loader =
                new URLClassLoader(new URL[] {folder.toUri().toURL()}, before)) {
            Thread.currentThread().setContextClassLoader(loader);
            try (Scene scene = Scene.open()) {
                assertThat(stub(Forecasts.class).delay()).isEqualTo(Duration.ofSeconds(5));
                assertThat(scene.conversationText()).contains("PT5S");
            }
            try (Scene scene = Scene.open(SceneSettings.defaults().emptyValue(zero))) {
                assertThat(stub(Forecasts.class).delay()).isEqualTo(Duration.ZERO);
                assertThat(scene.conversationText()).contains("PT0S");
            }
            Files.writeString(services.resolve(EmptyValue.class.getName()), "observatory.Nowhere");
            try (Scene scene = Scene.open()) {
                assertThatThrownBy(() -> stub(Forecasts.class).delay())
                        .hasMessageContaining("A service that gives empty values cannot be used")
                        .hasMessageContaining("observatory.Nowhere");
                assertThat(scene.conversationText()).doesNotContain("PT5S");
            }
        } finally {
            Thread.currentThread().setContextClassLoader(before);
        }
    }

    @Test
    void an_empty_value_of_another_type_is_refused() {
        try (Scene scene = Scene.open(SceneSettings.defaults().emptyValue(type -> "storm"))) {
            assertThatThrownBy(() -> stub(Forecasts.class).delay())
                    .isInstanceOf(MisuseException.class)
                    .hasMessageContaining("returned a java.lang.String as the empty value of java.time.Duration.");
            assertThat(scene.conversationText()).contains("delay()");
        }
    }

    @Test
    @SuppressWarnings("try")
    void the_same_question_without_end_is_refused() {
        Scene scene = Scene.open();
        Forecasts forecasts = stub(Forecasts.class);
        assertThatThrownBy(() -> {
                    while (forecasts.next("now") != forecasts) {
                        // Like a subject that waits for another answer.
                    }
                })
                .isInstanceOf(UnexpectedCall.class)
                .hasMessageContaining(
                        "forecasts.next(\"now\") was called 1100000 times from the same line, and each time"
                                + " no supposition covered it.")
                .hasMessageContaining("suppose(forecasts::next).returns(...);");
        assertThatThrownBy(scene::close).hasMessageContaining("1100000 times");
        try (Scene other = Scene.open(SceneSettings.defaults().linesOfCalls(0))) {
            Forecasts many = stub(Forecasts.class);
            for (int i = 0; i < 1_200_000; i++) {
                many.next(String.valueOf(i % 7 + i / 100_000));
            }
            verify(many::next).times(1_200_000);
        }
    }
}
