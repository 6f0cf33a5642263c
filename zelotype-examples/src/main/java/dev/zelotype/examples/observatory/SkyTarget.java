package dev.zelotype.examples.observatory;

/**
 * An object in the sky.
 *
 * @param name its name
 * @param altitude its altitude in degrees
 */
public record SkyTarget(String name, int altitude) {

    @Override
    public String toString() {
        return name;
    }
}
