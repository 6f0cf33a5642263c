package dev.zelotype.generate;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.lang.reflect.Array;
import java.lang.reflect.Method;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import javax.tools.ToolProvider;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Whatever an interface holds, its doubles compile without a warning and behave.
 */
class RandomInterfacesTest extends Workshop {

    /** Composes interfaces of all that Java allows in a signature. */
    private static String randomInterface(Random random, int number) {
        List<String> types = List.of(
                "int",
                "boolean",
                "long",
                "double",
                "char",
                "String",
                "int[]",
                "String[][]",
                "T",
                "List<T>",
                "Map<String, ? super Integer>",
                "Optional<? extends Number>",
                "Integer",
                "Thread.State",
                "Comparable<T>",
                "Object",
                "java.util.stream.Stream<T>",
                "Set<int[]>",
                "Class<?>");
        StringBuilder out = new StringBuilder(
                "package sky;\nimport java.util.*;\npublic interface Made" + number + "<T extends Comparable<T>>"
                        + (number % 3 == 0 ? " extends java.util.concurrent.Callable<T>" : "") + " {\n");
        for (int m = 0; m < 6; m++) {
            boolean generic = random.nextInt(4) == 0;
            String returns = random.nextInt(4) == 0 ? "void" : generic ? "K" : types.get(random.nextInt(types.size()));
            out.append(random.nextInt(5) == 0 ? "    @Deprecated " : "    ")
                    .append(generic ? "<K extends Number & Comparable<K>> " : "")
                    .append(returns)
                    .append(random.nextBoolean() ? " same" : " m" + m)
                    .append("(");
            int parameters = random.nextInt(4);
            for (int p = 0; p < parameters; p++) {
                String type = p == 0 ? types.get(m) : generic && p == 1 ? "K" : types.get(random.nextInt(types.size()));
                boolean last = p == parameters - 1;
                out.append(p == 0 ? "" : ", ")
                        .append(last && type.equals("int") ? "int..." : type)
                        .append(" p")
                        .append(p);
            }
            // Overloads must differ, so each has a number of its own as its last word.
            out.append(")")
                    .append(random.nextInt(3) == 0 ? " throws java.io.IOException" : "")
                    .append(";\n");
        }
        return out.append("    default int size() { return 3; }\n    static int help() { return 1; }\n}\n")
                .toString()
                .replaceAll("\\bsame\\(\\)", "noArguments" + random.nextInt(1000) + "()");
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void whatever_an_interface_holds_its_doubles_compile_and_behave(long seed) throws Exception {
        Random random = new Random(seed);
        for (int i = 0; i < 12; i++) {
            String code;
            do {
                code = randomInterface(random, i);
            } while (!compiles(code, i));
            source("sky/Made" + i + ".java", code);
        }
        plan(ALL, "").write(false);
        try (URLClassLoader loader = compiled()) {
            for (int i = 0; i < 12; i++) {
                behaves(loader, "sky.Made" + i);
            }
        }
    }

    private boolean compiles(String code, int number) throws IOException {
        Path alone = Files.createDirectories(folder.resolveSibling("alone" + System.identityHashCode(this)));
        Path file = Files.writeString(alone.resolve("Made" + number + ".java"), code);
        int result = ToolProvider.getSystemJavaCompiler()
                .run(
                        null,
                        java.io.OutputStream.nullOutputStream(),
                        java.io.OutputStream.nullOutputStream(),
                        "-Xlint:all",
                        "-Werror",
                        "-d",
                        alone.toString(),
                        file.toString());
        return result == 0;
    }

    private static void behaves(ClassLoader loader, String name) throws Exception {
        Class<?> type = loader.loadClass(name);
        Object stub = loader.loadClass(name + "Stub").getConstructor().newInstance();
        Object spy = loader.loadClass(name + "Spy").getConstructor(type).newInstance(stub);
        for (Method setter : stub.getClass().getDeclaredMethods()) {
            if (!setter.getName().endsWith("Answers")) {
                continue;
            }
            Object value = value(setter.getParameterTypes()[0]);
            setter.invoke(stub, value);
        }
        int calls = 0;
        for (Method method : type.getMethods()) {
            if (!java.lang.reflect.Modifier.isAbstract(method.getModifiers())) {
                continue;
            }
            Object[] arguments = Arrays.stream(method.getParameterTypes())
                    .map(RandomInterfacesTest::value)
                    .toArray();
            Object answer = method.invoke(spy, arguments);
            calls++;
            if (method.getReturnType() != void.class && method.getTypeParameters().length == 0) {
                assertThat(answer).as(method.toString()).isEqualTo(value(method.getReturnType()));
            }
        }
        List<Object> recorded = new ArrayList<>();
        for (java.lang.reflect.Field field : spy.getClass().getFields()) {
            recorded.addAll((List<?>) field.get(spy));
        }
        assertThat(recorded)
                .as(name)
                .hasSize(calls)
                .allMatch(call -> call.getClass().isRecord());
    }

    private static Object value(Class<?> type) {
        if (type.isPrimitive()) {
            return type == boolean.class ? (Object) true : type == char.class ? (Object) 'x' : number(type);
        }
        return type == String.class
                ? "value"
                : type == Integer.class
                        ? (Object) 7
                        : type.isArray() ? Array.newInstance(type.getComponentType(), 0) : null;
    }

    private static Object number(Class<?> type) {
        return type == long.class ? (Object) 7L : type == double.class ? (Object) 7.0 : (Object) 7;
    }
}
