package dev.zelotype.examples.observatory;

/**
 * Points a telescope.
 */
public interface Mount {

    void slewTo(SkyTarget target);

    /** Follows a target at a rate, in arc seconds per second. */
    void track(SkyTarget target, int rate);

    int rate();

    void park();
}
