package dev.zelotype.junit;

import dev.zelotype.Zelotype;
import dev.zelotype.doubles.Kind;
import dev.zelotype.error.MisuseException;
import dev.zelotype.host.ClosedPackages;
import dev.zelotype.journal.TestScene;
import java.lang.reflect.AnnotatedElement;
import java.lang.reflect.Field;
import java.lang.reflect.InaccessibleObjectException;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * For hosts of tests, with any framework: fills the fields of one test that are annotated with {@link StandIn}, {@link
 * Provided} and {@link UnderTest}. Needs no JUnit. For the thread that runs the test.
 *
 * <pre>{@code
 * TestScene scene = TestScene.open(TestSettings.of(name -> Optional.empty()), TestScene.Name.of(getClass(), "opens"));
 * TestFields fields = new TestFields(scene);
 * fields.fill(this);
 * }</pre>
 *
 * @since 0.2
 */
public final class TestFields {

    private final TestScene test;
    /** The doubles requested by the test, by type and name. */
    private final Map<Wish, Declared> declared = new LinkedHashMap<>();

    private boolean hasSubject;

    /**
     * Prepares the fields of a test.
     *
     * @param test the open scene of the test
     */
    public TestFields(TestScene test) {
        this.test = test;
    }

    private record Wish(Class<?> type, @Nullable String name) {}

    private record Declared(Object made, Kind kind) {}

    private interface Filler {
        void fill(Object test, Field field) throws IllegalAccessException;
    }

    /** The annotated fields of a test class, found once. */
    private static final class Asked {

        private static final ClassValue<Asked> OF = new ClassValue<>() {
            @Override
            protected Asked computeValue(Class<?> type) {
                return new Asked(type);
            }
        };

        private final List<Field> fields = new ArrayList<>();
        /** Fields that other extensions fill, according to their annotations. */
        private final List<Field> held = new ArrayList<>();

        private Asked(Class<?> type) {
            for (Class<?> each = type; each != Object.class; each = each.getSuperclass()) {
                for (Field field : each.getDeclaredFields()) {
                    if (isFilled(field) || field.isAnnotationPresent(Provided.class)) {
                        fields.add(field);
                    } else if (field.getAnnotations().length > 0
                            && !field.getType().isPrimitive()
                            && !Modifier.isStatic(field.getModifiers())
                            && field.trySetAccessible()) {
                        held.add(field);
                    }
                }
            }
        }
    }

    /**
     * Refuses fields if tests that run at the same time would overwrite them.
     *
     * @param tests the test's instance and its enclosing instances
     * @param cure what to do instead
     * @throws MisuseException if there are such fields
     */
    public static void refuseFields(List<Object> tests, String cure) {
        for (Object each : tests) {
            eachField(each, (test, field) -> {
                if (isFilled(field)) {
                    throw new MisuseException(
                            name(field) + " is shared by tests that run at the same time, since all of them have one"
                                    + " instance of their class.",
                            cure);
                }
            });
        }
    }

    private static boolean isFilled(AnnotatedElement element) {
        return element.isAnnotationPresent(StandIn.class) || element.isAnnotationPresent(UnderTest.class);
    }

    /**
     * Fills the fields of a test: doubles and values first, then the subjects, which use them.
     *
     * @param instance the object with the test's methods
     * @throws MisuseException if a field cannot be filled; the message gives the reason
     */
    public void fill(Object instance) {
        fillDoubles(List.of(instance));
        fillSubjects(List.of(instance));
    }

    /** Fills the fields of a test's instance and its enclosing instances, except the subjects. */
    void fillDoubles(List<Object> tests) {
        for (Object each : tests) {
            eachField(each, this::fillStandIn);
        }
        tests.forEach(this::lendHeld);
    }

    void fillSubjects(List<Object> tests) {
        for (Object each : tests) {
            eachField(each, this::fillUnderTest);
        }
    }

