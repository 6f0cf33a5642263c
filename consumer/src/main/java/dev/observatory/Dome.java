package dev.observatory;

/** A dome that opens and closes. */
public interface Dome {
    void open();

    void close();
}
