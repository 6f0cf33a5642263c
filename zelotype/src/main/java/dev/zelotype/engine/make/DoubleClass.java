package dev.zelotype.engine.make;

import dev.zelotype.error.MisuseException;
import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.MethodType;
import java.lang.reflect.Method;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;

/**
 * The class of the doubles of one type (or of one combination of types), made once and shared by all its doubles.
 * Safe for use from any thread.
 */
public final class DoubleClass {

    private static final ClassValue<Holder> MADE_FOR = new ClassValue<>() {
        @Override
        protected Holder computeValue(Class<?> type) {
            return new Holder();
        }
    };

    private final Class<?> doubledType;
    private final String variableName;
    private final Class<?> generated;
    private final DoubledMethod[] methods;
    private final MethodTable table;
    private final List<DoubledMethod> finals;
    private volatile boolean finalsAreWoven;
    private final Instances instances;
    private final MethodHandle[] ownCode;
    private volatile @Nullable List<String> signatures;

    DoubleClass(Class<?> doubledType, Class<?> generated, MethodTable table, Instances instances) {
        this.doubledType = doubledType;
        this.variableName = VariableNames.of(doubledType);
        this.generated = generated;
        this.table = table;
        List<DoubledMethod> all = new ArrayList<>(table.methods());
        this.finals = table.finals();
        all.addAll(finals);
        this.methods = all.toArray(new DoubledMethod[0]);
        this.instances = instances;
        this.ownCode = new MethodHandle[methods.length];
    }

    /** A woven real class, in the role of a class of doubles. */
    public static DoubleClass ofReal(Class<?> type, List<DoubledMethod> methods, Instances instances) {
        return new DoubleClass(type, type, MethodTable.ofReal(type, methods), instances);
    }

    /** How instances are made, and where they keep their receiver. */
    public interface Instances {

        Object create(BiFunction<Object, Object[], Object> receiver);

        /** A double that was set up by its superclass's own constructor. */
        Object construct(BiFunction<Object, Object[], Object> receiver, Object[] arguments) throws Throwable;

        /** The receiver of a double of this class. */
        @Nullable
        Object receiverOf(Object self);

        /** A handle {@code (Object self, Object[] arguments) -> Object} on the code that the doubled type itself has. */
        MethodHandle ownCode(DoubledMethod method) throws IllegalAccessException;
    }

    private static final class Holder {
        /** The class of doubles of the type. */
        private volatile @Nullable DoubleClass doubles;
        /** The information about a type that is itself a class of doubles. */
        private volatile @Nullable DoubleClass self;

        private final ConcurrentHashMap<List<Class<?>>, DoubleClass> combined = new ConcurrentHashMap<>();
    }

    /** The class of doubles of a type. */
    public static DoubleClass of(Class<?> type) {
        Holder holder = MADE_FOR.get(type);
        DoubleClass known = holder.doubles;
        if (known == null) {
            synchronized (holder) {
                known = holder.doubles;
                if (known == null) {
                    known = register(DoubleClassMaker.make(List.of(type)));
                    holder.doubles = known;
                }
            }
        }
        return known;
    }

    /** The class of doubles of a type, if it was made before. */
    public static @Nullable DoubleClass known(Class<?> type) {
        return MADE_FOR.get(type).doubles;
    }

    /** Whether a type can be doubled itself. */
    public static boolean canDouble(Class<?> type) {
        return DoublableTypes.reason(type) == null;
    }

    /** The class of doubles of several types together: at most one class, and any interfaces. */
    public static DoubleClass of(Class<?> first, List<Class<?>> all) {
        if (all.size() == 1) {
            return of(first);
        }
        return MADE_FOR.get(first).combined.computeIfAbsent(all, types -> register(DoubleClassMaker.make(types)));
    }

    private static DoubleClass register(DoubleClass made) {
        MADE_FOR.get(made.generated).self = made;
        return made;
    }

    /** The participant that answers for an object, or null if it is not a double. */
    public static @Nullable Participant participantOf(@Nullable Object object) {
        if (object == null) {
            return null;
        }
        DoubleClass known = MADE_FOR.get(object.getClass()).self;
        return known == null ? InPlace.participantOf(object) : (Participant) known.instances.receiverOf(object);
    }

    /** Makes a double without running a constructor of the doubled type. */
    public Object newInstance(Participant participant) {
        return instances.create(participant);
    }