    /** Doubles that the test already holds, for example from a container, are passed to its subjects as well. */
    private void lendHeld(Object instance) {
        for (Field field : Asked.OF.get(instance.getClass()).held) {
            try {
                Object value = field.get(instance);
                if (value != null) {
                    test.hosted().lend(value);
                }
            } catch (IllegalAccessException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    private static void eachField(Object test, Filler filler) {
        for (Field field : Asked.OF.get(test.getClass()).fields) {
            try {
                filler.fill(test, field);
            } catch (IllegalAccessException e) {
                throw new MisuseException(
                        name(field) + " cannot be reached.", "open its package to dev.zelotype.junit", e);
            }
        }
    }

    private void fillStandIn(Object instance, Field field) throws IllegalAccessException {
        StandIn asked = field.getAnnotation(StandIn.class);
        if (asked != null) {
            writable(field);
            field.set(instance, declare(asked.value(), field.getType(), field.getName()));
        }
        if (field.isAnnotationPresent(Provided.class)) {
            open(field);
            test.scene().provide(field.getName(), field.get(instance));
        }
    }

    private void fillUnderTest(Object instance, Field field) throws IllegalAccessException {
        UnderTest asked = field.getAnnotation(UnderTest.class);
        if (asked != null) {
            writable(field);
            hasSubject = true;
            if (field.getAnnotations().length > 1 && field.get(instance) != null) {
                // Another annotation means that a container fills it.
                test.hosted().subjectIs(field.get(instance));
                return;
            }
            field.set(instance, test.scene().subject(field.getType(), asked.others()));
        }
    }

    private static void writable(Field field) {
        if (Modifier.isStatic(field.getModifiers()) || Modifier.isFinal(field.getModifiers())) {
            throw new MisuseException(
                    name(field) + " is static or final, but each test gets doubles of its own.",
                    "make it a plain field");
        }
        open(field);
    }

    private static void open(Field field) {
        try {
            field.setAccessible(true);
        } catch (InaccessibleObjectException e) {
            throw ClosedPackages.refusal(field, TestFields.class, e);
        }
    }

    private static String name(Field field) {
        return "The field " + field.getDeclaringClass().getSimpleName() + "." + field.getName();
    }

    /** The double with this type and name; made now if it was not requested before. */
    Object declare(Kind kind, Class<?> type, @Nullable String name) {
        Declared known = declared.get(new Wish(type, name));
        if (known == null) {
            known = new Declared(makeDouble(kind, type, name), kind);
            declared.put(new Wish(type, name), known);
        } else if (known.kind() != kind) {
            throw new MisuseException(
                    known.made() + " is asked for as a " + known.kind().word() + " and as a " + kind.word() + ".",
                    "ask for one kind, or give the second double another name");
        }
        return known.made();
    }

    /** A subject that is requested by something other than a field. */
    Object subject(Class<?> type, UnderTest asked) {
        hasSubject = true;
        return test.scene().subject(type, asked.others());
    }

    private static Object makeDouble(Kind kind, Class<?> type, @Nullable String name) {
        Object made = switch (kind) {
            case STUB -> Zelotype.stub(type);
            case MOCK -> Zelotype.mock(type);
            case SPY -> Zelotype.spy(type);
            case DUMMY -> Zelotype.dummy(type);
            case FAKE -> Zelotype.fake(type);
        };
        return name == null ? made : Zelotype.named(made, name);
    }

    /**
     * Notes about the declarations of the test.
     *
     * @return one sentence for each
     */
    public List<String> notes() {
        List<String> notes = new ArrayList<>();
        for (Declared each : declared.values()) {
            if (hasSubject && !test.hosted().gaveToSubject(each.made())) {
                notes.add("the collaborator " + each.made() + " is declared, but the subject takes none of its type");
            }
        }
        if (hasSubject) {
            notes.addAll(test.hosted().providedButNotTaken());
        }
        return notes;
    }
}
