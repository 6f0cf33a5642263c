package dev.zelotype.engine.weave;

/**
 * Runs in a separate JVM, because a JVM must not attach to itself: loads the agent into the other one.
 */
public final class Attacher {

    private Attacher() {}

    /** Attaches to the process in the first argument, and loads the agent jar in the second. */
    public static void main(String[] arguments) throws ReflectiveOperationException {
        // By reflection, so that the library needs no JDK module that a run-time image may lack.
        Class<?> machine = Class.forName("com.sun.tools.attach.VirtualMachine");
        Object attached = machine.getMethod("attach", String.class).invoke(null, arguments[0]);
        try {
            machine.getMethod("loadAgent", String.class).invoke(attached, arguments[1]);
        } finally {
            machine.getMethod("detach").invoke(attached);
        }
    }
}
