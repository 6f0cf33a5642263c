package dev.zelotype.sweep;

import java.io.IOException;
import java.io.InputStream;
import java.net.MalformedURLException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * Loads libraries together with doubles of their types, which may be in the same packages.
 */
final class LibraryLoader extends URLClassLoader {

    private LibraryLoader(URL[] urls) {
        super(urls, new Beneath());
    }

    static LibraryLoader of(Path doubles, List<Path> libraries) throws MalformedURLException {
        List<URL> urls = new ArrayList<>();
        urls.add(doubles.toUri().toURL());
        for (Path each : libraries) {
            if (!each.getFileName().toString().startsWith("zelotype")) {
                urls.add(each.toUri().toURL());
            }
        }
        return new LibraryLoader(urls.toArray(URL[]::new));
    }

    /** Without signers, because only a library's owner could sign a double in a signed package. */
    @Override
    protected Class<?> findClass(String name) throws ClassNotFoundException {
        URL file = findResource(name.replace('.', '/') + ".class");
        if (file == null) {
            throw new ClassNotFoundException(name);
        }
        try (InputStream in = file.openStream()) {
            return defined(name, in.readAllBytes());
        } catch (IOException e) {
            throw new ClassNotFoundException(name, e);
        }
    }

    Class<?> defined(String name, byte[] code) {
        return defineClass(name, code, 0, code.length);
    }

    /** Delegates to the JDK and to Zelotype itself. */
    private static final class Beneath extends ClassLoader {

        Beneath() {
            super(ClassLoader.getPlatformClassLoader());
        }

        @Override
        protected Class<?> findClass(String name) throws ClassNotFoundException {
            if (name.startsWith("dev.zelotype.")) {
                return Class.forName(name, false, LibraryLoader.class.getClassLoader());
            }
            throw new ClassNotFoundException(name);
        }
    }
}
