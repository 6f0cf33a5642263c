package dev.zelotype.jvm;

import static dev.zelotype.Zelotype.watch;

import dev.zelotype.Scene;
import dev.zelotype.observatory.Hardware.SerialLink;
import dev.zelotype.observatory.Hardware.SiderealClock;

/** Runs real code, with its classes woven and watched or not. */
final class Covered {

    private Covered() {}

    public static void main(String[] arguments) {
        if (arguments[0].equals("plain")) {
            System.out.println("calls " + work());
            return;
        }
        try (Scene scene = Scene.open()) {
            watch(SiderealClock.class, SerialLink.class);
            System.out.println(
                    "calls " + work() + " of " + scene.conversation().calls().size());
        }
    }

    private static long work() {
        SerialLink link = new SerialLink("tty");
        return SiderealClock.now() + SiderealClock.offset("north", 3) + link.send("focus");
    }
}
