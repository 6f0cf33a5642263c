package dev.zelotype.sweep;

import dev.zelotype.Scene;
import dev.zelotype.SceneSettings;
import dev.zelotype.Zelotype;
import dev.zelotype.generate.Style;
import java.io.IOException;
import java.io.InputStream;
import java.lang.reflect.Array;
import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * Uses a written double as a test would: makes it with each of its constructors, sets the answer of each method in every
 * possible way, calls it, passes calls on, and compares.
 */
final class UsedDoubles {

    private static final Pattern CURE = Pattern.compile("(?s)Nothing is set for .*\\. Write: \\.([\\w$]+)\\(.*\\);");

    private static final Pattern SORT =
            Pattern.compile("(AnswersInTurn|AnswersBy|Answers|DoesNothing|Does|Fails)(?:Now)*$");

    /** The constructors of the doubled class refuse sample arguments, or the class cannot be loaded here. */
    static final class NotMade extends Exception {
        private static final long serialVersionUID = 1L;

        NotMade(Throwable cause) {
            super(String.valueOf(cause), cause);
        }
    }

    /** A double does something wrong. */
    static final class Wrong extends Exception {
        private static final long serialVersionUID = 1L;

        Wrong(String message) {
            super(message);
        }
    }

    private final Class<?> type;
    private final Style style;
    private final LibraryLoader loader;
    /** The methods of the double in source order. */
    private final List<Method> methods = new ArrayList<>();

    /** Names and numbers of parameters of methods that the doubled type has. */
    private final Set<String> doubled = new HashSet<>();

    private final Set<String> withCode = new HashSet<>();

    private int calls;

    private UsedDoubles(Class<?> type, Style style, LibraryLoader loader) {
        this.type = type;
        this.style = style;
        this.loader = loader;
    }

    /**
     * Uses one double.
     *
     * @return the number of calls
     */
    static int use(String name, Style style, LibraryLoader loader) throws NotMade, Wrong {
        try {
            Class<?> type = Class.forName(name, true, loader);
            UsedDoubles used = new UsedDoubles(type, style, loader);
            used.readMethods();
            used.readSupertypes();
            used.use();
            return used.calls;
        } catch (LinkageError | ClassNotFoundException | TypeNotPresentException e) {
            throw new NotMade(e);
        } catch (IOException | IllegalAccessException e) {
            throw new IllegalStateException(name, e);
        }
    }

    private void use() throws NotMade, Wrong, IllegalAccessException {
        if (style == Style.LINKED) {
            linked();
            return;
        }
        for (Constructor<?> constructor : constructors()) {
            Object made = made(constructor);
            switch (style) {
                case BASE -> empty(made);
                case STUB -> {
                    empty(made);
                    set(made);
                }
                case STRICT -> {
                    refusing(made);
                    set(made);
                }
                case SPY -> spied(made, constructor);
                case FAKE, WORKING_FAKE -> left(made);
                case LINKED -> throw new IllegalStateException();
            }
        }
    }

    // What is made

    private List<Constructor<?>> constructors() throws NotMade {
        Class<?> usable = style == Style.BASE ? loader.defined(type.getName() + "InUse", subclass()) : type;
        return List.of(usable.getDeclaredConstructors());
    }

    /** A concrete subclass of an abstract double, with constructors that only call {@code super}. */
    private byte[] subclass() {
        String superclass = Type.getInternalName(type);
        ClassWriter out = new ClassWriter(ClassWriter.COMPUTE_MAXS);
        out.visit(Opcodes.V17, Opcodes.ACC_PUBLIC, superclass + "InUse", null, superclass, null);
        for (Constructor<?> each : type.getDeclaredConstructors()) {
            MethodVisitor code =
                    out.visitMethod(Opcodes.ACC_PUBLIC, "<init>", Type.getConstructorDescriptor(each), null, null);
            code.visitCode();
            code.visitVarInsn(Opcodes.ALOAD, 0);
            int at = 1;
            for (Class<?> parameter : each.getParameterTypes()) {
                Type passed = Type.getType(parameter);
                code.visitVarInsn(passed.getOpcode(Opcodes.ILOAD), at);
                at += passed.getSize();
            }
            code.visitMethodInsn(
                    Opcodes.INVOKESPECIAL, superclass, "<init>", Type.getConstructorDescriptor(each), false);
            code.visitInsn(Opcodes.RETURN);
            code.visitMaxs(0, 0);
            code.visitEnd();
        }
        out.visitEnd();
        return out.toByteArray();
    }

