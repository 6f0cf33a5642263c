package dev.zelotype.examples.observatory;

import java.util.ArrayList;
import java.util.List;

/**
 * Moves the focus step by step and records the sharpness. It reads the clock and opens the link itself.
 */
public class FocusSweep {

    /** The sharpest of some steps, with the time when it was found. */
    public String sharpest(int steps) {
        SerialLink link = new SerialLink("COM3");
        List<Integer> found = new ArrayList<>();
        for (int step = 0; step < steps; step++) {
            found.add(link.send("FOCUS " + step));
        }
        int best = 0;
        for (int step = 1; step < steps; step++) {
            best = found.get(step) > found.get(best) ? step : best;
        }
        return "step " + best + " at " + SiderealClock.now();
    }
}
