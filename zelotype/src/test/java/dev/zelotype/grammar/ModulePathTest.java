package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.stub;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import dev.zelotype.Zelotype;
import java.io.File;
import java.io.IOException;
import java.lang.reflect.Method;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Types in named modules, with and without opens, and in signed jars: each works, or the message contains the option to
 * add.
 */
class ModulePathTest {

    @TempDir
    Path folder;

    private static final Map<String, String> SOURCES = Map.of(
            "obs.exported/module-info.java",
            "module obs.exported { exports obs.exported; }",
            "obs.exported/obs/exported/Dome.java",
            """
                    package obs.exported;
                    public interface Dome { int angle(); static Dome closed() { return null; } Hidden hidden(); }
                    """,
            "obs.exported/obs/exported/Hidden.java",
            """
                    package obs.exported;
                    public abstract class Hidden {
                        public abstract int open();
                        int closed() { return 7; }
                        public int asks() { return closed() + open(); }
                        abstract static class Inner { abstract int value(); }
                        public static Class<?> inner() { return Inner.class; }
                    }
                    """,
            "obs.exported/obs/exported/Keeper.java",
            "package obs.exported; public class Keeper { Keeper(Dome dome) { } }",
            "obs.exported/obs/exported/Holder.java",
            "package obs.exported; public class Holder { private Dome dome; public Dome dome() { return dome; } }",
            "obs.open/module-info.java",
            "open module obs.open { exports obs.open; }",
            "obs.open/obs/open/Mount.java",
            """
                    package obs.open;
                    public abstract class Mount {
                        int rate() { return 7; }
                        public int twice() { return 2 * rate(); }
                        public static int rateOf(Mount m) { return m.rate(); }
                    }
                    """,
            "obs.tests/module-info.java",
            "module obs.tests { requires dev.zelotype; requires obs.exported; requires obs.open; }",
            "obs.tests/obs/tests/Main.java",
            """
                    package obs.tests;
                    import static dev.zelotype.Zelotype.*;
                    import dev.zelotype.Scene;
                    import obs.exported.*;
                    import obs.open.*;
                    public class Main {
                        interface Own { int size(); }
                        public static void main(String[] args) {
                            try (Scene scene = Scene.open()) {
                                Own own = stub(Own.class);
                                Dome dome = stub(Dome.class);
                                Mount mount = stub(Mount.class);
                                Hidden hidden = stub(Hidden.class);
                                suppose(dome::angle).returns(3);
                                suppose((Integer any) -> own.size()).returns(1);
                            } catch (RuntimeException e) {
                                System.out.println(e.getMessage().lines().findFirst().get());
                            }
                            try (Scene scene = Scene.open()) {
                                Dome dome = stub(Dome.class);
                                Mount mount = stub(Mount.class);
                                Hidden hidden = stub(Hidden.class);
                                suppose(dome::angle).returns(3);
                                suppose(mount::twice).callsReal();
                                suppose(() -> hidden.open()).returns(5);
                                System.out.println("angle " + dome.angle() + ", package-private of an open module "
                                        + Mount.rateOf(mount) + ", real over it " + mount.twice()
                                        + ", exported " + hidden.open());
                                verify(dome::angle).once();
                            }
                            try (Scene scene = Scene.open()) {
                                stub(Hidden.inner());
                            } catch (RuntimeException e) {
                                System.out.println(e.getMessage().replace("\\n", " "));
                            }
                            for (Class<?> subject : new Class<?>[] {Keeper.class, Holder.class}) {
                                try (Scene scene = Scene.open()) {
                                    stub(Dome.class);
                                    scene.subject(subject);
                                } catch (RuntimeException e) {
                                    System.out.println(e.getMessage().replace("\\n", " "));
                                }
                            }
                        }
                    }
                    """);

