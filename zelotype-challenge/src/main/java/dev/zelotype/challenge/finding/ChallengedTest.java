package dev.zelotype.challenge.finding;

/**
 * For builds and tools: a test, and how many disturbances it noticed. Immutable.
 *
 * @since 0.2
 */
public final class ChallengedTest {

    private final String name;
    private final int noticed;
    private final int unnoticed;
    private final int unclear;

    /**
     * Makes the result of one test.
     *
     * @param name its name for people
     * @param noticed how many changes it noticed
     * @param unnoticed how many it did not notice
     * @param unclear on how many it crashed
     */
    public ChallengedTest(String name, int noticed, int unnoticed, int unclear) {
        this.name = name;
        this.noticed = noticed;
        this.unnoticed = unnoticed;
        this.unclear = unclear;
    }

    /**
     * Returns the test's name.
     *
     * @return its class and its title
     */
    public String name() {
        return name;
    }

    /**
     * Returns how many disturbances it noticed.
     *
     * @return the number of disturbances
     */
    public int noticed() {
        return noticed;
    }

    /**
     * Returns how many disturbances it did not notice.
     *
     * @return the number of disturbances; another test may have noticed them
     */
    public int unnoticed() {
        return unnoticed;
    }

    /**
     * Returns on how many disturbances it crashed without checking.
     *
     * @return the number of disturbances
     */
    public int unclear() {
        return unclear;
    }
}
