package dev.zelotype.jvm;

import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;

import dev.zelotype.Scene;
import dev.zelotype.observatory.Hardware.Reading;
import dev.zelotype.observatory.Hardware.SerialLink;
import dev.zelotype.observatory.Hardware.SiderealClock;
import dev.zelotype.observatory.Observatory.Mount;

/** Replaces something of each kind. */
public final class Replacing {

    private Replacing() {}

    public static void run() {
        try (Scene scene = Scene.open()) {
            Mount mount = stub(Mount.class);
            suppose(mount::rate).returns(15);
            suppose(SiderealClock::now).returns(7L);
            suppose((String port) -> new SerialLink(port));
            suppose(SerialLink::send).returns(3);
            suppose(stub(Reading.class)::doubled).returns(8);
            long sum = mount.rate() + SiderealClock.now() + ask();
            if (sum != 25 || scene.conversation().calls().size() < 4) {
                throw new IllegalStateException("replaced wrongly: " + sum);
            }
        }
    }

    private static int ask() {
        return new SerialLink("COM1").send("x");
    }
}
