package dev.zelotype.jvm;

import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;

import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import dev.zelotype.observatory.Hardware.Gain;
import dev.zelotype.observatory.Hardware.Reading;
import dev.zelotype.observatory.Hardware.SerialLink;
import dev.zelotype.observatory.Hardware.SiderealClock;
import dev.zelotype.observatory.Machinery.Stepper;
import dev.zelotype.observatory.Observatory.NightLog;
import java.util.ArrayList;
import java.util.List;

/**
 * Opens many scenes of one kind, and prints how many bytes of memory each of them still holds after it was closed.
 */
final class Scenes {

    private static final int LARGE = 20_000;
    private static final int SCENES = 1_000;
    private static final int MOST_ROUNDS = 8;

    /** What a thread that is started in a scene and never ends retains of it. */
    private static final List<Thread> LASTING = new ArrayList<>();

    private Scenes() {}

    public static void main(String[] arguments) throws InterruptedException {
        long used = 0;
        long least = Long.MAX_VALUE;
        // What is kept once for a type, a method or a line is there after the first rounds, but the JVM may take up
        // memory of its own at any time. What scenes leak is there in each round.
        for (int round = 0; round < MOST_ROUNDS && least > 0; round++) {
            open(arguments[0], round * SCENES);
            long more = used() - used;
            used += more;
            least = round < 2 ? least : Math.min(least, more / SCENES);
        }
        System.out.println(least);
        System.exit(0);
    }

    private static void open(String sort, int from) {
        for (int i = from; i < from + SCENES; i++) {
            try (Scene scene = Scene.open(SceneSettings.defaults().linesOfCalls(0))) {
                one(sort, i);
                scene.conversationText();
            }
        }
    }

    /** Bytes that are still used after garbage collection. */
    private static long used() throws InterruptedException {
        for (int i = 0; i < 3; i++) {
            System.gc();
            // Whoever waits for collected objects gets time to react.
            Thread.sleep(20);
        }
        return Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
    }

    private static void one(String sort, int number) {
        String large = "x".repeat(LARGE);
        switch (sort) {
            case "interface" -> {
                NightLog log = spy(NightLog.class);
                log.note(large);
                verify(log::append).never();
            }
            case "class" -> {
                Stepper stepper = stub(Stepper.class);
                suppose(stepper::describe).returns(large);
                stepper.describe();
            }
            case "final" -> {
                SerialLink link = stub(SerialLink.class);
                suppose(link::send).returns(3);
                link.send(large);
            }
            case "record" -> {
                Reading reading = stub(Reading.class, large);
                suppose(reading::doubled).returns(number);
                reading.doubled();
            }
            case "enum" -> {
                suppose(spy(Gain.HIGH, large)::factor).returns(number);
                Gain.HIGH.factor();
            }
            case "static" -> {
                suppose((String site) -> SiderealClock.offset(site, 3)).returns(5L);
                SiderealClock.offset(large, 3);
            }
            case "constructor" -> {
                suppose((String port) -> new SerialLink(port)).returns(stub(SerialLink.class));
                new SerialLink(large);
            }
            case "spy" -> {
                SerialLink link = spy(new SerialLink("tty"));
                link.send(large);
            }
            case "thread" -> {
                NightLog log = spy(NightLog.class);
                log.note(large);
                if (number % 10 == 0 && LASTING.size() < 100) {
                    Thread thread = new Thread(Scenes::waitForEver);
                    thread.setDaemon(true);
                    thread.start();
                    LASTING.add(thread);
                }
            }
            default -> throw new IllegalArgumentException(sort);
        }
    }

    private static void waitForEver() {
        try {
            Thread.sleep(Long.MAX_VALUE);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
