package dev.observatory;

/** A line to a device, made where it is needed. */
class Link {

    private final String port;

    Link(String port) {
        this.port = port;
    }

    String answer(String command) {
        throw new IllegalStateException("no device at " + port + " for " + command);
    }
}