    /** Makes a double through the constructor of the doubled class that takes the arguments. */
    public Object construct(Participant participant, Object[] arguments) throws Throwable {
        return instances.construct(participant, arguments);
    }

    /** The class that the doubles extend. */
    public Class<?> superclass() {
        return isWoven() ? doubledType : generated.getSuperclass();
    }

    public Class<?> doubledType() {
        return doubledType;
    }

    /** Whether a call that is compiled for a type may reach a double of this class. */
    public boolean isReachedThrough(Class<?> type) {
        return type.isAssignableFrom(generated) || doubledType.isAssignableFrom(type);
    }

    /** Whether the doubled type itself answers, because it is woven, and not a class made for doubles. */
    public boolean isWoven() {
        return generated == doubledType;
    }

    /** The default name of a double. */
    public String variableName() {
        return variableName;
    }

    public int methodCount() {
        return methods.length;
    }

    /** The method with this name and these simple names of parameter types; null if there is none. */
    public @Nullable DoubledMethod method(String signature) {
        for (DoubledMethod each : methods) {
            if (each.signature().equals(signature)) {
                return each;
            }
        }
        return null;
    }

    public DoubledMethod method(int index) {
        return methods[index];
    }

    /** The methods with the simple names of their types, without those of Object. */
    public List<String> signatures() {
        List<String> known = signatures;
        if (known == null) {
            known = new ArrayList<>();
            for (int i = 0; i < methods.length; i++) {
                DoubledMethod method = methods[i];
                boolean isRepeated = method.index() != i;
                if (isRepeated || isFinal(method) && !finalsAreWoven) {
                    continue;
                }
                if (method.executable().getDeclaringClass() != Object.class) {
                    known.add(method.signature());
                }
            }
            signatures = known;
        }
        return known;
    }

    public @Nullable DoubledMethod find(String name, String descriptor) {
        DoubledMethod found = table.find(name, descriptor);
        return found == null && finalsAreWoven ? findFinal(name, descriptor) : found;
    }

    /** The method of Kotlin that gets the values of value classes, if the named one gets the objects; null otherwise. */
    public @Nullable Method unboxed(String name, String descriptor) {
        return table.unboxed(name, descriptor);
    }

    /** A final method of the doubled class, which answers for its doubles only if it is woven. */
    public @Nullable DoubledMethod findFinal(String name, String descriptor) {
        for (DoubledMethod method : finals) {
            if (method.name().equals(name) && method.descriptor().equals(descriptor)) {
                return method;
            }
        }
        return null;
    }

    /** The final methods of the doubled class. */
    public List<DoubledMethod> finals() {
        return finals;
    }

    /** Records that the final methods of the doubled class are woven. */
    public void finalsAreWoven() {
        finalsAreWoven = true;
    }

    public boolean areFinalsWoven() {
        return finalsAreWoven;
    }

    /** Whether a method is a final one of the doubled class, rather than one that the class of doubles overrides. */
    public boolean isFinal(DoubledMethod method) {
        return method.index() >= methods.length - finals.size();
    }

    /** A method of the doubled type that no double can answer, because it is final, private or inaccessible. */
    public @Nullable Method fixed(String name, String descriptor) {
        return table.fixed(name, descriptor);
    }

    /** Runs the doubled type's own code for a method. */
    public Object runOwnCode(DoubledMethod method, Object self, Object[] arguments) throws Throwable {
        return ownCode(method).invokeExact(self, arguments);
    }

    /** A handle {@code (Object self, Object[] arguments) -> Object} on the code that the doubled type itself has. */
    public MethodHandle ownCode(DoubledMethod method) {
        MethodHandle code = ownCode[method.index()];
        if (code == null) {
            try {
                code = instances.ownCode(method);
            } catch (IllegalAccessException e) {
                throw new MisuseException(
                        "The code of " + method.executable() + " cannot be reached.",
                        "open its package to Zelotype, or set an answer for the call",
                        e);
            }
            ownCode[method.index()] = code;
        }
        return code;
    }

    public static MethodHandle spread(MethodHandle code, int arguments) {
        return code.asFixedArity()
                .asSpreader(Object[].class, arguments)
                .asType(MethodType.methodType(Object.class, Object.class, Object[].class));
    }

    public static MethodHandles.Lookup lookup() {
        return MethodHandles.lookup();
    }
}
