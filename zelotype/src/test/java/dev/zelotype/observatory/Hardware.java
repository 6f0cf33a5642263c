package dev.zelotype.observatory;

import java.time.Instant;

/**
 * Collaborators of the observatory that cannot be injected: static, final, and created inside.
 */
public final class Hardware {

    private Hardware() {}

    public static class SiderealClock {
        private static int reads;

        protected SiderealClock() {}

        public static long now() {
            reads++;
            return 1_000L;
        }

        public static long offset(String site, int degrees) {
            return site.length() + degrees;
        }

        public static int reads() {
            return reads;
        }

        public static void reset() {
            reads = 0;
        }
    }

    public static class Port {
        protected final String name;

        public Port(String name) {
            this.name = name.toUpperCase(java.util.Locale.ROOT);
        }

        public String name() {
            return name;
        }
    }

    public static final class SerialLink extends Port {
        private int sent;

        public SerialLink(String port) {
            super(port);
            if (port.startsWith("COM")) {
                throw new IllegalStateException("no such port: " + port);
            }
        }

        public int send(String command) {
            sent++;
            log(command);
            return command.length();
        }

        public void log(String line) {
            if (line.isEmpty()) {
                throw new IllegalArgumentException("empty");
            }
        }

        public int sent() {
            return sent;
        }
    }

    public record Reading(int value) {
        public int doubled() {
            return 2 * value;
        }
    }

    public enum Gain {
        LOW,
        HIGH;

        public int factor() {
            return ordinal() + 1;
        }
    }

    /** Reads the clock and creates its own link. */
    public static class FocusSweep {
        public String run(int steps) {
            SerialLink link = new SerialLink("COM3");
            int answered = 0;
            for (int i = 0; i < steps; i++) {
                answered += link.send("G" + i);
            }
            return SiderealClock.now() + "/" + answered + "/" + Instant.now().getEpochSecond() % 10;
        }
    }
}
