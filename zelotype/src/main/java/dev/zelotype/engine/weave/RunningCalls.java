package dev.zelotype.engine.weave;

import dev.zelotype.basics.CodePlace;
import dev.zelotype.basics.Reflected;
import java.lang.StackWalker.StackFrame;
import java.lang.ref.WeakReference;
import java.lang.reflect.Executable;
import java.lang.reflect.Method;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.WeakHashMap;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.Type;

/**
 * Methods that are running when their class is woven: the JVM continues with their old code. They are remembered as
 * long as they run, so that a statement about a call that one of them still has to make is refused in any scene, and
 * not only in the first.
 */
final class RunningCalls {

    /** By thread; methods of ended threads are irrelevant. */
    private final Map<Thread, List<Old>> running = new WeakHashMap<>();

    /** A method that runs code from before it was woven. */
    static final class Old {
        /** Weak, because a class may be unloaded while the thread lives on. */
        final WeakReference<Class<?>> type;

        final String method;
        /** Null for another thread: the JVM provides only the name. */
        final @Nullable String descriptor;
        /** From the bottom of the stack. */
        final int place;
        /** Its position when it was first seen, for threads whose frames provide no more. */
        final int line;

        final String called;
        /** The real calls in its code. */
        Sites unasked;

        @Nullable
        LaterCalls code;

        Old(
                Class<?> type,
                String method,
                @Nullable String descriptor,
                int place,
                int line,
                String called,
                Sites unasked) {
            this.type = new WeakReference<>(type);
            this.method = method;
            this.descriptor = descriptor;
            this.place = place;
            this.line = line;
            this.called = called;
            this.unasked = unasked;
        }
    }

    /** The code of classes from before they were woven, which is only available while they are woven. */
    interface Codes {
        byte @Nullable [] of(Class<?> type);
    }

    /**
     * Records the running methods of some classes, on any thread. Must be called immediately before these are woven.
     *
     * @param types the classes
     * @param fresh the calls that are woven in the new code, but not in the old one
     * @return the methods that were not known yet; call {@link #read} on them once the old code is known
     */
    List<Old> note(Collection<Class<?>> types, Sites fresh) {
        List<Old> noted = new ArrayList<>();
        noteHere(new HashSet<>(types), fresh, noted);
        if (!fresh.isEmpty()) {
            noteElsewhere(types, fresh, noted);
        }
        return noted;
    }

    static void read(List<Old> noted, Codes codes) {
        for (Old each : noted) {
            Class<?> type = each.type.get();
            byte[] code = type == null ? null : codes.of(type);
            each.code = code == null ? null : codeOf(each, code);
        }
    }

    private static @Nullable LaterCalls codeOf(Old old, byte[] code) {
        try {
            return old.descriptor == null
                    ? LaterCalls.of(code, old.method, old.line)
                    : LaterCalls.of(code, old.method, old.descriptor);
        } catch (RuntimeException e) {
            // Unreadable code is not reported.
            return null;
        }
    }

    private void noteHere(Set<Class<?>> types, Sites fresh, List<Old> noted) {
        List<Old> known = running.getOrDefault(Thread.currentThread(), List.of());
        List<Old> now = new ArrayList<>();
        for (Opening.Placed each : Opening.all()) {
            StackFrame frame = each.frame();
            Old old = find(known, each);
            if (types.contains(frame.getDeclaringClass())) {
                if (old == null) {
                    old = new Old(
                            frame.getDeclaringClass(),
                            frame.getMethodName(),
                            frame.getDescriptor(),
                            each.place(),
                            frame.getLineNumber(),
                            "",
                            fresh);
                    noted.add(old);
                } else {
                    old.unasked = old.unasked.and(fresh);
                }
            }
            if (old != null) {
                now.add(old);
            }
        }
        if (now.isEmpty()) {
            running.remove(Thread.currentThread());
        } else {
            running.put(Thread.currentThread(), now);
        }
    }

    /** The record of a frame that still runs its old code. */
    private static @Nullable Old find(List<Old> known, Opening.Placed placed) {
        StackFrame frame = placed.frame();
        for (Old old : known) {
            boolean same = old.place == placed.place()
                    && old.type.get() == frame.getDeclaringClass()
                    && old.method.equals(frame.getMethodName())
                    && frame.getDescriptor().equals(old.descriptor);
            // The JVM drops the file name of replaced code.
            if (same && frame.getFileName() == null) {
                return old;
            }
        }
        return null;
    }

    private void noteElsewhere(Collection<Class<?>> types, Sites fresh, List<Old> noted) {
        Map<String, Class<?>> byName = new HashMap<>();
        for (Class<?> type : types) {
            byName.put(type.getName(), type);
        }
        for (Map.Entry<Thread, StackTraceElement[]> entry :
                Thread.getAllStackTraces().entrySet()) {
            Thread thread = entry.getKey();
            StackTraceElement[] frames = entry.getValue();
            List<Old> old = new ArrayList<>(running.getOrDefault(thread, List.of()));
            for (int i = 0; thread != Thread.currentThread() && i < frames.length; i++) {
                Class<?> type = byName.get(frames[i].getClassName());
                if (type != null) {
                    Old one = new Old(
                            type,
                            frames[i].getMethodName(),
                            null,
                            frames.length - i,
                            frames[i].getLineNumber(),
                            i == 0 ? "" : frames[i - 1].getMethodName(),
                            fresh);
                    old.add(one);
                    noted.add(one);
                }
            }
            if (thread != Thread.currentThread() && !old.isEmpty()) {
                running.put(thread, old);
            }
        }
    }

