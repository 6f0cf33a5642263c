package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import java.lang.reflect.Method;
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
import org.junit.jupiter.api.Test;

/**
 * What nobody said an answer for: containers that can be filled, and nothing that leads code round in circles.
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

    /** Methods that give the type itself: a builder's go on with the double, those that lead elsewhere end. */
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
}