    private static Object made(Constructor<?> constructor) throws NotMade {
        return made(constructor, Samples.arguments(constructor.getParameterTypes()));
    }

    private static Object made(Constructor<?> constructor, Object[] arguments) throws NotMade {
        try {
            constructor.setAccessible(true);
            return constructor.newInstance(arguments);
        } catch (InvocationTargetException e) {
            throw new NotMade(e.getCause());
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(constructor.toString(), e);
        }
    }

    // Its methods

    private void readMethods() throws IOException {
        String file = type.getName().replace('.', '/') + ".class";
        try (InputStream in = Objects.requireNonNull(loader.getResourceAsStream(file), file)) {
            new ClassReader(in.readAllBytes())
                    .accept(
                            new ClassVisitor(Opcodes.ASM9) {
                                @Override
                                public MethodVisitor visitMethod(
                                        int access, String name, String descriptor, String signature, String[] thrown) {
                                    boolean isSaid = (access
                                                    & (Opcodes.ACC_SYNTHETIC
                                                            | Opcodes.ACC_STATIC
                                                            | Opcodes.ACC_PRIVATE))
                                            == 0;
                                    if (isSaid && !name.startsWith("<")) {
                                        methods.add(declared(name, descriptor));
                                    }
                                    return null;
                                }
                            },
                            ClassReader.SKIP_CODE);
        }
    }

    private Method declared(String name, String descriptor) {
        return Arrays.stream(type.getDeclaredMethods())
                .filter(each -> each.getName().equals(name)
                        && Type.getMethodDescriptor(each).equals(descriptor))
                .peek(each -> each.setAccessible(true))
                .findFirst()
                .orElseThrow();
    }

    /** Methods that override one of the doubled type. */
    private List<Method> overriding() {
        return methods.stream().filter(this::isOverriding).toList();
    }

    private boolean isOverriding(Method method) {
        boolean isEquals = method.getName().equals("equals")
                && Arrays.equals(method.getParameterTypes(), new Class<?>[] {Object.class});
        return doubled.contains(key(method)) && !isEquals;
    }

    /** Whether the doubled type has no code for it. */
    private boolean isAbstract(Method method) {
        return !withCode.contains(doubled.contains(exactKey(method)) ? exactKey(method) : key(method));
    }

    /** By name and number of parameters, because parameter types of a generic supertype differ. */
    private static String key(Method method) {
        return method.getName() + "/" + method.getParameterCount();
    }

    /** Keeps overloads with the same number of parameters apart. */
    private static String exactKey(Method method) {
        return method.getName() + Arrays.toString(method.getParameterTypes());
    }

    /** A class decides before interfaces, and the nearest class before those above it. */
    private void readSupertypes() {
        Set<String> decided = new HashSet<>();
        for (Class<?> in = type.getSuperclass(); in != null; in = in.getSuperclass()) {
            for (Method each : inherited(in.getDeclaredMethods())) {
                for (String key : keys(each)) {
                    if (in != Object.class) {
                        doubled.add(key);
                    }
                    if (decided.add(key) && !Modifier.isAbstract(each.getModifiers())) {
                        withCode.add(key);
                    }
                }
            }
        }
        for (Class<?> in = type; in != null; in = in.getSuperclass()) {
            for (Class<?> implemented : in.getInterfaces()) {
                for (Method each : inherited(implemented.getMethods())) {
                    doubled.addAll(keys(each));
                    if (each.isDefault()) {
                        keys(each).stream()
                                .filter(key -> !decided.contains(key))
                                .forEach(withCode::add);
                    }
                }
            }
        }
        doubled.removeAll(Set.of("hashCode/0", "toString/0", "finalize/0", "hashCode[]", "toString[]", "finalize[]"));
    }

    private static List<String> keys(Method method) {
        return List.of(key(method), exactKey(method));
    }

    private static List<Method> inherited(Method[] methods) {
        return Arrays.stream(methods)
                .filter(each -> !Modifier.isStatic(each.getModifiers()) && !Modifier.isPrivate(each.getModifiers()))
                .toList();
    }

    private record Outcome(Object value, Throwable thrown) {}

