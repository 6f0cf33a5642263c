package dev.zelotype.generate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.source.util.JavacTask;
import java.io.IOException;
import java.lang.reflect.Array;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.Proxy;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import javax.tools.DiagnosticCollector;
import javax.tools.JavaFileObject;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * The doubles of any interface compile without warnings and behave correctly.
 */
class RandomInterfacesTest extends Workshop {

    private static final StandardJavaFileManager FILES =
            ToolProvider.getSystemJavaCompiler().getStandardFileManager(null, null, null);

    @TempDir
    private Path alone;

    @AfterAll
    static void closeFiles() throws IOException {
        FILES.close();
    }

    /** Generates interfaces with everything that Java allows in a signature. */
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
            // Overloads must differ, so each name ends with its own number.
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

    /** With a compiler that caches the classes of the JDK. */
    private boolean compiles(String code, int number) throws IOException {
        Path file = Files.writeString(alone.resolve("Made" + number + ".java"), code);
        DiagnosticCollector<JavaFileObject> problems = new DiagnosticCollector<>();
        List<String> options = List.of("-Xlint:all", "-implicit:none");
        Iterable<? extends JavaFileObject> sources = FILES.getJavaFileObjects(file);
        ((JavacTask) ToolProvider.getSystemJavaCompiler().getTask(null, FILES, problems, options, null, sources))
                .analyze();
        return problems.getDiagnostics().isEmpty();
    }

    private static void behaves(ClassLoader loader, String name) throws Exception {
        Class<?> type = loader.loadClass(name);
        List<Method> methods = Arrays.stream(type.getMethods())
                .filter(method -> Modifier.isAbstract(method.getModifiers()))
                .toList();
        for (String style : List.of("Stub", "StrictStub")) {
            Object stub = loader.loadClass(name + style).getConstructor().newInstance();
            for (Method method : methods) {
                if (style.equals("StrictStub")) {
                    assertThat(thrown(stub, method))
                            .isInstanceOf(AssertionError.class)
                            .hasMessageContaining(method.getName() + "(")
                            .hasMessageContaining("Write: .");
                } else {
                    assertThat(thrown(stub, method)).as("unset " + method).isNull();
                }
            }
            assertThat(type.getMethod("size").invoke(stub)).isEqualTo(3);
            everyAnswerForm(stub, methods);
        }
        spied(loader, name, type, methods);
    }

    /** Sets each answer in every possible way, and calls the method. */
    private static void everyAnswerForm(Object stub, List<Method> methods) throws Exception {
        int forms = 0;
        for (Method setter : stub.getClass().getDeclaredMethods()) {
            String word =
                    setter.getName().replaceAll("^.*?(Answers|AnswersInTurn|AnswersBy|Does|DoesNothing|Fails)$", "$1");
            if (!Modifier.isPublic(setter.getModifiers()) || word.equals(setter.getName())) {
                continue;
            }
            Method method = spokenOf(setter, stub, methods, word);
            if (method == null) {
                continue;
            }
            forms++;
            switch (word) {
                case "Answers" -> {
                    setter.invoke(stub, value(setter.getParameterTypes()[0]));
                    assertThat(called(stub, method))
                            .as(setter.toString())
                            .isEqualTo(value(setter.getParameterTypes()[0]));
                }
                case "AnswersInTurn" -> {
                    Object answer = value(method.getReturnType());
                    setter.invoke(stub, Arrays.asList(empty(method.getReturnType()), answer));
                    assertThat(called(stub, method)).isEqualTo(empty(method.getReturnType()));
                    assertThat(called(stub, method)).isEqualTo(answer);
                    assertThat(called(stub, method)).as("the last again").isEqualTo(answer);
                    assertThatThrownBy(() -> setter.invoke(stub, List.of()))
                            .cause()
                            .hasMessage("Give at least one answer.");
                }
                case "AnswersBy", "Does" -> {
                    List<Object> given = new ArrayList<>();
                    setter.invoke(stub, shape(setter.getParameterTypes()[0], given, value(method.getReturnType())));
                    called(stub, method);
                    assertThat(given).hasSize(method.getParameterCount());
                }
                case "Fails" -> {
                    Throwable failure = (Throwable)
                            setter.getParameterTypes()[0].getConstructor().newInstance();
                    setter.invoke(stub, failure);
                    assertThat(thrown(stub, method)).isSameAs(failure);
                }
                default -> {
                    setter.invoke(stub);
                    assertThat(thrown(stub, method)).isNull();
                }
            }
        }
        assertThat(forms).isGreaterThan(methods.size());
    }

