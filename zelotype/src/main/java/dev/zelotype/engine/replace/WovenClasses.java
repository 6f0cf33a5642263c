package dev.zelotype.engine.replace;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.engine.make.Allocation;
import dev.zelotype.engine.make.DoubleClass;
import dev.zelotype.engine.make.DoubledMethod;
import dev.zelotype.engine.make.InPlace;
import dev.zelotype.engine.make.Members;
import dev.zelotype.engine.weave.Weavable;
import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandles;
import java.lang.reflect.Constructor;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;

/**
 * Woven real classes in the role of classes of doubles: as a whole (static methods, constructors, methods of any
 * instance), or for single objects.
 */
final class WovenClasses {

    private WovenClasses() {}

    /** A class as a whole. */
    static DoubleClass asWhole(Class<?> type) {
        List<DoubledMethod> methods = new ArrayList<>();
        for (Constructor<?> constructor : Members.constructors(type)) {
            methods.add(new DoubledMethod(methods.size(), constructor, constructor.getParameterTypes()));
        }
        collect(type, methods, true);
        return DoubleClass.ofReal(type, methods, new WovenInstances(type));
    }

    /** The methods of single objects of a class. */
    static DoubleClass asInstance(Class<?> type) {
        List<DoubledMethod> methods = new ArrayList<>();
        collect(type, methods, false);
        return DoubleClass.ofReal(type, methods, new WovenInstances(type));
    }

    private static void collect(Class<?> type, List<DoubledMethod> methods, boolean asWhole) {
        Set<String> seen = new HashSet<>();
        for (Class<?> c = type; c != null && (c == type || c.getClassLoader() != null); c = c.getSuperclass()) {
            for (Method method : Members.methods(c)) {
                boolean isStatic = Modifier.isStatic(method.getModifiers());
                if (!canWeave(method)
                        || isStatic && (!asWhole || c != type)
                        || !seen.add(method.getName() + DoubledMethod.descriptorOf(method))) {
                    continue;
                }
                Class<?>[] parameters = method.getParameterTypes();
                methods.add(new DoubledMethod(
                        methods.size(), method, asWhole && !isStatic ? withInstance(type, parameters) : parameters));
            }
        }
    }

    private static boolean canWeave(Method method) {
        return CodeOwner.isOfJdk(method.getDeclaringClass()) ? Weavable.site(method) : Weavable.method(method);
    }

    private static Class<?>[] withInstance(Class<?> type, Class<?>[] parameters) {
        Class<?>[] all = new Class<?>[parameters.length + 1];
        all[0] = type;
        System.arraycopy(parameters, 0, all, 1, parameters.length);
        return all;
    }

    /** Objects of a real class: they can be made without a constructor; their participants are stored separately. */
    private static final class WovenInstances implements DoubleClass.Instances {

        private final Class<?> type;

        WovenInstances(Class<?> type) {
            this.type = type;
        }

        @Override
        public Object create(BiFunction<Object, Object[], Object> receiver) {
            try {
                return Allocation.allocate(type);
            } catch (InstantiationException e) {
                throw new IllegalStateException("No bare object could be made of " + type, e);
            }
        }

        @Override
        public Object construct(BiFunction<Object, Object[], Object> receiver, Object[] arguments) {
            throw new IllegalStateException("A real class needs no fake.");
        }

        @Override
        public @Nullable Object receiverOf(Object self) {
            return InPlace.participantOf(self);
        }

        @Override
        public MethodHandle ownCode(DoubledMethod method) throws IllegalAccessException {
            Method real = (Method) method.executable();
            Class<?> owner = real.getDeclaringClass();
            Replacing.openToUs(owner);
            MethodHandles.Lookup inside = MethodHandles.privateLookupIn(owner, DoubleClass.lookup());
            if (Modifier.isStatic(real.getModifiers())) {
                return MethodHandles.dropArguments(inside.unreflect(real), 0, Object.class)
                        .asFixedArity()
                        .asSpreader(Object[].class, real.getParameterCount())
                        .asType(java.lang.invoke.MethodType.methodType(Object.class, Object.class, Object[].class));
            }
            return DoubleClass.spread(inside.unreflectSpecial(real, owner), real.getParameterCount());
        }
    }
}
