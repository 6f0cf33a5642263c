package dev.zelotype.jvm;

import static dev.zelotype.Zelotype.suppose;
import static java.util.concurrent.TimeUnit.MILLISECONDS;
import static java.util.concurrent.TimeUnit.SECONDS;

import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import dev.zelotype.observatory.Hardware.SiderealClock;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Timer;
import java.util.TimerTask;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.Future;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.RecursiveTask;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.stream.IntStream;
import java.util.stream.LongStream;

/**
 * Tasks for existing pools, in each form that the JDK has. Prints which tasks did not see the scene in which they were
 * created, and whether tasks left over from a closed scene, or without a scene, see another one.
 */
@SuppressWarnings("try")
final class Pools {

    private static final long TOLD = 7;

    private Pools() {}

    /** A pool whose hooks do not call those of its superclass. */
    private static final class Hooked extends ThreadPoolExecutor {
        Hooked() {
            super(1, 1, 1, SECONDS, new LinkedBlockingQueue<>());
        }

        @Override
        protected void beforeExecute(Thread thread, Runnable task) {}

        @Override
        protected void afterExecute(Runnable task, Throwable thrown) {}
    }

    private static final class Sum extends RecursiveTask<Long> {
        private static final long serialVersionUID = 1L;
        private final int left;

        Sum(int left) {
            this.left = left;
        }

        @Override
        protected Long compute() {
            if (left == 0) {
                return SiderealClock.now();
            }
            Sum forked = new Sum(left - 1);
            forked.fork();
            return Math.max(SiderealClock.now(), forked.join());
        }
    }

    private static long executed(Executor executor) throws Exception {
        CompletableFuture<Long> result = new CompletableFuture<>();
        executor.execute(() -> result.complete(SiderealClock.now()));
        return result.get(10, SECONDS);
    }

    private static long most(List<Future<Long>> results) throws ExecutionException, InterruptedException {
        long most = 0;
        for (Future<Long> each : results) {
            most = Math.max(most, each.get());
        }
        return most;
    }

