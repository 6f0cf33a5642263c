package dev.zelotype.examples.plain;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.suppose;

import dev.zelotype.Scene;
import dev.zelotype.doubles.Kind;
import dev.zelotype.examples.observatory.Dome;
import dev.zelotype.examples.observatory.NightRun;
import dev.zelotype.examples.observatory.WeatherStation;
import java.util.List;

/**
 * Tests a subject without any test framework. When run, it prints the conversation; break {@link NightRun}, and it
 * fails.
 */
public final class PlainScene {

    private PlainScene() {}

    /**
     * Runs the example.
     *
     * @param arguments unused
     */
    public static void main(String[] arguments) {
        try (Scene scene = Scene.open()) {
            Dome dome = scene.the(Dome.class, Kind.MOCK);
            expect(dome::open).never();
            suppose(scene.the(WeatherStation.class)::humidity).returns(95);

            scene.subject(NightRun.class).observe(List.of("Harrow-2"));

            System.out.println(scene.conversationText());
        }
    }
}