    @Test
    void types_of_named_modules() throws IOException, InterruptedException {
        Path sources = folder.resolve("src");
        for (Map.Entry<String, String> source : SOURCES.entrySet()) {
            Path file = sources.resolve(source.getKey());
            Files.createDirectories(file.getParent());
            Files.writeString(file, source.getValue());
        }
        String libraries = Path.of(Zelotype.class
                        .getProtectionDomain()
                        .getCodeSource()
                        .getLocation()
                        .getPath())
                + File.pathSeparator
                + org.objectweb.asm.Type.class
                        .getProtectionDomain()
                        .getCodeSource()
                        .getLocation()
                        .getPath();
        List<String> compile = new ArrayList<>(List.of(
                "--release",
                "17",
                "-p",
                libraries,
                "--module-source-path",
                sources.toString(),
                "-d",
                folder.resolve("mods").toString(),
                "-m",
                "obs.tests"));
        assertThat(ToolProvider.getSystemJavaCompiler().run(null, null, null, compile.toArray(new String[0])))
                .isZero();

        String printed = run(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-p",
                libraries + File.pathSeparator + folder.resolve("mods"),
                "--add-modules",
                "org.objectweb.asm",
                "-m",
                "obs.tests/obs.tests.Main");

        assertThat(printed.lines())
                .containsExactly(
                        "The free parameter 'parameter 1' of this pattern is not passed to own.size(...).",
                        "angle 3, package-private of an open module 0, real over it 0, exported 5",
                        "obs.exported.Hidden$Inner cannot be doubled: its package is closed to Zelotype."
                                + "   Cure: run the tests with --add-opens obs.exported/obs.exported=dev.zelotype",
                        closed("The constructor of Keeper"),
                        closed("Holder.dome"));
    }

    private static String closed(String member) {
        return member + " cannot be reached: the module obs.exported does not open the package obs.exported to"
                + " dev.zelotype.   Cure: add \"opens obs.exported to dev.zelotype;\" to the module-info.java, or run the"
                + " tests with --add-opens obs.exported/obs.exported=dev.zelotype";
    }

    private static String run(String... command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        String printed = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(printed).isZero();
        return printed;
    }

    @Test
    void types_of_a_signed_jar() throws Exception {
        Path classes = Files.createDirectories(folder.resolve("classes"));
        Path source = Files.writeString(
                Files.createDirectories(folder.resolve("s")).resolve("Camera.java"),
                "package sky; public abstract class Camera { public abstract int expose();"
                        + " public int twice() { return 2 * expose(); } }");
        assertThat(ToolProvider.getSystemJavaCompiler()
                        .run(null, null, null, "--release", "17", "-d", classes.toString(), source.toString()))
                .isZero();
        String bin = Path.of(System.getProperty("java.home"), "bin").toString();
        Path jar = folder.resolve("signed.jar");
        String keys = folder.resolve("keys").toString();
        run(bin + "/jar", "--create", "--file", jar.toString(), "-C", classes.toString(), ".");
        run(
                bin + "/keytool",
                "-genkeypair",
                "-keystore",
                keys,
                "-storepass",
                "changeit",
                "-alias",
                "a",
                "-keyalg",
                "EC",
                "-dname",
                "CN=North Ridge");
        run(bin + "/jarsigner", "-keystore", keys, "-storepass", "changeit", jar.toString(), "a");

        try (URLClassLoader loader = new URLClassLoader(
                        new URL[] {jar.toUri().toURL()}, getClass().getClassLoader());
                Scene scene = Scene.open()) {
            Class<?> camera = loader.loadClass("sky.Camera");
            assertThat(camera.getSigners()).isNotEmpty();
            Object made = stub(unchecked(camera));
            Method expose = camera.getMethod("expose");
            assertThat(expose.invoke(made)).isEqualTo(0);
            assertThat(camera.getMethod("twice").invoke(made)).isEqualTo(0);
            assertThat(scene.conversation().calls()).hasSize(2);
        }
    }

    @SuppressWarnings("unchecked")
    private static Class<Object> unchecked(Class<?> type) {
        return (Class<Object>) type;
    }
}
