package dev.zelotype.engine.pattern;

import dev.zelotype.engine.pattern.code.MethodCode.Member;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.Type;

/**
 * A Kotlin property reference: an object that reads the property when called.
 *
 * @param target the object with the property
 * @param accessor the getter or setter
 */
record PropertyReference(Object target, Member accessor) {

    /** Used for the object if the reference has none: any instance has the property. */
    static final Object ANY = new Object();

    private static final String KOTLIN = "kotlin.jvm.internal.CallableReference";

    /** The call that is meant by calling an object, if that is a property reference; else null. */
    static @Nullable PropertyReference of(Object object, String called) throws ReflectiveOperationException {
        Class<?> type = object.getClass();
        while (type != null && !type.getName().equals(KOTLIN)) {
            type = type.getSuperclass();
        }
        if (type == null || !(called.equals("get") || called.equals("invoke") || called.equals("set"))) {
            return null;
        }
        Object target = type.getMethod("getBoundReceiver").invoke(object);
        String getter = (String) type.getMethod("getSignature").invoke(object);
        int end = getter.indexOf('(');
        if (target == null || end < 0) {
            return null;
        }
        String owner = Type.getInternalName(target.getClass());
        if (target.getClass().getName().equals(KOTLIN + "$NoReceiver")) {
            Object container = type.getMethod("getOwner").invoke(object);
            owner = Type.getInternalName(
                    (Class<?>) container.getClass().getMethod("getJClass").invoke(container));
            target = ANY;
        }
        if (!called.equals("set")) {
            return new PropertyReference(
                    target, new Member(owner, getter.substring(0, end), getter.substring(end), false));
        }
        String name = (String) type.getMethod("getName").invoke(object);
        String setter = "set" + name.substring(0, 1).toUpperCase(Locale.ROOT) + name.substring(1);
        return new PropertyReference(target, new Member(owner, setter, "(" + getter.substring(end + 2) + ")V", false));
    }
}
