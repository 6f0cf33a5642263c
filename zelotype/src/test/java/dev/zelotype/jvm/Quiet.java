package dev.zelotype.jvm;

import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;

import dev.zelotype.Scene;
import dev.zelotype.error.MisuseException;
import dev.zelotype.observatory.Hardware.Reading;
import dev.zelotype.observatory.Hardware.SerialLink;
import dev.zelotype.observatory.Hardware.SiderealClock;
import dev.zelotype.observatory.Observatory.WeatherStation;
import java.util.function.IntPredicate;

/** Answers that call themselves endlessly, for doubles of each kind: the only output must be that of this class. */
@SuppressWarnings("try")
final class Quiet {

    private Quiet() {}

    public static void main(String[] arguments) {
        try (Scene scene = Scene.open()) {
            SerialLink link = stub(SerialLink.class);
            suppose(link::send).answers(link::send);
            WeatherStation weather = stub(WeatherStation.class);
            suppose(weather::humidity).answers(weather::humidity);
            Reading reading = stub(Reading.class);
            suppose(reading::doubled).answers(reading::doubled);
            suppose((String site) -> SiderealClock.offset(site, 1)).answers(site -> SiderealClock.offset(site, 1));
            IntPredicate[] all = {
                round -> link.send("x") == round,
                round -> weather.humidity() == round,
                round -> reading.doubled() == round,
                round -> SiderealClock.offset("north", 1) == round
            };
            for (IntPredicate each : all) {
                try {
                    System.out.println(each.test(1));
                } catch (MisuseException e) {
                    System.out.println("explained");
                } catch (StackOverflowError e) {
                    System.out.println("overflow");
                }
            }
        }
    }
}
