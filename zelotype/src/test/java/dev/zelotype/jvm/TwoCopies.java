package dev.zelotype.jvm;

import dev.zelotype.Scene;
import java.net.URL;
import java.net.URLClassLoader;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;

/**
 * Two copies of the library, in two class loaders, which replace the same methods of the same classes at the same time.
 */
public final class TwoCopies {

    private TwoCopies() {}

    public static void main(String[] arguments) throws Exception {
        List<URL> urls = new ArrayList<>();
        for (String path : System.getProperty("java.class.path").split(java.io.File.pathSeparator)) {
            urls.add(java.nio.file.Path.of(path).toUri().toURL());
        }
        Class<?> first = copy(urls).loadClass("dev.zelotype.jvm.TwoCopies$User");
        Class<?> second = copy(urls).loadClass("dev.zelotype.jvm.TwoCopies$User");
        Callable<?> one = (Callable<?>) first.getConstructor(String.class).newInstance("one");
        Callable<?> two = (Callable<?>) second.getConstructor(String.class).newInstance("two");
        System.out.println(one.call() + " " + two.call() + " " + Shared.site() + " " + Shared.clock());
        ((AutoCloseable) one).close();
        System.out.println(Shared.site() + " " + Shared.clock());
        ((AutoCloseable) two).close();
        System.out.println(Shared.site() + " " + (Shared.clock().length() > 4));
    }

    private static ClassLoader copy(List<URL> urls) {
        return new URLClassLoader(urls.toArray(new URL[0]), ClassLoader.getSystemClassLoader()) {
            @Override
            protected Class<?> loadClass(String name, boolean resolve) throws ClassNotFoundException {
                boolean shared = !name.startsWith("dev.zelotype.") || name.endsWith("$Shared");
                synchronized (getClassLoadingLock(name)) {
                    Class<?> known = findLoadedClass(name);
                    return known != null ? known : shared ? super.loadClass(name, resolve) : findClass(name);
                }
            }
        };
    }

    /** Replaced by both copies. */
    public static final class Shared {
        private Shared() {}

        public static String site() {
            return "real";
        }

        public static String clock() {
            return String.valueOf(System.currentTimeMillis());
        }
    }

    /** The test of one copy. */
    public static final class User implements Callable<String>, AutoCloseable {

        private final String name;
        private final Scene scene;

        public User(String name) {
            this.name = name;
            this.scene = Scene.open();
            dev.zelotype.Zelotype.suppose(Shared::site).returns(name);
            dev.zelotype.Zelotype.suppose(System::currentTimeMillis).returns((long) name.length());
        }

        @Override
        public String call() {
            return Map.of(name, scene.conversation().calls().size()).toString();
        }

        @Override
        public void close() {
            scene.close();
        }
    }
}
