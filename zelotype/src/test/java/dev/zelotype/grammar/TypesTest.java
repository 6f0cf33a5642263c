package dev.zelotype.grammar;

import static dev.zelotype.Zelotype.recorded;
import static dev.zelotype.Zelotype.stub;
import static dev.zelotype.Zelotype.suppose;
import static dev.zelotype.Zelotype.verify;
import static org.assertj.core.api.Assertions.assertThat;

import dev.zelotype.Scene;
import dev.zelotype.observatory.Observatory.Dome;
import java.io.IOException;
import java.io.InputStream;
import java.lang.reflect.InvocationHandler;
import java.lang.reflect.Method;
import java.sql.Connection;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.function.BinaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * The types that can be doubled, wherever they are loaded.
 */
class TypesTest {

    private final Scene scene = Scene.open();

    @AfterEach
    void close() {
        scene.close();
    }

    interface PackagePrivate {
        int value(int in);

        static int helper() {
            return 3;
        }

        private int hidden() {
            return 4;
        }

        default int defaulted() {
            return hidden() + helper();
        }
    }

    interface Left {
        Number value();

        List<String> all();
    }

    interface Right {
        Integer value();

        Iterable<String> all();
    }

    interface Both extends Left, Right {
        @Override
        Integer value();

        @Override
        List<String> all();
    }

    private interface Private<T extends Comparable<T>> extends BinaryOperator<T> {
        <X extends Exception> void risky(Class<X> type) throws X;
    }

    @Test
    void interfaces_of_every_visibility_and_inheritance() {
        PackagePrivate plain = stub(PackagePrivate.class);
        Private<String> hidden = stub(Private.class);
        Both both = stub(Both.class);
        suppose(plain::value).answers(in -> in + 1);
        suppose(plain::defaulted).callsReal();
        suppose(hidden::apply).answers((a, b) -> a + b);
        suppose(both::value).returns(7);
        suppose(both::all).returns(List.of("x"));

        assertThat(List.of(plain.value(3), plain.defaulted())).containsExactly(4, 7);
        assertThat(hidden.apply("a", "b")).isEqualTo("ab");
        assertThat(((Left) both).value()).isEqualTo(((Right) both).value()).isEqualTo(7);
        assertThat(((Right) both).all()).containsExactly("x");
        Right right = both;
        verify(right::value).times(2);
    }

    @Test
    void interfaces_of_the_jdk() throws Exception {
        List<String> list = stub(List.class);
        Map<String, Integer> map = stub(Map.class);
        Callable<String> call = stub(Callable.class);
        Comparator<String> byLength = stub(Comparator.class);
        Connection connection = stub(Connection.class);
        suppose(list::size).returns(3);
        suppose(() -> map.getOrDefault("a", 1)).returns(2);
        suppose(call::call).fails(new IOException("down")).returns("up");
        suppose(byLength::compare).answers((a, b) -> a.length() - b.length());
        suppose(byLength::reversed).callsReal();
        suppose(() -> connection.prepareStatement("select 1").executeQuery().getInt(1))
                .returns(42);

        assertThat(list.size()).isEqualTo(3);
        assertThat(map.getOrDefault("a", 1)).isEqualTo(2);
        assertThat(org.assertj.core.api.Assertions.catchThrowable(call::call)).isInstanceOf(IOException.class);
        assertThat(call.call()).isEqualTo("up");
        assertThat(Stream.of("ccc", "a", "bb").sorted(byLength.reversed())).containsExactly("ccc", "bb", "a");
        assertThat(connection.prepareStatement("select 1").executeQuery().getInt(1))
                .isEqualTo(42);
    }

    @Test
    void several_types_at_once() throws Exception {
        Dome dome = stub(Dome.class, Callable.class, AutoCloseable.class);
        Callable<String> callable = callable(dome);
        suppose(callable::call).answers(() -> "called");
        ((AutoCloseable) dome).close();

        assertThat(callable.call()).isEqualTo("called");
        verify(dome::close).once();
    }

    @SuppressWarnings("unchecked")
    private static Callable<String> callable(Object object) {
        return (Callable<String>) object;
    }

    /** Loads some of the test classes a second time, like an application server. */
    private static final class OtherLoader extends ClassLoader {

        private final String own;

        OtherLoader(ClassLoader parent, String own) {
            super(parent);
            this.own = own;
        }

        @Override
        protected Class<?> loadClass(String name, boolean resolve) throws ClassNotFoundException {
            return name.startsWith(own) ? findClass(name) : super.loadClass(name, resolve);
        }

        @Override
        protected Class<?> findClass(String name) throws ClassNotFoundException {
            Class<?> known = findLoadedClass(name);
            if (known != null) {
                return known;
            }
            try (InputStream in = TypesTest.class.getResourceAsStream("/" + name.replace('.', '/') + ".class")) {
                byte[] code = in.readAllBytes();
                return defineClass(name, code, 0, code.length);
            } catch (IOException e) {
                throw new ClassNotFoundException(name, e);
            }
        }
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void interfaces_of_other_class_loaders(boolean seesZelotype) throws Exception {
        ClassLoader parent = seesZelotype ? getClass().getClassLoader() : ClassLoader.getPlatformClassLoader();
        String name = "dev.zelotype.grammar.TypesTest$PackagePrivate";
        Class<?> other = Class.forName(name, true, new OtherLoader(parent, TypesTest.class.getName()));
        Object made = stub(cast(other));
        Method method = other.getDeclaredMethod("value", int.class);
        method.setAccessible(true);

        assertThat(other).isNotSameAs(PackagePrivate.class);
        assertThat(other.isInstance(made)).isTrue();
        assertThat(method.invoke(made, 3)).isEqualTo(0);
        assertThat(scene.conversation().calls()).singleElement().satisfies(call -> {
            assertThat(call.method()).isEqualTo("value");
            assertThat(call.arguments()).containsExactly("3");
        });
    }

    @SuppressWarnings("unchecked")
    private static Class<Object> cast(Class<?> type) {
        return (Class<Object>) type;
    }

    @Test
    void an_interface_of_a_closed_package_is_doubled_by_the_jdk() throws Exception {
        Class<?> closed = Class.forName("jdk.internal.misc.VM$BufferPool");
        Object made = stub(cast(closed));

        assertThat(made).isInstanceOf(closed).hasToString("bufferPool");
        assertThat(java.lang.reflect.Proxy.isProxyClass(made.getClass())).isTrue();
        InvocationHandler handler = java.lang.reflect.Proxy.getInvocationHandler(made);
        assertThat(catchingInvoke(handler, made, closed.getMethod("getCount"))).isEqualTo(0L);
        assertThat(scene.conversation().calls()).hasSize(1);
    }

    private static Object catchingInvoke(InvocationHandler handler, Object self, Method method) {
        try {
            return handler.invoke(self, method, null);
        } catch (Throwable e) {
            throw new AssertionError(e);
        }
    }

    @Test
    void many_doubles_share_one_class() {
        List<Object> made = new ArrayList<>();
        for (int i = 0; i < 100; i++) {
            made.add(stub(Dome.class));
        }
        assertThat(made).extracting(Object::getClass).containsOnly(made.get(0).getClass());
        assertThat(made).extracting(Object::toString).doesNotHaveDuplicates();
        Dome last = (Dome) made.get(99);
        last.rotate(3);
        assertThat(recorded(last::rotate)).containsExactly(3);
    }
}
