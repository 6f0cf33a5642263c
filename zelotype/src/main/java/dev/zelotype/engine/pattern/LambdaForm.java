package dev.zelotype.engine.pattern;

import dev.zelotype.basics.Boxes;
import dev.zelotype.basics.KotlinCode;
import dev.zelotype.call.WrittenPattern;
import dev.zelotype.engine.make.Members;
import dev.zelotype.engine.pattern.code.MethodCode;
import dev.zelotype.engine.pattern.code.ParameterNames;
import dev.zelotype.engine.pattern.code.RealCode;
import dev.zelotype.error.MisuseException;
import java.io.Serializable;
import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandleInfo;
import java.lang.invoke.MethodType;
import java.lang.invoke.SerializedLambda;
import java.lang.reflect.Executable;
import java.lang.reflect.InaccessibleObjectException;
import java.lang.reflect.Method;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * The compiler's description of a method reference or a lambda.
 */
final class LambdaForm {

    private static final ClassValue<Replacer> REPLACERS = new ClassValue<>() {
        @Override
        protected Replacer computeValue(Class<?> type) {
            return replacerOf(type);
        }
    };

    private static final Class<?>[] NO_TYPES = {};
    /** The prefix of javac's methods for lambdas. */
    private static final String LAMBDA = "lambda$";

    private final SerializedLambda form;
    private final Class<?> lambdaClass;
    private Class<?> owner;
    /** Whether the lambda is an object of its own class, like suspending lambdas of Kotlin. */
    private final boolean isObject;

    private @Nullable Executable implementation;
    private boolean sought;

    /**
     * How lambdas of some class provide the compiler's description; both null if they do not.
     *
     * @param method its own method
     * @param handle the JDK's way
     */
    private record Replacer(
            @Nullable Method method, @Nullable MethodHandle handle) {

        @Nullable
        Object replace(Object lambda) throws Throwable {
            return method != null ? method.invoke(lambda) : handle != null ? handle.invoke(lambda) : null;
        }
    }

    private LambdaForm(SerializedLambda form, Class<?> lambdaClass) {
        this.form = form;
        Object only = form.getCapturedArgCount() == 1 ? form.getCapturedArg(0) : null;
        this.isObject = only != null
                && KotlinCode.isSuspending(form.getImplMethodSignature())
                && KotlinCode.isSuspending(form.getInstantiatedMethodType())
                && Type.getInternalName(only.getClass()).equals(form.getImplClass());
        this.lambdaClass = isObject ? only.getClass() : lambdaClass;
        this.owner = isObject ? only.getClass() : classOf(Type.getObjectType(form.getImplClass()));
    }

    /** Computed only if needed: most patterns are lambdas, whose methods have a telling name. */
    private @Nullable Executable implementation() {
        if (!sought) {
            implementation = findImplementation();
            sought = true;
        }
        return implementation;
    }

    static LambdaForm of(Serializable lambda) {
        if (lambda instanceof WrittenPattern pattern) {
            return new LambdaForm(pattern.form(), pattern.caller()).resolved();
        }
        Object written;
        try {
            written = REPLACERS.get(lambda.getClass()).replace(lambda);
        } catch (Throwable e) {
            written = null;
        }
        if (written instanceof SerializedLambda form) {
            return new LambdaForm(form, lambda.getClass());
        }
        throw new MisuseException(
                "This pattern is an object of " + lambda.getClass().getTypeName()
                        + ", which is not a lambda or method reference.",
                "write it as a method reference or a lambda, such as weather::humidity");
    }

    /** The compiler uses the type in the source, a linked lambda the class that declares the method. */
    private LambdaForm resolved() {
        Executable behind = methodName().startsWith(LAMBDA) ? null : implementation();
        if (behind != null) {
            owner = behind.getDeclaringClass();
        }
        return this;
    }

    private static Replacer replacerOf(Class<?> type) {
        try {
            Method method = type.getDeclaredMethod("writeReplace");
            method.setAccessible(true);
            return new Replacer(method, null);
        } catch (NoSuchMethodException e) {
            return new Replacer(null, null);
        } catch (InaccessibleObjectException e) {
            return ofClosedModule(type);
        }
    }

    /** The JDK's way for serialization libraries; by reflection, because the compiler warns about its class. */
    private static Replacer ofClosedModule(Class<?> type) {
        try {
            Class<?> factory = Class.forName("sun.reflect.ReflectionFactory");
            Object instance = factory.getMethod("getReflectionFactory").invoke(null);
            Object handle = factory.getMethod("writeReplaceForSerialization", Class.class)
                    .invoke(instance, type);
            return new Replacer(null, (MethodHandle) handle);
        } catch (ReflectiveOperationException e) {
            return new Replacer(null, null);
        }
    }

