package dev.zelotype.challenge.worker;

import dev.zelotype.basics.CodeOwner;
import java.lang.StackWalker.StackFrame;
import java.lang.invoke.MethodType;
import java.lang.reflect.Method;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.Iterator;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * The classes that a test calls so that they call doubles, and those that call doubles. Safe for use from any thread.
 */
final class Subjects {

    /** Those of all tests so far. */
    private static final Set<String> KNOWN = ConcurrentHashMap.newKeySet();

    private final Set<String> names = new HashSet<>();
    private volatile boolean called;

    /** Whether the test has called one that some test has. */
    boolean called() {
        return called;
    }

    /** The subject of a test is what calls doubles, and what the test itself called for that. */
    void note(String caller) {
        String outermost = StackWalker.getInstance().walk(frames -> {
            String last = caller;
            for (Iterator<StackFrame> i = frames.iterator(); i.hasNext(); ) {
                String name = i.next().getClassName();
                if (TestClasses.isOfTest(name)) {
                    break;
                }
                last = CodeOwner.isOurs(name) || CodeOwner.isOfJdk(name) ? last : name;
            }
            return last;
        });
        synchronized (names) {
            for (String name : new String[] {caller, outermost}) {
                for (String each = name; ; each = each.substring(0, each.lastIndexOf('$'))) {
                    KNOWN.add(each);
                    if (!names.add(each) || each.lastIndexOf('$') <= 0) {
                        break;
                    }
                }
            }
        }
    }

    private List<String> copy() {
        synchronized (names) {
            return List.copyOf(names);
        }
    }

    /** Whether one of some subjects is of a class or an interface. */
    private static boolean include(Iterable<String> subjects, Class<?> owner) {
        for (String name : subjects) {
            try {
                if (owner.isAssignableFrom(Class.forName(name, false, owner.getClassLoader()))) {
                    return true;
                }
            } catch (ClassNotFoundException | LinkageError e) {
                // A class that the owner's loader cannot see is none of its.
                continue;
            }
        }
        return false;
    }

    /** A method of a subject that a test calls; null if it is of another class, or of data. */
    @Nullable
    Method method(String owner, String name, String descriptor) {
        try {
            Class<?> type = Class.forName(owner, false, Thread.currentThread().getContextClassLoader());
            if (type.isRecord() || type.isEnum()) {
                return null;
            }
            called = called || include(KNOWN, type);
            if (!include(copy(), type)) {
                return null;
            }
            List<Method> all = new ArrayList<>();
            for (Class<?> each = type; each != null; each = each.getSuperclass()) {
                all.addAll(List.of(each.getDeclaredMethods()));
            }
            // Those of interfaces as well.
            all.addAll(List.of(type.getMethods()));
            for (Method method : all) {
                if (method.getName().equals(name) && descriptor.equals(descriptor(method))) {
                    return method;
                }
            }
        } catch (ClassNotFoundException | LinkageError e) {
            // What cannot be looked into is left alone.
            return null;
        }
        return null;
    }

    private static String descriptor(Method method) {
        return MethodType.methodType(method.getReturnType(), method.getParameterTypes())
                .toMethodDescriptorString();
    }
}
