package dev.zelotype.observatory;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/**
 * Classes of every shape that can be doubled by extending them.
 */
public final class Machinery {

    private Machinery() {}

    public abstract static class Drive<T extends Comparable<T>> {
        private final List<T> moves = new ArrayList<>();

        @SuppressWarnings("this-escape")
        protected Drive(T first) {
            if (first == null) {
                throw new IllegalArgumentException("no first move");
            }
            moves.add(first);
            describe();
        }

        public abstract T next();

        protected abstract void settle(int millis);

        int internal() {
            return 5;
        }

        public T move(T to) {
            settle(moves.size());
            moves.add(to);
            return moves.get(moves.size() - 1);
        }

        public String describe() {
            return "drive of " + moves.size();
        }

        public final String serial() {
            return "serial " + moves.size();
        }

        public static int internalOf(Drive<?> drive) {
            return drive.internal();
        }

        public static void settle(Drive<?> drive, int millis) {
            drive.settle(millis);
        }
    }

    public static class Stepper extends Drive<Integer> implements Supplier<Integer> {
        private final int size;

        public Stepper(int size) {
            super(size);
            this.size = size;
        }

        @Override
        public Integer next() {
            return size;
        }

        @Override
        protected void settle(int millis) {
            throw new IllegalStateException("motor is off");
        }

        @Override
        public Integer move(Integer to) {
            return super.move(to * size);
        }

        @Override
        public Integer get() {
            return next();
        }

        public Gear gear() {
            return new Gear();
        }

        public class Gear {
            public int teeth() {
                return 10 * size;
            }
        }
    }
}
