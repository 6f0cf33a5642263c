package dev.observatory;

/** Opens and closes. */
public interface Dome {
    void open();

    void close();
}
