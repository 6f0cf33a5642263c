package dev.zelotype.examples.observatory;

/**
 * The roof over a telescope.
 */
public interface Dome {

    void open();

    void close();
}