    private Outcome ask(Object on, Method method, Object[] arguments) throws IllegalAccessException {
        calls++;
        try {
            return new Outcome(method.invoke(on, arguments), null);
        } catch (InvocationTargetException e) {
            return new Outcome(null, e.getCause());
        }
    }

    private Object[] arguments(Method method) {
        return Samples.arguments(method.getParameterTypes());
    }

    private static void hold(boolean holds, Method method, String problem) throws Wrong {
        if (!holds) {
            throw new Wrong(method.getName() + " " + problem);
        }
    }

    // Each style

    private void empty(Object made) throws Wrong, IllegalAccessException {
        for (Method method : overriding()) {
            if (isAbstract(method)) {
                Outcome outcome = ask(made, method, arguments(method));
                hold(outcome.thrown() == null, method, "fails when it is not set: " + outcome.thrown());
            }
        }
    }

    private void refusing(Object made) throws Wrong, IllegalAccessException {
        for (Method method : overriding()) {
            if (isAbstract(method)) {
                Throwable thrown = ask(made, method, arguments(method)).thrown();
                Matcher cure = CURE.matcher(thrown instanceof AssertionError ? thrown.getMessage() : "");
                hold(cure.matches(), method, "is not set, and says: " + thrown);
                hold(
                        methods.stream().anyMatch(each -> each.getName().equals(cure.group(1))),
                        method,
                        "asks for a method that does not exist: " + cure.group(1));
            }
        }
    }

    /** The setters of a method are directly before it. */
    private void set(Object made) throws Wrong, IllegalAccessException {
        List<Method> setters = new ArrayList<>();
        for (Method method : methods) {
            if (method.getReturnType() == type && !isOverriding(method)) {
                setters.add(method);
            } else if (isOverriding(method)) {
                hold(!setters.isEmpty(), method, "cannot be set");
                for (Method setter : setters) {
                    set(made, setter, method);
                }
                setters.clear();
            }
        }
        if (!setters.isEmpty()) {
            throw new Wrong(setters + " set nothing");
        }
    }

    private void set(Object made, Method setter, Method method) throws Wrong, IllegalAccessException {
        Class<?> takes = setter.getParameterCount() == 0 ? void.class : setter.getParameterTypes()[0];
        Object[] arguments = arguments(method);
        String sort = sortOf(setter);
        if (sort.equals("AnswersInTurn")) {
            List<Object> values =
                    Arrays.asList(Samples.of(method.getReturnType(), 1), Samples.of(method.getReturnType(), 2));
            hold(ask(made, setter, new Object[] {values}).value() == made, setter, "does not give the stub itself");
            for (int i = 0; i < 3; i++) {
                answered(ask(made, method, arguments), values.get(Math.min(i, 1)), setter);
            }
        } else if (sort.equals("Fails")) {
            Throwable failure = Samples.thrown(takes);
            if (failure != null) {
                ask(made, setter, new Object[] {failure});
                hold(ask(made, method, arguments).thrown() == failure, setter, "does not make it fail");
            }
        } else if (takes == void.class) {
            ask(made, setter, new Object[0]);
            answered(ask(made, method, arguments), null, setter);
        } else if (sort.equals("Does") || sort.equals("AnswersBy")) {
            Object value = Samples.of(method.getReturnType(), 3);
            List<Object[]> seen = new ArrayList<>();
            Object action = Samples.proxy(takes, (self, on, given) -> {
                seen.add(given == null ? new Object[0] : given);
                return value;
            });
            ask(made, setter, new Object[] {action});
            answered(ask(made, method, arguments), value, setter);
            hold(seen.size() == 1, setter, "is run " + seen.size() + " times");
            for (int i = 0; i < arguments.length; i++) {
                boolean isPrimitive = method.getParameterTypes()[i].isPrimitive();
                Object given = seen.get(0)[i];
                hold(
                        isPrimitive ? arguments[i].equals(given) : arguments[i] == given,
                        setter,
                        "is given other arguments");
            }
        } else {
            Object value = Samples.of(takes, 4);
            ask(made, setter, new Object[] {value});
            answered(ask(made, method, arguments), value, setter);
        }
    }

    /** What the setter's name ends in, unless that was taken. */
    private static String sortOf(Method setter) {
        Matcher sort = SORT.matcher(setter.getName());
        if (!sort.find()) {
            throw new IllegalStateException(setter.toString());
        }
        return sort.group(1);
    }

