package dev.zelotype.examples.observatory;

import java.time.Duration;
import java.util.function.Consumer;

/**
 * Takes pictures and calls back.
 */
public interface Camera {

    /** Takes a picture; calls back with the picture or the failure. */
    void expose(Duration time, Consumer<Frame> onFrame, Consumer<CameraFault> onFailure);

    /** Reads the last picture into a buffer; returns the number of bytes. */
    int readInto(byte[] buffer);
}
