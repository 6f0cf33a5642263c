package dev.zelotype.examples.plain;

import static dev.zelotype.Zelotype.suppose;

import dev.zelotype.Scene;
import dev.zelotype.examples.observatory.FocusSweep;
import dev.zelotype.examples.observatory.SerialLink;
import dev.zelotype.examples.observatory.SiderealClock;

/**
 * Replaces a static clock and a link that the subject builds itself, without any test framework.
 */
public final class PlainReplacement {

    private PlainReplacement() {}

    /**
     * Runs the example.
     *
     * @param arguments unused
     */
    public static void main(String[] arguments) {
        try (Scene scene = Scene.open()) {
            suppose(SiderealClock::now).returns(4711L);
            suppose((String port) -> new SerialLink(port));
            suppose(SerialLink::send).returns(10, 30, 20);

            System.out.println(new FocusSweep().sharpest(3));
            System.out.println(scene.conversationText());
        }
    }
}
