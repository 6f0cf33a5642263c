package dev.zelotype.engine.scene;

import dev.zelotype.basics.Mask;
import dev.zelotype.basics.SourceText;
import dev.zelotype.conversation.ValueSource;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.Unrecorded;
import java.lang.reflect.Array;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The sources of the values of calls in a test. A value that has changed since its call has no source, nor has one that
 * is masked.
 */
enum ValueSources {
    /** For texts that were just printed. */
    NOW,
    /** For texts that were printed when the call was made: the value may have changed. */
    EARLIER;

    /** One for each text of an argument; none if each text is its own source. */
    List<ValueSource> ofArguments(DoubledMethod method, Object[] arguments, List<String> texts) {
        List<ValueSource> sources = new ArrayList<>();
        boolean told = true;
        int last = arguments.length - 1;
        for (int i = method.takesInstance() ? 1 : 0; i <= last; i++) {
            int rest = texts.size() - sources.size();
            boolean spread = i == last && method.executable().isVarArgs() && arguments[i] != null;
            int count = spread ? Array.getLength(arguments[i]) : 1;
            if (rest < count || spread && rest != count) {
                // Hidden as a whole.
                return List.of(ValueSource.unwritten(typeName(method.parameterTypes()[i])));
            }
            Class<?> type = method.parameterTypes()[i];
            for (int j = 0; j < count; j++) {
                Object value = spread ? Array.get(arguments[i], j) : arguments[i];
                ValueSource source = of(value, texts.get(sources.size()), spread ? type.getComponentType() : type);
                told &= source == ValueSource.AS_TOLD;
                sources.add(source);
            }
        }
        return told ? List.of() : sources;
    }

    /** For a value with the text that it had when it was passed. */
    ValueSource of(@Nullable Object value, String text, Class<?> declared) {
        if (value == null || value instanceof Integer || value instanceof Boolean) {
            return ValueSource.AS_TOLD;
        }
        boolean isWhole = !text.contains(Mask.MASKED)
                && (this == NOW || isFixed(value) || Values.print(value).equals(text));
        SourceText source = isWhole ? written(value) : null;
        if (source == null) {
            return ValueSource.unwritten(typeName(declared));
        }
        return source.code().equals(text) && source.imports().isEmpty()
                ? ValueSource.AS_TOLD
                : ValueSource.of(source.code(), List.copyOf(source.imports()));
    }

    /** Accessors of records are code of the test. */
    private static @Nullable SourceText written(Object value) {
        boolean entered = Unrecorded.enter();
        try {
            return SourceText.of(value);
        } finally {
            Unrecorded.leave(entered);
        }
    }

    /** Whether it cannot have changed since. */
    private static boolean isFixed(Object value) {
        return value instanceof String
                || value instanceof Number
                || value instanceof Enum
                || value instanceof Character;
    }

    private static String typeName(Class<?> type) {
        String name = type.getCanonicalName();
        return name == null ? "java.lang.Object" : name;
    }
}
