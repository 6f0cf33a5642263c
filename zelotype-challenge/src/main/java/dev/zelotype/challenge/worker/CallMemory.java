package dev.zelotype.challenge.worker;

import dev.zelotype.host.DisturbedCall;
import dev.zelotype.host.DisturbedScene;
import java.lang.ref.SoftReference;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * The arguments of the first call of each site, for tests that do not make the call.
 */
final class CallMemory {

    private static final Map<String, Made> FIRST = new ConcurrentHashMap<>();

    private CallMemory() {}

    /** What is needed to repeat a call. */
    private record Made(String receiver, String type, String signature, SoftReference<Object[]> arguments) {}

    static void keep(String site, DisturbedCall call) {
        FIRST.putIfAbsent(
                site, new Made(call.receiver(), call.type(), call.signature(), new SoftReference<>(call.arguments())));
    }

    /** Whether the arguments of a call are known. */
    static boolean has(String site) {
        return argumentsOf(FIRST.get(site)) != null;
    }

    /** Makes the call of a site in a scene; returns false if that has no such double and method. */
    static boolean make(DisturbedScene scene, String site) throws Throwable {
        Made known = FIRST.get(site);
        Object[] arguments = argumentsOf(known);
        return arguments != null && scene.alsoCall(known.receiver(), known.type(), known.signature(), arguments);
    }

    private static Object @Nullable [] argumentsOf(@Nullable Made known) {
        return known == null ? null : known.arguments().get();
    }
}
