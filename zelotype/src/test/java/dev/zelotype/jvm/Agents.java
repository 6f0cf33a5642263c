package dev.zelotype.jvm;

import static dev.zelotype.Zelotype.suppose;

import dev.zelotype.Scene;
import dev.zelotype.observatory.Hardware.FocusSweep;
import dev.zelotype.observatory.Hardware.SerialLink;
import dev.zelotype.observatory.Hardware.SiderealClock;
import java.io.StringWriter;
import java.time.Instant;

/** A JVM in which static methods are replaced, with or without the agent on its command line. */
final class Agents {

    private Agents() {}

    public static void main(String[] arguments) throws Exception {
        try (Scene scene = Scene.open()) {
            suppose(SiderealClock::now).returns(7L);
            suppose((String port) -> new SerialLink(port));
            suppose(SerialLink::send).returns(2);
            suppose(() -> Instant.now()).returns(Instant.ofEpochSecond(5));
            System.out.println(new FocusSweep().run(3));
            scene.conversationText();
        }
        StringWriter listed = new StringWriter();
        System.getProperties().store(listed, "all properties are text");
        System.out.println(System.getProperties().values().stream().allMatch(String.class::isInstance));
    }
}
