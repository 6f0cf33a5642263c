package dev.zelotype.examples.observatory;

/**
 * The connection to the focus motor.
 */
public final class SerialLink {

    private final String port;

    public SerialLink(String port) {
        this.port = port;
        throw new IllegalStateException("Port " + port + " does not exist on this machine.");
    }

    /** Sends a command; returns the motor's answer. */
    public int send(String command) {
        throw new IllegalStateException(port + " does not answer to " + command);
    }
}
