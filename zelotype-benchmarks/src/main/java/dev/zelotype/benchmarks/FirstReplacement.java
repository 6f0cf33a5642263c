package dev.zelotype.benchmarks;

import dev.zelotype.Scene;
import dev.zelotype.Zelotype;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/**
 * Run in a JVM of its own: how long the first replacement of a static method takes, with all that it needs, and how long
 * those of further classes take. Prints nanoseconds: the first, and the mean of the others.
 */
public final class FirstReplacement {

    private FirstReplacement() {}

    public static void main(String[] arguments) {
        try (Scene scene = Scene.open()) {
            long start = System.nanoTime();
            Zelotype.suppose(() -> Instant.now()).returns(Instant.EPOCH);
            long first = System.nanoTime() - start;
            Zelotype.suppose(() -> LocalDate.now()).returns(LocalDate.EPOCH);
            Zelotype.suppose(() -> UUID.randomUUID()).returns(new UUID(1, 2));
            long others = (System.nanoTime() - start - first) / 2;
            if (!now().equals(Instant.EPOCH) || scene.conversation().calls().isEmpty()) {
                throw new IllegalStateException("nothing was replaced");
            }
            System.out.println(first + " " + others);
        }
    }

    /** Not in the method that replaces it: the JVM does not change a method while it runs. */
    private static Instant now() {
        return Instant.now();
    }
}
