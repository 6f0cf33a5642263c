package dev.zelotype.engine.scene;

import dev.zelotype.basics.Boxes;
import dev.zelotype.basics.CodeOwner;
import dev.zelotype.basics.Reflected;
import dev.zelotype.doubles.Kind;
import dev.zelotype.engine.decide.DoubleState;
import dev.zelotype.engine.decide.NewDouble;
import dev.zelotype.engine.explain.Values;
import dev.zelotype.engine.make.Access;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.Members;
import dev.zelotype.engine.make.Rethrow;
import dev.zelotype.engine.make.Unwrapping;
import dev.zelotype.engine.replace.Replacing;
import dev.zelotype.error.MisuseException;
import java.lang.reflect.Constructor;
import java.lang.reflect.Field;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.Parameter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Builds the subjects of a scene with its doubles: one double for each type, or for each name if several of a type are
 * required, independent of the order of requests.
 */
public final class SubjectBuilder {

    private @Nullable Class<?> subjectType;
    /** The names that subjects accept, and those for which they received a provided value. */
    private final Set<String> wanted = new LinkedHashSet<>();

    private final Set<String> taken = new LinkedHashSet<>();

    /** Names that differ by more letters are considered unrelated. */
    private static final int NEAR = 2;

    private final List<DoubleState> lent = new ArrayList<>();
    private final SceneState scene;
    private final Map<String, Object> provided = new LinkedHashMap<>();
    private final Set<String> unfilled = new LinkedHashSet<>();
    private final Set<Object> given = Collections.newSetFromMap(new IdentityHashMap<>());

    SubjectBuilder(SceneState scene) {
        this.scene = scene;
    }

    /** A requirement of a subject. */
    private record Wish(Class<?> type, @Nullable String name, boolean byNameOnly) {

        @Override
        public String toString() {
            return Values.typeName(type) + (name == null ? "" : " " + name);
        }
    }

    public synchronized void provide(String name, @Nullable Object value) {
        if (provided.containsKey(name)) {
            throw new MisuseException("'" + name + "' is provided twice.", "provide one value for each name");
        }
        provided.put(name, value);
    }

    /** The names of provided values that no subject uses, each with the closest name in use. */
    public synchronized List<String> notTaken() {
        List<String> texts = new ArrayList<>();
        for (String name : provided.keySet()) {
            if (subjectType != null && !taken.contains(name)) {
                String closest = closest(name);
                texts.add("'" + name + "' is provided, but " + Values.typeName(subjectType) + " was built without it"
                        + (closest == null || closest.equals(name) ? "" : "; did you mean '" + closest + "'?"));
            }
        }
        return texts;
    }

    private @Nullable String closest(String name) {
        String closest = null;
        int least = Integer.MAX_VALUE;
        for (String each : wanted) {
            int distance = distance(name, each);
            if (distance < least) {
                least = distance;
                closest = each;
            }
        }
        return closest;
    }

    /** How many letters must be replaced, added or removed to turn one word into the other. */
    private static int distance(String from, String to) {
        int[][] all = new int[from.length() + 1][to.length() + 1];
        for (int i = 0; i <= from.length(); i++) {
            for (int j = 0; j <= to.length(); j++) {
                if (i == 0 || j == 0) {
                    all[i][j] = i + j;
                } else {
                    int exchanged = all[i - 1][j - 1] + (from.charAt(i - 1) == to.charAt(j - 1) ? 0 : 1);
                    all[i][j] = Math.min(exchanged, 1 + Math.min(all[i - 1][j], all[i][j - 1]));
                }
            }
        }
        return all[from.length()][to.length()];
    }

    /** The type of the subject that was requested last, or null. */
    @Nullable
    Class<?> subjectType() {
        return subjectType;
    }

    /** Whether a subject received this object. */
    public synchronized boolean gave(Object object) {
        return given.contains(object);
    }

    /** The scene's double of a type, made now if there is none yet. */
    public synchronized Object the(Class<?> type, @Nullable String name, @Nullable Kind kind) {
        DoubleState known = find(new Wish(type, name, name != null));
        if (known == null) {
            return scene.make(NewDouble.of(kind == null ? Kind.STUB : kind, name, type))
                    .self();
        }
        if (kind != null && known.kind() != kind) {
            throw new MisuseException(
                    known.name() + " is a " + known.kind().word() + " already, not a " + kind.word() + ".",
                    "ask for it before anything else needs it");
        }
        return known.self();
    }

