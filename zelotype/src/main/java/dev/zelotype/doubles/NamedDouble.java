package dev.zelotype.doubles;

/**
 * For readers of results: a double of a scene. Immutable; later versions may have more parts.
 *
 * @since 0.2
 */
public final class NamedDouble {

    private final String name;
    private final Kind kind;
    private final String type;

    private NamedDouble(String name, Kind kind, String type) {
        this.name = name;
        this.kind = kind;
        this.type = type;
    }

    /**
     * A double.
     *
     * @param name its name in messages
     * @param kind its kind
     * @param type the binary name of the doubled type
     * @return the double
     */
    public static NamedDouble of(String name, Kind kind, String type) {
        return new NamedDouble(name, kind, type);
    }

    /**
     * Returns its name in messages.
     *
     * @return for example {@code dome}
     */
    public String name() {
        return name;
    }

    /**
     * Its kind.
     *
     * @return the kind
     */
    public Kind kind() {
        return kind;
    }

    /**
     * Returns the doubled type.
     *
     * @return its binary name
     */
    public String type() {
        return type;
    }

    /**
     * Returns it in words, for people.
     *
     * @return one line
     */
    @Override
    public String toString() {
        return name + " (" + kind.word() + " of " + type + ")";
    }
}
