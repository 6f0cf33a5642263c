package dev.zelotype.examples.observatory;

/**
 * Something to look at.
 *
 * @param name its name
 * @param altitude how high it stands, in degrees
 */
public record SkyTarget(String name, int altitude) {

    @Override
    public String toString() {
        return name;
    }
}
