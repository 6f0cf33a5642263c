package dev.observatory;

import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static org.junit.jupiter.api.Assertions.assertEquals;

import dev.zelotype.Scene;
import org.junit.jupiter.api.Test;

class OwnSceneTest {

    @Test
    void a_humid_evening_leaves_the_dome_alone() {
        try (Scene scene = Scene.open()) {
            WeatherStation weather = stub(WeatherStation.class);
            suppose(weather::humidity).returns(95);

            assertEquals(0, new Evening(weather, stub(Dome.class)).begin());
            assertEquals(1, scene.conversation().calls().size());
        }
    }
}
