package dev.zelotype.challenge.worker;

import dev.zelotype.basics.CodeOwner;
import java.lang.StackWalker.StackFrame;
import java.lang.invoke.MethodType;
import java.lang.reflect.Method;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * The classes that tests call and that call doubles in turn, and all classes that call doubles. Safe for use from any
 * thread.
 */
final class Subjects {

    /** Those of all tests so far. */
    private static final Set<String> KNOWN = ConcurrentHashMap.newKeySet();

    /** Cached results for classes that tests call, because they are needed in every run. */
    private static final ClassValue<Called> CALLED = new ClassValue<>() {
        @Override
        protected Called computeValue(Class<?> type) {
            return new Called(type);
        }
    };

    private final Set<String> names = new HashSet<>();
    private volatile boolean called;

    /** Whether the test has called the subject of some test. */
    boolean called() {
        return called;
    }

    /** The subject of a test is a class that calls doubles and that the test itself calls. */
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

    private static final class Called {

        private final Class<?> type;
        private final Map<String, Boolean> subjects = new ConcurrentHashMap<>();
        private final Map<String, Optional<Method>> methods = new ConcurrentHashMap<>();

        Called(Class<?> type) {
            this.type = type;
        }

        /** Whether one of some subjects is of this class or interface. */
        boolean isOneOf(Collection<String> names) {
            return names.stream().anyMatch(name -> subjects.computeIfAbsent(name, this::isSupertypeOf));
        }

        private boolean isSupertypeOf(String name) {
            try {
                return type.isAssignableFrom(Class.forName(name, false, type.getClassLoader()));
            } catch (ClassNotFoundException | LinkageError e) {
                // A class that its loader cannot see is not one of its subjects.
                return false;
            }
        }

        @Nullable
        Method method(String name, String descriptor) {
            return methods.computeIfAbsent(name + descriptor, any -> find(name, descriptor))
                    .orElse(null);
        }

        private Optional<Method> find(String name, String descriptor) {
            List<Method> all = new ArrayList<>();
            for (Class<?> each = type; each != null; each = each.getSuperclass()) {
                all.addAll(List.of(each.getDeclaredMethods()));
            }
            // Those of interfaces as well.
            all.addAll(List.of(type.getMethods()));
            return all.stream()
                    .filter(each -> each.getName().equals(name) && descriptor.equals(descriptor(each)))
                    .findFirst();
        }

        private static String descriptor(Method method) {
            return MethodType.methodType(method.getReturnType(), method.getParameterTypes())
                    .toMethodDescriptorString();
        }
    }

    /** A method of a subject that a test calls; null if the class only holds data or belongs to the tests. */
    @Nullable
    Method method(String owner, String name, String descriptor) {
        try {
            Class<?> type = Class.forName(owner, false, Thread.currentThread().getContextClassLoader());
            if (type.isRecord() || type.isEnum()) {
                return null;
            }
            Called known = CALLED.get(type);
            called = called || known.isOneOf(KNOWN);
            return known.isOneOf(copy()) ? known.method(name, descriptor) : null;
        } catch (ClassNotFoundException | LinkageError e) {
            // Unreadable classes are left alone.
            return null;
        }
    }
}