    /** A new subject; undeclared collaborators become doubles of the given kind. */
    public synchronized Object subject(Class<?> type, Kind others) {
        subjectType = type;
        if (type.isInterface() || Modifier.isAbstract(type.getModifiers()) || type.isArray() || type.isPrimitive()) {
            throw new MisuseException(
                    Values.typeName(type) + " cannot be a subject: it has no constructor to call.",
                    "name the class under test");
        }
        Constructor<?> constructor = choose(type);
        Object subject = construct(constructor, others);
        if (constructor.getParameterCount() == 0) {
            callSetters(subject, others);
            fillFields(subject, others);
        }
        refuseMisspelt(type);
        noteUnfilled(subject);
        return subject;
    }

    /** A value with a misspelled name would leave the subject with a double of our own choice. */
    private void refuseMisspelt(Class<?> type) {
        for (String name : provided.keySet()) {
            String closest = taken.contains(name) ? null : closest(name);
            boolean near = closest != null
                    && !provided.containsKey(closest)
                    && distance(name, closest) <= Math.min(NEAR, name.length() / 3);
            if (near) {
                throw new MisuseException(
                        "'" + name + "' is provided, but " + Values.typeName(type) + " takes '" + closest + "'.",
                        "give both the same name");
            }
        }
    }

    /**
     * Fields that would have received a double if the subject had no constructor with parameters, and that are null
     * now.
     */
    private void noteUnfilled(Object subject) {
        for (Class<?> type = subject.getClass();
                type != null && !CodeOwner.isOfJdk(type);
                type = type.getSuperclass()) {
            for (Field field : Reflected.orElse(type::getDeclaredFields, new Field[0])) {
                Wish wish = new Wish(field.getType(), field.getName(), false);
                int modifiers = field.getModifiers();
                boolean takes = !Modifier.isStatic(modifiers)
                        && !Modifier.isFinal(modifiers)
                        && !field.getType().isPrimitive()
                        && (isDeclared(wish) || !CodeOwner.isOfJdk(field.getType()) && isDoublable(field.getType()));
                if (takes && isEmpty(field, subject)) {
                    unfilled.add(
                            Values.typeName(type) + "." + field.getName() + " of " + Values.typeName(field.getType())
                                    + " is null: fields are filled only if the constructor takes nothing");
                }
            }
        }
    }

    private boolean isDeclared(Wish wish) {
        try {
            return find(wish) != null;
        } catch (MisuseException several) {
            return true;
        }
    }

    private static boolean isEmpty(Field field, Object subject) {
        try {
            return field.trySetAccessible() && field.get(subject) == null;
        } catch (IllegalAccessException e) {
            return false;
        }
    }

    /** The fields of subjects that would have received a double, and are null. */
    public synchronized List<String> unfilled() {
        return List.copyOf(unfilled);
    }

    private Constructor<?> choose(Class<?> type) {
        List<Constructor<?>> best = new ArrayList<>();
        Constructor<?> largest = null;
        for (Constructor<?> constructor : Members.constructors(type)) {
            if (Modifier.isPrivate(constructor.getModifiers()) || constructor.isSynthetic()) {
                continue;
            }
            wishes(constructor).forEach(this::want);
            if (largest == null || constructor.getParameterCount() > largest.getParameterCount()) {
                largest = constructor;
            }
            if (missing(constructor).isEmpty()) {
                int most = best.isEmpty() ? -1 : best.get(0).getParameterCount();
                if (constructor.getParameterCount() > most) {
                    best.clear();
                }
                if (constructor.getParameterCount() >= most) {
                    best.add(constructor);
                }
            }
        }
        if (largest == null) {
            throw new MisuseException(
                    Values.typeName(type) + " has private constructors only.", "build it in the test");
        }
        if (best.isEmpty()) {
            Wish missing = missing(largest).get(0);
            throw new MisuseException(
                    "No constructor of " + Values.typeName(type) + " can be called: " + text(largest) + " needs "
                            + missing + ", which cannot be doubled.",
                    missing.name() == null
                            ? "compile the class with -parameters, and provide the value by its name"
                            : "provide it, with scene.provide(\"" + missing.name() + "\", ...) or a field @Provided "
                                    + missing);
        }
        if (best.size() > 1) {
            List<String> texts = new ArrayList<>();
            best.forEach(constructor -> texts.add(text(constructor)));
            throw new MisuseException(
                    "Several constructors of " + Values.typeName(type) + " can be called: "
                            + String.join(" and ", texts) + ".",
                    "build it in the test, with the doubles of your choice");
        }
        return best.get(0);
    }