    /**
     * A call that a running method still has to make, and that would run the real code.
     *
     * @param replaced the called method or constructor
     * @param isOfScene whether another thread belongs to the scene
     * @return the place, for example {@code at dev.observatory.NightRun.observe(NightRun.java:12)}; null if there is
     *     none
     */
    @Nullable
    String toCome(Executable replaced, Opening opening, Predicate<Thread> isOfScene) {
        Sites sites = Sites.of(List.of(replaced));
        List<Old> here = running.get(Thread.currentThread());
        // Walking the stack and the code takes a thousand times as long as checking which methods the code refers to.
        if (here != null && anyNames(here, replaced, sites)) {
            for (Opening.Placed each : opening.above()) {
                Old old = find(here, each);
                Integer line = old == null || old.code == null || !old.unasked.meets(sites)
                        ? null
                        : old.code.reaches(
                                Set.of(each.frame().getByteCodeIndex()),
                                new Resolved(replaced, sites, old.type.get()),
                                each.opened());
                if (line != null) {
                    return place(old.type.get(), old.method, line);
                }
            }
        }
        for (Map.Entry<Thread, List<Old>> entry : running.entrySet()) {
            Thread thread = entry.getKey();
            if (thread != Thread.currentThread()
                    && thread.isAlive()
                    && isOfScene.test(thread)
                    && anyNames(entry.getValue(), replaced, sites)) {
                String place = toCome(thread, entry.getValue(), replaced, sites);
                if (place != null) {
                    return place + " on thread " + thread.getName();
                }
            }
        }
        return null;
    }

    private static boolean anyNames(List<Old> known, Executable replaced, Sites sites) {
        for (Old old : known) {
            Class<?> type = old.type.get();
            if (type != null && old.code != null && old.code.names(new Resolved(replaced, sites, type))) {
                return true;
            }
        }
        return false;
    }

    private static @Nullable String toCome(Thread thread, List<Old> known, Executable replaced, Sites sites) {
        // Requested in the same way as when they were recorded: the thread itself may omit frames at the bottom.
        StackTraceElement[] frames = Thread.getAllStackTraces().getOrDefault(thread, new StackTraceElement[0]);
        for (Old old : known) {
            int at = frames.length - old.place;
            boolean runs = at >= 0
                    && at < frames.length
                    && old.type.get() != null
                    && frames[at].getClassName().equals(old.type.get().getName())
                    && frames[at].getMethodName().equals(old.method)
                    && frames[at].getFileName() == null;
            Integer line = !runs || old.code == null || !old.unasked.meets(sites)
                    ? null
                    : old.code.reaches(
                            old.code.callsOf(old.called, old.line),
                            new Resolved(replaced, sites, old.type.get()),
                            false);
            if (line != null) {
                return place(old.type.get(), old.method, line);
            }
        }
        return null;
    }

    /**
     * The method of a call in a class, as the JVM resolves it there: other classes may have methods of the same name.
     */
    private record Resolved(Executable replaced, Sites sites, Class<?> calling) implements LaterCalls.Meaning {

        @Override
        public boolean isMeantBy(String owner, String name, String descriptor, boolean ofInterface) {
            return sites.mayMean(owner, name, descriptor, ofInterface)
                    && resolves(replaced, owner, descriptor, calling);
        }
    }

    private static boolean resolves(Executable replaced, String owner, String descriptor, Class<?> calling) {
        if (owner.equals(Type.getInternalName(replaced.getDeclaringClass()))) {
            return true;
        }
        try {
            Class<?> from = Class.forName(owner.replace('/', '.'), false, calling.getClassLoader());
            for (Class<?> c = from; c != null; c = c.getSuperclass()) {
                // A class that the JVM does not list is taken for one that inherits: a refused statement can be
                // repaired, a real call goes unnoticed.
                for (Method method : Reflected.orElse(c::getDeclaredMethods, new Method[0])) {
                    if (method.getName().equals(replaced.getName())
                            && Type.getMethodDescriptor(method).equals(descriptor)) {
                        return method.equals(replaced);
                    }
                }
            }
            return false;
        } catch (ClassNotFoundException | LinkageError e) {
            // The call will fail as well.
            return false;
        }
    }

    /** Identified by the class, because the JVM has dropped the file name. */
    private static String place(Class<?> type, String method, int line) {
        Class<?> top = type;
        while (top.getEnclosingClass() != null) {
            top = top.getEnclosingClass();
        }
        String file = ClassFile.sourceOf(type);
        String name = file == null ? top.getSimpleName() + ".java" : file;
        return CodePlace.at(type.getName(), method, name, line);
    }
}
