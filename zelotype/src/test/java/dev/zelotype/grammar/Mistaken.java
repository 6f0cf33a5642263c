package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.stub;

import dev.zelotype.observatory.Observatory.Dome;
import dev.zelotype.observatory.Observatory.Mount;
import dev.zelotype.observatory.Observatory.NightLog;
import dev.zelotype.observatory.Observatory.SkyTarget;
import dev.zelotype.observatory.Observatory.WeatherStation;
import java.util.List;

/**
 * Declarations for the wrong uses.
 */
abstract class Mistaken {

    final WeatherStation weather = stub(WeatherStation.class);
    final Dome dome = mock(Dome.class);
    final Mount mount = spy(Mount.class);
    final NightLog log = spy(NightLog.class, "log");
    final SkyTarget harrow = new SkyTarget("Harrow-2", 47);
    final List<String> realList = new java.util.ArrayList<>();
}