    private @Nullable Executable findImplementation() {
        String descriptor = form.getImplMethodSignature();
        if (form.getImplMethodName().equals("<init>")) {
            for (Executable constructor : Members.constructors(owner)) {
                if (Type.getConstructorDescriptor((java.lang.reflect.Constructor<?>) constructor)
                        .equals(descriptor)) {
                    return constructor;
                }
            }
            return null;
        }
        for (Class<?> c = owner; c != null; c = c.getSuperclass()) {
            for (Method method : Members.methods(c)) {
                if (isMeant(method)) {
                    return method;
                }
            }
        }
        for (Method method : Members.publicMethods(owner)) {
            if (isMeant(method)) {
                return method;
            }
        }
        // An interface has the methods of Object, although it does not list them.
        for (Method method : owner.isInterface() ? Object.class.getMethods() : new Method[0]) {
            if (isMeant(method)) {
                return method;
            }
        }
        return null;
    }

    private boolean isMeant(Method method) {
        return method.getName().equals(form.getImplMethodName())
                && Type.getMethodDescriptor(method).equals(form.getImplMethodSignature());
    }

    private Class<?> classOf(Type type) {
        try {
            return Class.forName(
                    type.getSort() == Type.ARRAY ? type.getDescriptor().replace('/', '.') : type.getClassName(),
                    false,
                    lambdaClass.getClassLoader());
        } catch (ClassNotFoundException e) {
            throw new IllegalStateException("A lambda refers to a class that its own loader does not know.", e);
        }
    }

    /**
     * Whether the compiler generated a method for the body, whose code must be read. Other compilers than javac do not
     * mark such methods as synthetic, but use telling names, or pass captured values to a static method.
     */
    boolean isLambda() {
        if (isObject || methodName().startsWith(LAMBDA)) {
            return true;
        }
        Executable behind = implementation();
        return behind == null
                || LambdaCode.isOfCompiler(behind.getModifiers(), methodName())
                || behind.isSynthetic() && !isBridge()
                || isStatic() && form.getCapturedArgCount() > 0;
    }

    private boolean isBridge() {
        return implementation() instanceof Method method && method.isBridge();
    }

    boolean isConstructor() {
        return form.getImplMethodName().equals("<init>");
    }

    boolean isStatic() {
        return form.getImplMethodKind() == MethodHandleInfo.REF_invokeStatic;
    }

    /** Whether the method reference has a receiver object. */
    boolean isBound() {
        return form.getCapturedArgCount() == 1;
    }

    /** A captured value; the first one is the enclosing object, if there is one. */
    @Nullable
    Object captured(int place) {
        return form.getCapturedArg(place);
    }

    /** The class that declares a static method, if the reference names a subclass. */
    Class<?> declaringClass() {
        return implementation() == null ? owner : implementation().getDeclaringClass();
    }

    /** The class to replace for a call of a static method, a constructor or any instance. */
    Class<?> declaringClass(Symbols.Call call) {
        if (call.asked() == Symbols.Asked.ANY_INSTANCE || call.name().equals("<init>")) {
            return call.owner();
        }
        try {
            return new RealCode(owner)
                    .method(
                            new MethodCode.Member(
                                    Type.getInternalName(call.owner()), call.name(), call.descriptor(), false),
                            true)
                    .getDeclaringClass();
        } catch (NoSuchMethodException e) {
            return call.owner();
        }
    }

    Class<?> owner() {
        return owner;
    }

    String methodName() {
        return form.getImplMethodName();
    }

    String methodDescriptor() {
        return form.getImplMethodSignature();
    }

    /** Whether the lambda is an object of its own class, described only by its code. */
    boolean isObject() {
        return isObject;
    }

    /** The types of the free parameters, as the generated method casts its arguments. */
    private Class<?>[] typesOfBridge() {
        Class<?>[] types = MethodType.fromMethodDescriptorString(methodDescriptor(), owner.getClassLoader())
                .parameterArray();
        MethodCode code = LambdaCode.of(owner, methodName(), methodDescriptor());
        RealCode real = new RealCode(owner);
        for (int i = 0; code != null && i + 1 < code.length(); i++) {
            MethodCode.Instruction load = code.at(i);
            MethodCode.Instruction cast = code.at(i + 1);
            int number = load.number() - 1;
            if (load.opcode() == Opcodes.ALOAD
                    && cast.opcode() == Opcodes.CHECKCAST
                    && number >= 0
                    && number < types.length) {
                Class<?> type = real.type((String) cast.operand());
                boolean isNumber = i + 2 < code.length()
                        && code.at(i + 2).operand() instanceof MethodCode.Member taken
                        && taken.owner().equals("java/lang/Number");
                types[number] = isNumber
                        ? Boxes.of(real.type(Type.getReturnType(
                                ((MethodCode.Member) code.at(i + 2).operand()).descriptor())))
                        : type;
            }
        }
        return Arrays.copyOf(types, types.length - 1);
    }

    /** The types of the free parameters. */
    Class<?>[] parameterTypes() {
        if (isObject) {
            return typesOfBridge();
        }
        if (form.getInstantiatedMethodType().startsWith("()")) {
            return NO_TYPES;
        }
        return MethodType.fromMethodDescriptorString(form.getInstantiatedMethodType(), lambdaClass.getClassLoader())
                .parameterArray();
    }

    /** The names of a lambda's free parameters, as far as its class file has them. */
    String[] parameterNames() {
        int captured = form.getCapturedArgCount();
        int count = parameterTypes().length;
        return ParameterNames.ofLambda(owner, methodName(), methodDescriptor(), captured, count);
    }
}