    /** The method of the interface that belongs to a setter: the one whose calls it affects. */
    private static Method spokenOf(Method setter, Object stub, List<Method> methods, String word) throws Exception {
        String spoken = setter.getName().substring(0, setter.getName().length() - word.length());
        List<Method> named = methods.stream()
                .filter(method -> spoken.equals(method.getName()) || spoken.startsWith(method.getName() + "Of"))
                .toList();
        if (named.size() == 1) {
            return named.get(0);
        }
        // Overloads are distinguished by the call that the setter affects.
        String fails = spoken + "Fails";
        IllegalStateException mark = new IllegalStateException("mark");
        stub.getClass().getMethod(fails, RuntimeException.class).invoke(stub, mark);
        for (Method method : named) {
            if (thrown(stub, method) == mark) {
                return method;
            }
        }
        return null;
    }

    private static Object shape(Class<?> type, List<Object> given, Object answer) {
        return Proxy.newProxyInstance(type.getClassLoader(), new Class<?>[] {type}, (proxy, method, arguments) -> {
            given.addAll(arguments == null ? List.of() : Arrays.asList(arguments));
            return answer;
        });
    }

    private static Object called(Object on, Method method) throws Exception {
        return method.invoke(on, arguments(method));
    }

    private static Throwable thrown(Object on, Method method) throws IllegalAccessException {
        try {
            method.invoke(on, arguments(method));
            return null;
        } catch (InvocationTargetException e) {
            return e.getCause();
        }
    }

    private static Object[] arguments(Method method) {
        return Arrays.stream(method.getParameterTypes())
                .map(RandomInterfacesTest::value)
                .toArray();
    }

    private static void spied(ClassLoader loader, String name, Class<?> type, List<Method> methods) throws Exception {
        Object stub = loader.loadClass(name + "Stub").getConstructor().newInstance();
        Object spy = loader.loadClass(name + "Spy").getConstructor(type).newInstance(stub);
        List<String> order = new ArrayList<>();
        for (int round = 0; round < 2; round++) {
            for (Method method : methods) {
                called(spy, method);
                order.add(method.getName().toLowerCase(Locale.ROOT));
            }
        }
        List<?> calls = (List<?>) spy.getClass().getMethod("calls").invoke(spy);
        assertThat(calls).as(name).hasSameSizeAs(order);
        for (int i = 0; i < calls.size(); i++) {
            Object call = calls.get(i);
            assertThat(call.getClass().isRecord()).isTrue();
            assertThat(call.getClass().getSimpleName().toLowerCase(Locale.ROOT)).startsWith(order.get(i));
            // Calls with equal arrays are equal.
            assertThat(call)
                    .isEqualTo(calls.get((i + methods.size()) % calls.size()))
                    .hasSameHashCodeAs(calls.get(i));
        }
        int one = 0;
        for (Method method : spy.getClass().getDeclaredMethods()) {
            if (method.getName().endsWith("Calls")) {
                one += ((List<?>) method.invoke(spy)).size();
            }
        }
        assertThat(one).isEqualTo(calls.size());
    }

    private static Object empty(Class<?> type) {
        return type.isPrimitive() && type != boolean.class && type != char.class
                ? Array.get(Array.newInstance(type, 1), 0)
                : type == boolean.class ? (Object) false : type == char.class ? (Object) ' ' : null;
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
