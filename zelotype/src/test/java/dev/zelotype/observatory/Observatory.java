package dev.zelotype.observatory;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import java.util.stream.Stream;

/**
 * The collaborators of the made-up observatory, with methods of all shapes that Java developers write.
 */
public final class Observatory {

    private Observatory() {}

    public interface WeatherStation {
        int humidity();

        int humidityAt(String dome);

        Optional<String> warning();

        List<String> sensors();

        CompletableFuture<Optional<String>> forecast();

        Stream<Integer> history();

        Map<String, Integer> all();
    }

    public interface Dome {
        void open();

        void close();

        void rotate(int degrees);

        boolean isOpen() throws DomeStuck;
    }

    public static final class DomeStuck extends Exception {
        private static final long serialVersionUID = 1L;
    }

    public record SkyTarget(String name, int altitude) {
        @Override
        public String toString() {
            return name;
        }
    }

    public interface Mount {
        void slewTo(SkyTarget target);

        boolean track(SkyTarget target, int rate);

        void park();

        int rate();

        default int doubleRate() {
            return 2 * rate();
        }
    }

    public interface Camera {
        void expose(Duration time, Consumer<String> onFrame, Consumer<Exception> onFailure);

        int readInto(byte[] buffer);

        String frame();
    }

    public interface NightLog {
        String append(String entry);

        void note(String text);

        void note(String text, int severity);

        void noteAll(String... texts);
    }

    public interface Site {
        Mount mount();

        Site neighbour(String name);

        String name();
    }

    public interface Repository<T> {
        T save(T value);

        Optional<T> find(int id);

        <K extends Comparable<K>> T first(K key);
    }

    public interface EntryRepository extends Repository<String> {
        @Override
        String save(String value);
    }

    public enum Filter {
        CLEAR
    }

    /** One parameter of each primitive type, and pairs that differ only in their position. */
    public interface Instrument {
        int switches(boolean first, boolean second, boolean third);

        int bytes(byte a, byte b);

        long numbers(byte a, short b, char c, int d, long e, float f);

        double wide(long a, double b);

        int any(Object value);

        int filter(Filter filter);

        int array(int[] values);
    }
}
