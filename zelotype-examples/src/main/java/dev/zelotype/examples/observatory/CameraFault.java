package dev.zelotype.examples.observatory;

/**
 * A camera could not take a picture.
 */
public class CameraFault extends Exception {

    private static final long serialVersionUID = 1L;

    public CameraFault(String message) {
        super(message);
    }
}