    public static void main(String[] arguments) throws Exception {
        ExecutorService fixed = Executors.newFixedThreadPool(2);
        ExecutorService hooked = new Hooked();
        ForkJoinPool forks = new ForkJoinPool(2);
        ScheduledExecutorService scheduled = Executors.newScheduledThreadPool(1);
        for (ExecutorService each : List.of(fixed, hooked, forks, scheduled)) {
            each.submit(() -> {}).get();
        }
        CompletableFuture.runAsync(() -> {}).get();
        Callable<Long> now = SiderealClock::now;

        Map<String, Callable<Long>> forms = new LinkedHashMap<>();
        forms.put("submit", () -> fixed.submit(now).get());
        forms.put("execute", () -> executed(fixed));
        forms.put("hooked submit", () -> hooked.submit(now).get());
        forms.put("invokeAll", () -> most(fixed.invokeAll(List.of(now, now))));
        forms.put("invokeAny", () -> fixed.invokeAny(List.of(now)));
        forms.put("fork submit", () -> forks.submit(now).get());
        forms.put("fork execute", () -> executed(forks));
        forms.put("fork invokeAll", () -> most(forks.invokeAll(List.of(now, now))));
        forms.put("recursive", () -> forks.invoke(new Sum(5)));
        forms.put("common pool", () -> ForkJoinPool.commonPool().submit(now).get());
        forms.put("schedule", () -> scheduled.schedule(now, 1, MILLISECONDS).get());
        forms.put("fixed rate", () -> {
            CompletableFuture<Long> second = new CompletableFuture<>();
            CountDownLatch runs = new CountDownLatch(2);
            Future<?> ticks = scheduled.scheduleAtFixedRate(
                    () -> {
                        runs.countDown();
                        if (runs.getCount() == 0) {
                            second.complete(SiderealClock.now());
                        }
                    },
                    0,
                    1,
                    MILLISECONDS);
            try {
                return second.get(10, SECONDS);
            } finally {
                ticks.cancel(true);
            }
        });
        forms.put("timer", () -> {
            CompletableFuture<Long> result = new CompletableFuture<>();
            Timer timer = new Timer(true);
            timer.schedule(
                    new TimerTask() {
                        @Override
                        public void run() {
                            result.complete(SiderealClock.now());
                        }
                    },
                    1);
            return result.get(10, SECONDS);
        });
        forms.put(
                "supplyAsync",
                () -> CompletableFuture.supplyAsync(SiderealClock::now).get());
        forms.put(
                "supplyAsync on a pool",
                () -> CompletableFuture.supplyAsync(SiderealClock::now, fixed).get());
        forms.put(
                "thenApplyAsync",
                () -> CompletableFuture.supplyAsync(() -> 1L)
                        .thenApplyAsync(one -> SiderealClock.now())
                        .thenApplyAsync(one -> Math.min(one, SiderealClock.now()), hooked)
                        .get());
        forms.put(
                "delayed",
                () -> CompletableFuture.supplyAsync(
                                SiderealClock::now, CompletableFuture.delayedExecutor(1, MILLISECONDS))
                        .get());
        forms.put("completed later", () -> {
            CompletableFuture<Long> open = new CompletableFuture<>();
            CompletableFuture<Long> later = open.thenApplyAsync(one -> SiderealClock.now());
            new Thread(null, () -> open.complete(1L), "outside", 0, false).start();
            return later.get(10, SECONDS);
        });
        forms.put(
                "parallel stream",
                () -> IntStream.range(0, 1000)
                        .parallel()
                        .mapToLong(i -> SiderealClock.now())
                        .max()
                        .getAsLong());
        forms.put("parallel of longs", () -> {
            long[] all = new long[20_000];
            Arrays.parallelSetAll(all, i -> SiderealClock.now());
            return LongStream.of(all)
                    .parallel()
                    .map(one -> Math.max(one, SiderealClock.now()))
                    .max()
                    .getAsLong();
        });
        forms.put("thread", () -> {
            CompletableFuture<Long> result = new CompletableFuture<>();
            new Thread(() -> result.complete(SiderealClock.now())).start();
            return result.get(10, SECONDS);
        });

        try (Scene scene = Scene.open()) {
            suppose(SiderealClock::now).returns(TOLD);
            for (Map.Entry<String, Callable<Long>> each : forms.entrySet()) {
                long seen = each.getValue().call();
                if (seen != TOLD) {
                    System.out.println(each.getKey() + " did not see the scene");
                }
            }
        }
        leftOver(scheduled, now);
        try (Scene scene = Scene.open(SceneSettings.defaults().tasksFollow(false))) {
            suppose(SiderealClock::now).returns(TOLD);
            System.out.println("stay: " + (fixed.submit(now).get() == TOLD));
        }
        System.out.println("done");
        System.exit(0);
    }

    private static void leftOver(ScheduledExecutorService scheduled, Callable<Long> now) throws Exception {
        CompletableFuture<Long> seen = new CompletableFuture<>();
        CountDownLatch go = new CountDownLatch(1);
        try (Scene closed = Scene.open()) {
            suppose(SiderealClock::now).returns(TOLD);
            scheduled.execute(() -> {
                try {
                    go.await();
                    seen.complete(SiderealClock.now());
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                }
            });
            Future<Long> queued = scheduled.submit(now);
            try (Scene next = Scene.open()) {
                suppose(SiderealClock::now).returns(8L);
                closed.close();
                go.countDown();
                System.out.println("left over: " + (seen.get(10, SECONDS) > 8));
                System.out.println("queued: " + (queued.get(10, SECONDS) > 8));
                System.out.println("named: "
                        + next.notes().stream()
                                .anyMatch(note -> note.contains("by work left over from a closed scene")));
            }
        }
    }
}
