package dev.zelotype.reading;

import static dev.zelotype.Zelotype.forgetCalls;
import static dev.zelotype.Zelotype.spy;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.zelotype.Scene;
import dev.zelotype.error.MisuseException;
import dev.zelotype.stage.Counting;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Thousands of random lambdas, compiled in every way: each is read correctly, or refused because an argument is
 * computed from a free parameter.
 */
class DifferentialTest {

    private static final int IN_A_CLASS = 100;

    @TempDir
    Path folder;

    @ParameterizedTest
    @CsvSource({
        "BY_JAVAC, 1500",
        "WITHOUT_DEBUG_DATA, 500",
        "BY_ECLIPSE, 500",
        "WITH_COVERAGE_PROBES, 500",
        "AS_OTHER_LANGUAGES_DO, 500",
        "WITHOUT_CLASS_FILES, 500",
        "WITH_PATTERNS_IN_PLACE, 500"
    })
    void every_lambda_is_read_as_it_was_written(Compiled how, int lambdas) throws Exception {
        RandomPatterns made = new RandomPatterns(20_261 + how.ordinal());
        List<RandomPatterns.Pattern> patterns = new ArrayList<>();
        Map<String, String> sources = new TreeMap<>(Map.of("Port.java", RandomPatterns.port()));
        for (int i = 0; i < lambdas; i += IN_A_CLASS) {
            sources.put("Made" + i / IN_A_CLASS + ".java", source(i / IN_A_CLASS, made, patterns));
        }
        ClassLoader loader = how.load(folder, sources);
        Class<?> portType = loader.loadClass("Port");
        int refused = 0;
        try (Scene scene = Scene.open()) {
            Object port = spy(unchecked(portType));
            for (int i = 0; i < lambdas; i++) {
                RandomPatterns.Pattern pattern = patterns.get(i);
                Method verify =
                        loader.loadClass("Made" + i / IN_A_CLASS).getMethod("pattern" + i % IN_A_CLASS, portType);
                if (pattern.computed() != null) {
                    String name = how == Compiled.WITHOUT_DEBUG_DATA
                            ? "parameter "
                                    + (Integer.parseInt(pattern.computed().substring(1)) + 1)
                            : pattern.computed();
                    assertThatThrownBy(() -> call(verify, null, port))
                            .as(pattern.source())
                            .isInstanceOf(MisuseException.class)
                            .hasMessageContaining("computed from its free parameter '" + name + "'");
                    refused++;
                    continue;
                }
                Method method = method(portType, pattern.method());
                forgetCalls(port);
                call(method, port, pattern.matching());
                for (Object[] other : pattern.others()) {
                    call(method, port, other);
                }
                try {
                    ((Counting) call(verify, null, port)).once();
                } catch (AssertionError | RuntimeException e) {
                    throw new AssertionError(pattern.source(), e);
                }
            }
            assertThat(scene.notes()).isEmpty();
        }
        assertThat(refused).isBetween(lambdas / 20, lambdas / 2);
    }

    private static String source(int number, RandomPatterns made, List<RandomPatterns.Pattern> patterns) {
        StringBuilder out = new StringBuilder("import dev.zelotype.Zelotype;\nimport dev.zelotype.stage.Counting;\n")
                .append("public class Made%d {\n    static boolean yes = true;\n".formatted(number))
                .append("    static <T> T held(T value) { return value; }\n")
                .append("    record Box<T>(T value) {}\n");
        for (int i = 0; i < IN_A_CLASS; i++) {
            RandomPatterns.Pattern pattern = made.next();
            patterns.add(pattern);
            out.append("    public static Counting pattern%d(Port port) { return Zelotype.verify(%s); }\n"
                    .formatted(i, pattern.source()));
        }
        return out.append("}\n").toString();
    }

    private static Method method(Class<?> port, int number) {
        for (Method method : port.getMethods()) {
            if (method.getName().equals("m" + number)) {
                return method;
            }
        }
        throw new IllegalArgumentException("m" + number);
    }

    private static Object call(Method method, Object target, Object... arguments) throws Exception {
        try {
            return method.invoke(target, arguments);
        } catch (InvocationTargetException e) {
            if (e.getCause() instanceof RuntimeException cause) {
                throw cause;
            }
            throw e;
        }
    }

    @SuppressWarnings("unchecked")
    private static Class<Object> unchecked(Class<?> type) {
        return (Class<Object>) type;
    }
}
