package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.expect;
import static dev.zelotype.Zelotype.mock;
import static dev.zelotype.Zelotype.spy;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import dev.zelotype.error.CheckFailure;
import dev.zelotype.observatory.Observatory.Mount;
import dev.zelotype.observatory.Observatory.SkyTarget;
import java.io.File;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentest4j.AssertionFailedError;

/**
 * A failed check has the type that IDEs compare, if that library is present; otherwise it is a plain failure. Each case
 * runs in a separate class loader, like a JVM in which Zelotype has not been loaded yet.
 */
class ComparisonTest {

    /** The description of a failed check: the first line of its message, its superclass, and the values to compare. */
    static final class Close implements Callable<List<String>> {
        @Override
        public List<String> call() {
            try (Scene scene = Scene.open()) {
                Mount mount = spy(Mount.class, "mount in " + scene.getClass().getSimpleName());
                mount.slewTo(new SkyTarget("Quill-9", 61));
                verify(() -> mount.slewTo(new SkyTarget("Harrow-2", 47))).once();
                return List.of();
            } catch (CheckFailure failure) {
                return said(failure);
            }
        }
    }

    /** Like {@link Close}, but without a close call. */
    static final class Missing implements Callable<List<String>> {
        @Override
        public List<String> call() {
            try (Scene scene = Scene.open()) {
                Mount mount = mock(Mount.class, "mount in " + scene.getClass().getSimpleName());
                expect(mount::park);
            } catch (CheckFailure failure) {
                return said(failure);
            }
            return List.of();
        }
    }

    private static List<String> said(CheckFailure failure) {
        String first = failure.getMessage().lines().findFirst().orElse("");
        Object any = failure;
        if (failure.getClass().getSuperclass().getSuperclass() == AssertionError.class) {
            return List.of(first, "AssertionError");
        }
        AssertionFailedError compared = (AssertionFailedError) any;
        return compared.isExpectedDefined()
                ? List.of(
                        first,
                        "AssertionFailedError",
                        compared.getExpected().getStringRepresentation(),
                        compared.getActual().getStringRepresentation())
                : List.of(first, "AssertionFailedError", "defines actual: " + compared.isActualDefined());
    }

    @SuppressWarnings("unchecked")
    private static List<String> inFreshLoader(Class<?> what, boolean withLibrary) throws Exception {
        List<URL> classPath = new ArrayList<>();
        for (String each : System.getProperty("java.class.path").split(File.pathSeparator)) {
            if (withLibrary || !each.contains("opentest4j") && !each.contains("junit-platform-console")) {
                classPath.add(Path.of(each).toUri().toURL());
            }
        }
        try (URLClassLoader fresh =
                new URLClassLoader(classPath.toArray(URL[]::new), ClassLoader.getPlatformClassLoader())) {
            // Like a host, before test classes are loaded.
            Class.forName("dev.zelotype.host.ComparedFailures", true, fresh)
                    .getMethod("fromNowOn")
                    .invoke(null);
            var made = Class.forName(what.getName(), true, fresh).getDeclaredConstructor();
            made.setAccessible(true);
            return ((Callable<List<String>>) made.newInstance()).call();
        }
    }

    @Test
    void the_expected_call_stands_beside_the_closest() throws Exception {
        String expected = "mount in Scene.slewTo(Harrow-2)";
        assertThat(inFreshLoader(Close.class, true))
                .containsExactly(
                        "Expected exactly 1 call of " + expected + ", but there was none.",
                        "AssertionFailedError",
                        expected,
                        "mount in Scene.slewTo(Quill-9)");
    }

    @Test
    void without_a_call_that_came_close_there_is_nothing_to_compare() throws Exception {
        assertThat(inFreshLoader(Missing.class, true))
                .containsExactly(
                        "Expected exactly 1 call of mount in Scene.park(), but there was none.",
                        "AssertionFailedError",
                        "defines actual: false");
    }

    @ParameterizedTest
    @ValueSource(classes = {Close.class, Missing.class})
    void without_the_library_a_failure_is_an_assertion_error(Class<?> what) throws Exception {
        assertThat(inFreshLoader(what, false)).hasSize(2).contains("AssertionError");
    }
}