    private static String text(Constructor<?> constructor) {
        List<String> wishes = new ArrayList<>();
        for (Wish wish : wishes(constructor)) {
            wishes.add(wish.toString());
        }
        return Values.typeName(constructor.getDeclaringClass()) + "(" + String.join(", ", wishes) + ")";
    }

    private static List<Wish> wishes(Constructor<?> constructor) {
        List<Wish> wishes = new ArrayList<>();
        for (Parameter parameter : constructor.getParameters()) {
            int sameType = 0;
            for (Class<?> other : constructor.getParameterTypes()) {
                sameType += other == parameter.getType() ? 1 : 0;
            }
            wishes.add(new Wish(
                    parameter.getType(), parameter.isNamePresent() ? parameter.getName() : null, sameType > 1));
        }
        return wishes;
    }

    private List<Wish> missing(Constructor<?> constructor) {
        List<Wish> missing = new ArrayList<>();
        for (Wish wish : wishes(constructor)) {
            if (!isProvided(wish) && !isDoublable(wish.type()) && find(wish) == null) {
                missing.add(wish);
            }
        }
        return missing;
    }

    private static boolean isDoublable(Class<?> type) {
        return (DoubleClass.canDouble(type) || Replacing.canReplace(type) || isReplaceableEnum(type))
                && type != Object.class
                && (isCollaborator(type) || !type.getName().startsWith("java.lang."));
    }

    /**
     * The classes of {@code java.lang} are values; its interfaces, such as {@code Runnable}, are collaborators like
     * others.
     */
    private static boolean isCollaborator(Class<?> type) {
        return type.isInterface() && Modifier.isPublic(type.getModifiers()) && type != CharSequence.class;
    }

    private static boolean isReplaceableEnum(Class<?> type) {
        return type.isEnum() && !CodeOwner.isOfJdk(type) && type.getEnumConstants().length > 0;
    }

    /** What to make for a requirement; for an enum, which has only its constants, a spy on the first of them. */
    private static NewDouble order(Wish wish, Kind kind) {
        return isReplaceableEnum(wish.type())
                ? NewDouble.spy(wish.name(), wish.type().getEnumConstants()[0])
                : NewDouble.of(kind, wish.name(), wish.type());
    }

    private boolean isProvided(Wish wish) {
        return wish.name() != null && provided.containsKey(wish.name());
    }

    private Object construct(Constructor<?> constructor, Kind others) {
        List<Object> arguments = new ArrayList<>();
        for (Wish wish : wishes(constructor)) {
            arguments.add(fulfil(wish, others));
        }
        try {
            Access.open(constructor);
            return constructor.newInstance(arguments.toArray());
        } catch (InvocationTargetException e) {
            throw Rethrow.rethrow(e.getCause());
        } catch (ReflectiveOperationException e) {
            throw new MisuseException(text(constructor) + " cannot be called.", "open its package to dev.zelotype", e);
        }
    }

    private @Nullable Object fulfil(Wish wish, Kind others) {
        if (isProvided(wish)) {
            taken.add(wish.name());
            Object value = provided.get(wish.name());
            Class<?> boxed = Boxes.of(wish.type());
            if (value == null ? wish.type().isPrimitive() : !boxed.isInstance(value)) {
                throw new MisuseException(
                        "'" + wish.name() + "' was provided as " + Values.print(value) + ", but " + wish
                                + " is needed.",
                        "provide a value of that type");
            }
            return value;
        }
        DoubleState known = find(wish);
        if (known == null) {
            known = scene.make(order(wish, others));
        }
        given.add(known.self());
        return known.self();
    }

