package dev.zelotype.replaced;

import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import dev.zelotype.error.MisuseException;
import dev.zelotype.observatory.Hardware.SerialLink;
import dev.zelotype.observatory.Hardware.SiderealClock;
import dev.zelotype.observatory.Observatory.WeatherStation;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.SynchronousQueue;
import org.junit.jupiter.api.Test;

/**
 * Random programs that open, nest and close scenes on two threads, with statements and calls in between, behave like a
 * simple model: a call is answered by the nearest scene of its thread with a statement about it, and counts for each
 * open scene of the thread up to the outermost one that knows the called double.
 */
class NestedScenesModelTest {

    private static final int PROGRAMS = Integer.getInteger("zelotype.programs", 1500);
    private static final int STEPS = 30;
    private static final int MOST_OPEN = 3;
    private static final List<String> ARGUMENTS = List.of("a", "b");

    private enum Target {
        STATIC,
        SPIED,
        SHARED
    }

    private static final SerialLink LINK = new SerialLink("tty");
    private static final WeatherStation SHARED = stub(WeatherStation.class, "shared");

    /** The model's state of a scene. */
    private static final class Modelled {
        private final Modelled around;
        private final Scene scene;
        private boolean open = true;
        private final Set<Target> knows = EnumSet.noneOf(Target.class);
        private final Map<Target, List<String[]>> said = new EnumMap<>(Target.class);
        private final Map<Target, List<String>> calls = new EnumMap<>(Target.class);

        Modelled(Modelled around, Scene scene) {
            this.around = around;
            this.scene = scene;
            for (Target target : Target.values()) {
                said.put(target, new ArrayList<>());
                calls.put(target, new ArrayList<>());
            }
        }

        static Modelled open(Modelled from) {
            Modelled found = from;
            while (found != null && !found.open) {
                found = found.around;
            }
            return found;
        }

        /** The open scenes, from this one outwards. */
        List<Modelled> chain() {
            List<Modelled> chain = new ArrayList<>();
            for (Modelled each = open(this); each != null; each = open(each.around)) {
                chain.add(each);
            }
            return chain;
        }
    }

    /** A thread that performs one action after the other, with the model's state of it. */
    private static final class Worker {
        private final SynchronousQueue<Runnable> errands = new SynchronousQueue<>();
        private final SynchronousQueue<Object[]> results = new SynchronousQueue<>();
        private Modelled seat;

        private final boolean isHere;

        /** The thread of the test itself takes part, because handing over tasks takes most of the time. */
        Worker(boolean isHere) {
            this.isHere = isHere;
            if (!isHere) {
                Thread thread = new Thread(null, this::work, "model", 0, false);
                thread.setDaemon(true);
                thread.start();
            }
        }

        private void work() {
            try {
                while (true) {
                    errands.take().run();
                }
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }

        Object run(Callable<?> errand) throws Exception {
            if (isHere) {
                return errand.call();
            }
            errands.put(() -> {
                Object[] result = new Object[2];
                try {
                    result[0] = errand.call();
                } catch (Throwable e) {
                    result[1] = e;
                }
                try {
                    results.put(result);
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                }
            });
            Object[] result = results.take();
            if (result[1] instanceof Exception e) {
                throw e;
            } else if (result[1] instanceof Error e) {
                throw e;
            }
            return result[0];
        }

        List<Modelled> chain() {
            Modelled innermost = Modelled.open(seat);
            return innermost == null ? List.of() : innermost.chain();
        }
    }

    /** One random program. */
    private static final class Program {
        private final Random random;
        private final Worker[] workers;
        private final List<Modelled> scenes = new ArrayList<>();
        private final StringBuilder told = new StringBuilder();

        Program(long seed, Worker[] workers) {
            this.random = new Random(seed);
            this.workers = workers;
            for (Worker each : workers) {
                each.seat = null;
            }
        }

        void run() throws Exception {
            for (int i = 0; i < STEPS; i++) {
                int who = random.nextInt(workers.length);
                Worker worker = workers[who];
                told.append("\n  thread ").append(who).append(": ");
                switch (random.nextInt(8)) {
                    case 0, 1 -> open(worker);
                    case 2 -> close(worker);
                    case 3, 4 -> say(worker);
                    case 5 -> check(worker);
                    default -> call(worker);
                }
            }
            for (Modelled each : scenes) {
                if (each.open) {
                    each.open = false;
                    workers[0].run(() -> {
                        each.scene.close();
                        return null;
                    });
                }
            }
            for (Worker each : workers) {
                each.run(() -> {
                    Scene.open().close();
                    return null;
                });
            }
        }

        private List<Modelled> openScenes() {
            return scenes.stream().filter(each -> each.open).toList();
        }

        private void open(Worker worker) throws Exception {
            if (openScenes().size() == MOST_OPEN) {
                told.append("nothing");
                return;
            }
            Scene scene = (Scene) worker.run(Scene::open);
            Modelled opened = new Modelled(Modelled.open(worker.seat), scene);
            worker.seat = opened;
            scenes.add(opened);
            told.append("opens scene ").append(scenes.size());
        }

        private void close(Worker worker) throws Exception {
            List<Modelled> open = openScenes();
            if (open.isEmpty()) {
                told.append("nothing");
                return;
            }
            Modelled closed = open.get(random.nextInt(open.size()));
            closed.open = false;
            told.append("closes scene ").append(scenes.indexOf(closed) + 1);
            worker.run(() -> {
                closed.scene.close();
                return null;
            });
        }

