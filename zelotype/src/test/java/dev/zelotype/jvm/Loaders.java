package dev.zelotype.jvm;

import java.io.IOException;
import java.lang.ref.WeakReference;
import java.net.URL;
import java.net.URLClassLoader;
import java.util.ArrayList;
import java.util.List;

/**
 * Repeatedly loads its own classes, replaces methods of them, and counts the class loaders that are not collected.
 */
final class Loaders {

    private static final int ROUNDS = 20;

    private Loaders() {}

    public static void main(String[] arguments) throws Exception {
        List<WeakReference<ClassLoader>> loaders = new ArrayList<>();
        for (int i = 0; i < ROUNDS; i++) {
            loaders.add(round());
        }
        for (int i = 0; i < 20; i++) {
            System.gc();
            Thread.sleep(20);
        }
        long kept = loaders.stream().filter(loader -> loader.get() != null).count();
        System.out.println(kept + " of " + ROUNDS + " loaders kept");
    }

    private static WeakReference<ClassLoader> round() throws Exception {
        URL[] classes = {Loaders.class.getProtectionDomain().getCodeSource().getLocation()};
        try (URLClassLoader loader = new Own(classes)) {
            loader.loadClass("dev.zelotype.jvm.Replacing").getMethod("run").invoke(null);
            return new WeakReference<>(loader);
        }
    }

    /** Loads the classes of the tests itself, and those of the library from its parent. */
    private static final class Own extends URLClassLoader {

        Own(URL[] classes) {
            super(classes, Loaders.class.getClassLoader());
        }

        @Override
        protected Class<?> loadClass(String name, boolean resolve) throws ClassNotFoundException {
            boolean own = name.startsWith("dev.zelotype.jvm.Replacing") || name.startsWith("dev.zelotype.observatory.");
            synchronized (getClassLoadingLock(name)) {
                Class<?> known = findLoadedClass(name);
                return known != null ? known : own ? findClass(name) : super.loadClass(name, resolve);
            }
        }

        @Override
        public void close() throws IOException {
            super.close();
        }
    }
}