    private static void answered(Outcome outcome, Object value, Method setter) throws Wrong {
        hold(outcome.thrown() == null, setter, "is set, and fails: " + outcome.thrown());
        boolean isSame = value instanceof Number || value instanceof Character || value instanceof Boolean
                ? value.equals(outcome.value())
                : value == outcome.value();
        hold(isSame, setter, "is set to " + value + ", and gives " + outcome.value());
    }

    private void spied(Object made, Constructor<?> constructor) throws NotMade, Wrong, IllegalAccessException {
        Object[] arguments = Samples.arguments(constructor.getParameterTypes());
        boolean takesReal = arguments.length > 0
                && constructor.getParameterTypes()[arguments.length - 1].isAssignableFrom(type)
                && constructor.getParameterTypes()[arguments.length - 1] != Object.class
                && Arrays.stream(type.getSuperclass().getDeclaredConstructors())
                        .noneMatch(each -> Arrays.equals(each.getParameterTypes(), constructor.getParameterTypes()));
        if (!takesReal) {
            spied(made, made, false);
            return;
        }
        for (Constructor<?> other : type.getDeclaredConstructors()) {
            if (other.getParameterCount() == arguments.length - 1) {
                Object real = made(other);
                arguments[arguments.length - 1] = real;
                spied(made(constructor, arguments), real, true);
                return;
            }
        }
    }

    private void spied(Object spy, Object real, boolean passes) throws Wrong, IllegalAccessException {
        Method kept = null;
        for (Method method : methods) {
            if (!isOverriding(method)) {
                kept = method;
                continue;
            }
            // A method with its own code runs it, which may fail on sample arguments.
            if (!isAbstract(method) || kept == null || kept.getReturnType() != List.class) {
                continue;
            }
            Object[] arguments = arguments(method);
            Outcome outcome = ask(spy, method, arguments);
            hold(outcome.thrown() == null, method, "fails: " + outcome.thrown());
            List<?> seen = (List<?>) ask(spy, kept, new Object[0]).value();
            hold(seen.size() == 1, kept, "gives " + seen);
            int at = 0;
            for (var component : seen.get(0).getClass().getRecordComponents()) {
                component.getAccessor().setAccessible(true);
                Object value =
                        ask(seen.get(0), component.getAccessor(), new Object[0]).value();
                hold(isKept(value, arguments[at]), kept, "keeps " + value + " instead of " + arguments[at]);
                at++;
            }
            hold(at == arguments.length, kept, "keeps " + at + " arguments");
            if (passes && Modifier.isPublic(method.getModifiers())) {
                Object passed = ask(real, kept, new Object[0]).value();
                hold(passed.equals(seen), method, "passes on " + passed + " instead of " + seen);
            }
        }
    }

    /** Arrays are copied. */
    private static boolean isKept(Object value, Object given) {
        return value != null && value.getClass().isArray()
                ? value != given && Array.getLength(value) == Array.getLength(given)
                : Objects.equals(value, given);
    }

    /** Methods left to write report that; methods that already work may fail on sample arguments. */
    private void left(Object made) throws Wrong, IllegalAccessException {
        for (Method method : overriding()) {
            if (!isAbstract(method)) {
                continue;
            }
            Throwable thrown = ask(made, method, arguments(method)).thrown();
            boolean isLeft = thrown instanceof UnsupportedOperationException
                    && thrown.getMessage().endsWith(method.getName() + " is left to write.");
            hold(isLeft || style == Style.WORKING_FAKE, method, "is not left to write, but: " + thrown);
        }
    }

    private void linked() throws Wrong, IllegalAccessException {
        try (Scene scene = Scene.open(SceneSettings.defaults().linesOfCalls(0))) {
            Class<?> doubled = type.getSuperclass() == Object.class ? type.getInterfaces()[0] : type.getSuperclass();
            Object made = Zelotype.stub(doubled);
            if (made.getClass() != type) {
                throw new Wrong("is not what stub() makes: " + made.getClass().getName());
            }
            for (Method method : overriding()) {
                if (isAbstract(method)) {
                    Outcome outcome = ask(made, method, arguments(method));
                    hold(outcome.thrown() == null, method, "fails: " + outcome.thrown());
                }
            }
            int recorded = scene.conversation().calls().size();
            if (recorded < calls) {
                throw new Wrong("was called " + calls + " times, but " + recorded + " calls are recorded");
            }
        }
    }
}
