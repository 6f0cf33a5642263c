package dev.zelotype.jvm;

import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;

import dev.zelotype.Scene;
import dev.zelotype.error.MisuseException;
import dev.zelotype.observatory.Hardware.SiderealClock;
import dev.zelotype.observatory.Observatory.Mount;

/** A JVM that lacks something: prints the result of each use. */
final class Poor {

    private Poor() {}

    /** A class: its doubles are created without a constructor call, unlike those of interfaces. */
    abstract static class Gauge {
        abstract int size();
    }

    public static void main(String[] arguments) {
        try (Scene scene = Scene.open()) {
            say(() -> {
                Mount mount = stub(Mount.class);
                suppose(mount::rate).returns(15);
                System.out.println("rate " + mount.rate());
            });
            say(() -> {
                suppose(SiderealClock::now).returns(7L);
                System.out.println("now " + SiderealClock.now());
            });
            say(() -> System.out.println("size " + stub(Gauge.class).size()));
            System.out.println(scene.conversation().doubles().size() + " doubles");
        }
    }

    private static void say(Runnable use) {
        try {
            use.run();
        } catch (MisuseException e) {
            System.out.println(e.getMessage().replace("\n", " "));
        }
    }
}
