package dev.zelotype.engine.make;

import dev.zelotype.error.MisuseException;
import java.lang.reflect.AccessibleObject;
import java.lang.reflect.Constructor;
import java.lang.reflect.InaccessibleObjectException;
import java.lang.reflect.Member;

/**
 * Members of users' classes, which may be inaccessible because of modules.
 */
public final class Access {

    private Access() {}

    /** Makes a member accessible for this library. */
    public static <T extends AccessibleObject & Member> void open(T member) {
        try {
            member.setAccessible(true);
        } catch (InaccessibleObjectException e) {
            throw refusal(member, Access.class.getModule(), e);
        }
    }

    /** Says what to write so that a member of a module becomes accessible. */
    public static MisuseException refusal(Member member, Module reader, InaccessibleObjectException cause) {
        Class<?> owner = member.getDeclaringClass();
        String home = owner.getPackageName();
        String module = owner.getModule().getName();
        String to = reader.isNamed() ? reader.getName() : "ALL-UNNAMED";
        String flag = "run the tests with --add-opens " + module + "/" + home + "=" + to;
        return new MisuseException(
                (member instanceof Constructor
                                ? "The constructor of " + owner.getSimpleName()
                                : owner.getSimpleName() + "." + member.getName())
                        + " cannot be reached: the module " + module
                        + " does not open the package " + home + " to " + (reader.isNamed() ? to : "the class path")
                        + ".",
                reader.isNamed()
                        ? "add \"opens " + home + " to " + to + ";\" to the module-info.java, or " + flag
                        : flag,
                cause);
    }
}
