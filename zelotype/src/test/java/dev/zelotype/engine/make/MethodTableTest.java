package dev.zelotype.engine.make;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collection;
import java.util.List;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;

class MethodTableTest {

    interface Readable {
        Collection<?> read();

        default int lines() {
            return 1;
        }
    }

    interface Listed extends Readable {
        @Override
        List<?> read();
    }

    interface Drive<T> {
        void turn(T to);
    }

    abstract static class Motor implements Drive<String>, Supplier<Integer> {
        @Override
        public void turn(String to) {}

        public final int gear() {
            return 3;
        }

        protected abstract int speed();

        int hidden() {
            return 0;
        }

        static int count() {
            return 0;
        }

        @Override
        @SuppressWarnings({"removal", "deprecation"})
        protected void finalize() {}
    }

    private static MethodTable table(Class<?> superclass, Class<?>... interfaces) {
        return new MethodTable(superclass, List.of(interfaces), superclass.getPackageName());
    }

    private static List<String> names(MethodTable table) {
        return table.methods().stream()
                .filter(method -> !method.ofObject())
                .map(method -> method.signature() + ": " + method.returnType().getSimpleName())
                .sorted()
                .toList();
    }

    @Test
    void a_method_that_several_types_declare_is_one_with_the_narrowest_result() {
        for (Class<?>[] types : new Class<?>[][] {{Readable.class, Listed.class}, {Listed.class, Readable.class}}) {
            MethodTable table = table(Object.class, types);
            assertThat(names(table)).containsExactly("clone(): Object", "lines(): int", "read(): List");
            assertThat(table.find("read", "()Ljava/util/List;"))
                    .isNotNull()
                    .isSameAs(table.find("read", "()Ljava/util/Collection;"));
            assertThat(table.find("read", "()Ljava/lang/String;")).isNull();
        }
    }

    @Test
    void bridges_lead_to_the_method_that_they_bridge_to() {
        MethodTable table = table(Motor.class);
        assertThat(table.find("turn", "(Ljava/lang/Object;)V"))
                .isNotNull()
                .isSameAs(table.find("turn", "(Ljava/lang/String;)V"));
    }

    @Test
    void statics_finals_and_finalizers_are_no_methods_of_a_double() {
        MethodTable table = table(Motor.class);
        assertThat(names(table))
                .containsExactly(
                        "clone(): Object", "get(): Object", "hidden(): int", "speed(): int", "turn(String): void");
        assertThat(table.finals()).extracting(DoubledMethod::name).contains("gear");
        assertThat(table.finals().get(0).index()).isEqualTo(table.methods().size());
        assertThat(table.fixed("gear", "()I")).isNotNull();
    }

    @Test
    void numbers_are_places_and_objects_own_methods_are_among_them() {
        MethodTable table = table(Object.class, Listed.class);
        for (int i = 0; i < table.methods().size(); i++) {
            assertThat(table.methods().get(i).index()).isEqualTo(i);
        }
        assertThat(table.methods())
                .filteredOn(DoubledMethod::ofObject)
                .extracting(DoubledMethod::name)
                .containsExactlyInAnyOrder("toString", "equals", "hashCode");
    }
}
