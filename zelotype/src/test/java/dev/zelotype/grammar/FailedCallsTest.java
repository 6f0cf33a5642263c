package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import dev.zelotype.call.Act3;
import dev.zelotype.conversation.RecordedCall;
import dev.zelotype.host.HostedScene;
import dev.zelotype.observatory.Observatory.Camera;
import java.nio.channels.CompletionHandler;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Future;
import java.util.concurrent.FutureTask;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;

/**
 * Whether a call failed although it did not throw: its answer passed an exception to a callback, or returned a future
 * that failed. What counts is what happened, not what the code of the answer could do.
 */
class FailedCallsTest {

    /** Reports failures with its own methods. */
    interface Download {
        interface Listener {
            void ready(String frame);

            void broken(Exception reason, int tries);
        }

        void begin(Listener listener);

        int size(BiConsumer<String, Throwable> whenKnown);

        void read(CompletionHandler<Integer, String> handler);
    }

    private static final Exception SHUTTER = new Exception("shutter stuck");

    private final List<Object> kept = new ArrayList<>();

    private void fail(Consumer<Exception> onFailure) {
        onFailure.accept(SHUTTER);
    }

    private void failing(Duration time, Consumer<String> onFrame, Consumer<Exception> onFailure) {
        fail(onFailure);
    }

    private void succeeding(Duration time, Consumer<String> onFrame, Consumer<Exception> onFailure) {
        onFrame.accept("frame 12");
    }

    private Exception fault() {
        return SHUTTER;
    }

    @Test
    void an_answer_that_hands_an_exception_to_a_callback_lets_the_call_fail() {
        Exception captured = new IllegalStateException("cold");
        Map<String, Act3<Duration, Consumer<String>, Consumer<Exception>>> failing = new TreeMap<>();
        failing.put("new", (time, onFrame, onFailure) -> onFailure.accept(new Exception("shutter stuck")));
        failing.put("captured", (time, onFrame, onFailure) -> onFailure.accept(captured));
        failing.put("constant", (time, onFrame, onFailure) -> onFailure.accept(SHUTTER));
        failing.put("asked", (time, onFrame, onFailure) -> onFailure.accept(fault()));
        failing.put("after a frame", (time, onFrame, onFailure) -> {
            onFrame.accept("half a frame");
            Exception reason = new Exception("shutter stuck");
            onFailure.accept(reason);
        });
        failing.put("by a method", (time, onFrame, onFailure) -> fail(onFailure));
        failing.put("named", this::failing);
        failing.put("a branch", (time, onFrame, onFailure) -> {
            if (time.toSeconds() > 1) {
                onFailure.accept(SHUTTER);
            } else {
                onFrame.accept("frame 12");
            }
        });
        failing.put("on another thread", (time, onFrame, onFailure) -> {
            Thread other = new Thread(() -> onFailure.accept(SHUTTER));
            other.start();
            other.join();
        });
        failing.put("later", (time, onFrame, onFailure) -> {
            Runnable later = () -> onFailure.accept(SHUTTER);
            later.run();
        });
        Map<String, Act3<Duration, Consumer<String>, Consumer<Exception>>> fine = new TreeMap<>();
        fine.put("a frame", (time, onFrame, onFailure) -> onFrame.accept("frame 12"));
        fine.put("kept for later", (time, onFrame, onFailure) -> kept.add(onFailure));
        fine.put("named", this::succeeding);
        fine.put("nothing", (time, onFrame, onFailure) -> {});
        fine.put("an exception for another consumer", (time, onFrame, onFailure) -> kept.add(new Exception("mine")));
        fine.put("another branch", (time, onFrame, onFailure) -> {
            if (time.toSeconds() > 60) {
                onFailure.accept(SHUTTER);
            } else {
                onFrame.accept("frame 12");
            }
        });
        fine.put("null", (time, onFrame, onFailure) -> onFailure.accept(null));

        failing.forEach((form, answer) -> assertThat(isFailing(answer)).as(form).isTrue());
        fine.forEach((form, answer) -> assertThat(isFailing(answer)).as(form).isFalse());
    }

    private static boolean isFailing(Act3<Duration, Consumer<String>, Consumer<Exception>> answer) {
        HostedScene hosted =
                HostedScene.of(SceneSettings.defaults()).keepingDetails(true).open();
        try (Scene scene = hosted.scene()) {
            Camera camera = stub(Camera.class);
            suppose(camera::expose).does(answer);
            camera.expose(Duration.ofSeconds(2), frame -> {}, failure -> {});
            return scene.conversation().calls().get(0).failed();
        }
    }

    interface Archive {
        CompletableFuture<String> find(String name);

        Future<String> fetch(String name);
    }

    @Test
    void a_future_is_asked_whether_it_has_failed() {
        try (Scene scene = Scene.open()) {
            Archive archive = stub(Archive.class);
            FutureTask<String> broken = new FutureTask<>(() -> {
                throw new IllegalStateException("Completed normally");
            });
            broken.run();
            CompletableFuture<String> later = new CompletableFuture<>();
            suppose(archive::find)
                    .returns(
                            CompletableFuture.completedFuture("[Completed exceptionally"),
                            CompletableFuture.failedFuture(SHUTTER),
                            new CompletableFuture<>(),
                            later);
            suppose(archive::fetch).returns(broken);
            for (int i = 0; i < 4; i++) {
                archive.find("plate 7");
            }
            archive.fetch("plate 7");
            later.completeExceptionally(SHUTTER);
            assertThat(scene.conversation().calls())
                    .extracting(RecordedCall::failed)
                    .containsExactly(false, true, false, true, true);
        }
    }

    /** Writes exceptions to the night log. */
    static class Diary {
        String note(Exception reason) {
            return "noted: " + reason.getMessage();
        }
    }

    @Test
    void an_exception_for_the_real_code_is_none_for_a_callback() {
        HostedScene hosted =
                HostedScene.of(SceneSettings.defaults()).keepingDetails(true).open();
        try (Scene scene = hosted.scene()) {
            Diary diary = spy(new Diary());
            suppose(diary::note).around((real, reason) -> real.ask(new Exception("shutter stuck")));
            assertThat(diary.note(SHUTTER)).isEqualTo("noted: shutter stuck");
            assertThat(scene.conversation().calls().get(0).failed()).isFalse();
        }
    }

    @Test
    void whatever_interface_the_callback_has() {
        HostedScene hosted =
                HostedScene.of(SceneSettings.defaults()).keepingDetails(true).open();
        try (Scene scene = hosted.scene()) {
            Download download = stub(Download.class);
            suppose(download::begin)
                    .does(listener -> listener.broken(SHUTTER, 3))
                    .does(each -> each.ready("frame 12"));
            suppose(download::size)
                    .answers(whenKnown -> {
                        whenKnown.accept(null, SHUTTER);
                        return 0;
                    })
                    .answers(whenKnown -> {
                        whenKnown.accept("12 MB", null);
                        return 12;
                    });
            suppose(download::read)
                    .does(handler -> handler.failed(SHUTTER, "plate"))
                    .does(handler -> handler.completed(12, "plate"));
            Download.Listener listener = stub(Download.Listener.class);
            @SuppressWarnings("unchecked")
            CompletionHandler<Integer, String> handler = stub(CompletionHandler.class);
            for (int i = 0; i < 2; i++) {
                download.begin(listener);
                download.size((size, failure) -> {});
                download.read(handler);
            }
            assertThat(scene.conversation().calls())
                    .filteredOn(call -> call.receiver().equals("download"))
                    .extracting(RecordedCall::failed)
                    .containsExactly(true, true, true, false, false, false);
        }
    }
}