        private void say(Worker worker) throws Exception {
            if (worker.chain().isEmpty()) {
                told.append("nothing");
                return;
            }
            Modelled scene = worker.chain().get(0);
            Target target = Target.values()[random.nextInt(Target.values().length)];
            String argument = random.nextBoolean() ? null : ARGUMENTS.get(random.nextInt(ARGUMENTS.size()));
            int answer = 100 + random.nextInt(900);
            told.append("says ")
                    .append(target)
                    .append('(')
                    .append(argument)
                    .append(") = ")
                    .append(answer);
            scene.knows.add(target);
            scene.said.get(target).add(new String[] {argument, String.valueOf(answer)});
            worker.run(() -> {
                say(target, argument, answer);
                return null;
            });
        }

        private static void say(Target target, String argument, int answer) {
            switch (target) {
                case STATIC -> {
                    var said = suppose((String site) -> SiderealClock.offset(site, 0));
                    (argument == null ? said : said.with(argument)).returns((long) answer);
                }
                case SPIED -> {
                    var said = suppose(spy(LINK)::send);
                    (argument == null ? said : said.with(argument)).returns(answer);
                }
                case SHARED -> {
                    var said = suppose(SHARED::humidityAt);
                    (argument == null ? said : said.with(argument)).returns(answer);
                }
            }
        }

        private void call(Worker worker) throws Exception {
            Target target = Target.values()[random.nextInt(Target.values().length)];
            String argument = ARGUMENTS.get(random.nextInt(ARGUMENTS.size()));
            told.append("calls ").append(target).append('(').append(argument).append(')');
            boolean byChild = random.nextInt(4) == 0;
            Callable<Object> call = () -> called(target, argument);
            Object answer = worker.run(byChild ? () -> onChild(call) : call);
            assertThat(answer).as(told.toString()).isEqualTo(expected(worker, target, argument));
        }

        private static Object called(Target target, String argument) {
            return switch (target) {
                case STATIC -> (int) SiderealClock.offset(argument, 0);
                case SPIED -> LINK.send(argument);
                case SHARED -> SHARED.humidityAt(argument);
            };
        }

        private static Object onChild(Callable<Object> call) throws Exception {
            Object[] answer = new Object[1];
            Thread child = new Thread(() -> {
                try {
                    answer[0] = call.call();
                } catch (Exception e) {
                    answer[0] = e;
                }
            });
            child.start();
            child.join();
            return answer[0];
        }

        /** The answer of a call in the model; it counts for the scenes that see it. */
        private int expected(Worker worker, Target target, String argument) {
            List<Modelled> chain = worker.chain();
            if (chain.isEmpty() && target == Target.SHARED) {
                chain = onlyChain();
            }
            int levels = 0;
            for (int i = 0; i < chain.size(); i++) {
                if (target == Target.SHARED || chain.get(i).knows.contains(target)) {
                    levels = i + 1;
                }
            }
            Integer answer = null;
            for (Modelled each : chain.subList(0, levels)) {
                each.calls.get(target).add(argument);
                List<String[]> said = each.said.get(target);
                for (int i = said.size() - 1; i >= 0 && answer == null; i--) {
                    if (said.get(i)[0] == null || said.get(i)[0].equals(argument)) {
                        answer = Integer.valueOf(said.get(i)[1]);
                    }
                }
            }
            int real = target == Target.SHARED ? 0 : argument.length();
            return Objects.requireNonNullElse(answer, real);
        }

        /** A call on a thread without a scene belongs to the open scenes if they are nested in one another. */
        private List<Modelled> onlyChain() {
            for (Modelled each : openScenes()) {
                if (each.chain().size() == openScenes().size()) {
                    return each.chain();
                }
            }
            return List.of();
        }

        private void check(Worker worker) throws Exception {
            List<Modelled> chain = worker.chain();
            if (chain.isEmpty()) {
                told.append("nothing");
                return;
            }
            Target target = Target.values()[random.nextInt(Target.values().length)];
            boolean known = target == Target.SHARED || chain.stream().anyMatch(each -> each.knows.contains(target));
            told.append("checks ").append(target);
            Object found = worker.run(() -> {
                try {
                    return recordedOf(target);
                } catch (MisuseException e) {
                    return "refused";
                }
            });
            assertThat(found)
                    .as(told.toString())
                    .isEqualTo(known ? chain.get(0).calls.get(target) : "refused");
        }

        private static List<String> recordedOf(Target target) {
            return switch (target) {
                case STATIC -> recorded((String site) -> SiderealClock.offset(site, 0));
                case SPIED -> recorded(LINK::send);
                case SHARED -> recorded(SHARED::humidityAt);
            };
        }
    }

    @Test
    void random_programs_do_what_the_model_says() throws Exception {
        Worker[] workers = {new Worker(true), new Worker(false)};
        long first = 20260;
        for (long seed = first; seed < first + PROGRAMS; seed++) {
            try {
                new Program(seed, workers).run();
            } catch (Exception | AssertionError e) {
                throw new AssertionError("program " + seed, e);
            }
        }
        assertThat(LINK.send("real")).isEqualTo(4);
        assertThat(Collections.singletonList(SHARED.humidityAt("x"))).containsExactly(0);
    }
}