    /** Lets subjects receive a double that was made elsewhere; an object that is not a double is ignored. */
    public synchronized void lend(Object object) {
        if (Unwrapping.participantBehind(object) instanceof DoubleState known
                && !known.isOfClass()
                && !scene.doubles().contains(known)
                && !lent.contains(known)) {
            lent.add(known);
        }
    }

    /** Sets what the test uses as its subject although it was not built here. */
    public synchronized void subjectIs(Object made) {
        subjectType = made.getClass();
    }

    /** The double for a requirement: of exactly this type if there is one, by its name if there are several. */
    private @Nullable DoubleState find(Wish wish) {
        List<DoubleState> exact = new ArrayList<>();
        List<DoubleState> fitting = new ArrayList<>();
        List<DoubleState> all = new ArrayList<>(scene.doubles());
        all.addAll(lent);
        for (DoubleState each : all) {
            boolean named = !wish.byNameOnly() || each.name().equals(wish.name());
            if (named && each.doubleClass().doubledType() == wish.type()) {
                exact.add(each);
            } else if (named && wish.type() != Object.class && wish.type().isInstance(each.self())) {
                fitting.add(each);
            }
        }
        List<DoubleState> candidates = exact.isEmpty() ? fitting : exact;
        if (candidates.size() > 1) {
            List<DoubleState> sameName = new ArrayList<>(candidates);
            sameName.removeIf(each -> !each.name().equals(wish.name()));
            if (sameName.size() != 1) {
                throw new MisuseException(
                        "Several doubles could be " + wish + ": " + names(candidates) + ".",
                        "give one of them the name that the subject uses");
            }
            return sameName.get(0);
        }
        return candidates.isEmpty() ? null : candidates.get(0);
    }

    private static String names(List<DoubleState> all) {
        List<String> names = new ArrayList<>();
        all.forEach(each -> names.add(each.name()));
        return String.join(", ", names);
    }

    /**
     * Whether a field receives a double. A private one of a JDK type, for example a map that the subject fills later,
     * only receives a double that the test has declared.
     */
    private boolean isToBeFilled(Field field, Wish wish) {
        if (Modifier.isPrivate(field.getModifiers()) && CodeOwner.isOfJdk(field.getType())) {
            return find(wish) != null;
        }
        return isDoublable(field.getType());
    }

    private void want(Wish wish) {
        if (wish.name() != null) {
            wanted.add(wish.name());
        }
    }

    private void callSetters(Object subject, Kind others) {
        for (Method method : Members.publicMethods(subject.getClass())) {
            boolean setter = method.getName().startsWith("set")
                    && method.getParameterCount() == 1
                    && !Modifier.isStatic(method.getModifiers());
            if (!setter) {
                continue;
            }
            String property = method.getName().substring(3);
            Wish wish = new Wish(
                    method.getParameterTypes()[0],
                    property.isEmpty() ? null : Character.toLowerCase(property.charAt(0)) + property.substring(1),
                    false);
            want(wish);
            if (isProvided(wish) || isDoublable(wish.type())) {
                try {
                    Access.open(method);
                    method.invoke(subject, fulfil(wish, others));
                } catch (InvocationTargetException e) {
                    throw Rethrow.rethrow(e.getCause());
                } catch (IllegalAccessException e) {
                    throw new MisuseException(method + " cannot be called.", "open its package to dev.zelotype", e);
                }
            }
        }
    }

    private void fillFields(Object subject, Kind others) {
        for (Class<?> type = subject.getClass(); type != Object.class; type = type.getSuperclass()) {
            for (Field field : Members.fields(type)) {
                int modifiers = field.getModifiers();
                Wish wish = new Wish(field.getType(), field.getName(), false);
                if (Modifier.isStatic(modifiers) || Modifier.isFinal(modifiers)) {
                    continue;
                }
                want(wish);
                if (isProvided(wish) || isToBeFilled(field, wish)) {
                    try {
                        Access.open(field);
                        if (isProvided(wish) || field.get(subject) == null) {
                            field.set(subject, fulfil(wish, others));
                        }
                    } catch (IllegalAccessException e) {
                        throw new MisuseException(field + " cannot be written.", "open its package to dev.zelotype", e);
                    }
                }
            }
        }
    }
}
