package dev.observatory;

/** Opens and closes above the telescope. */
public interface Dome {

    void open();

    void close();
}
