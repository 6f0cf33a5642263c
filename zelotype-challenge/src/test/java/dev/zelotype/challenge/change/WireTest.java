package dev.zelotype.challenge.change;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * A message with any text arrives unchanged.
 */
class WireTest {

    private static final List<String> AWKWARD = List.of(
            "",
            " ",
            "\t",
            "\n",
            "\r\n",
            "\\",
            "\\t",
            "\\\t",
            "a\tb",
            ",",
            "a,b",
            "\u0000",
            "\u2028",
            "\ud83c\udf1f",
            "\ud83c",
            "null",
            "Go",
            "-1",
            "x".repeat(5000));

    static Stream<Class<?>> kinds() {
        return Stream.of(Message.class.getPermittedSubclasses());
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void a_message_comes_over_as_it_was_sent(Class<?> kind) throws Exception {
        Random random = new Random(kind.getName().hashCode());
        for (int i = 0; i < 300; i++) {
            Message message = (Message) made(kind, kind, random);
            String line = Wire.line(message);
            assertThat(line).doesNotContain("\n").doesNotContain("\r");
            assertThat(Wire.message(line)).isEqualTo(message);
        }
    }

    private static Object made(Class<?> type, Type generic, Random random) throws ReflectiveOperationException {
        if (type.isRecord()) {
            List<Object> values = new ArrayList<>();
            List<Class<?>> types = new ArrayList<>();
            for (RecordComponent each : type.getRecordComponents()) {
                types.add(each.getType());
                values.add(made(each.getType(), each.getGenericType(), random));
            }
            return type.getDeclaredConstructor(types.toArray(new Class<?>[0])).newInstance(values.toArray());
        } else if (type == List.class) {
            Class<?> element = (Class<?>) ((ParameterizedType) generic).getActualTypeArguments()[0];
            List<Object> elements = new ArrayList<>();
            for (int left = random.nextInt(4); left > 0; left--) {
                elements.add(made(element, element, random));
            }
            return elements;
        } else if (type == String.class) {
            return text(random);
        } else if (type == boolean.class) {
            return random.nextBoolean();
        } else if (type == int.class) {
            return random.nextInt();
        } else if (type == long.class) {
            return random.nextLong();
        }
        return type.getEnumConstants()[random.nextInt(type.getEnumConstants().length)];
    }

    private static String text(Random random) {
        return AWKWARD.get(random.nextInt(AWKWARD.size())) + AWKWARD.get(random.nextInt(AWKWARD.size()));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "\t", "OpenJDK 64-Bit Server VM warning: something", "Nothing\tx", "Done\tid"})
    void what_is_no_message_is_told_apart(String line) {
        assertThatThrownBy(() -> Wire.message(line)).isInstanceOf(RuntimeException.class);
    }
}
