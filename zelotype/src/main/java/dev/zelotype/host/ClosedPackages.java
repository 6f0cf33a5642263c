package dev.zelotype.host;

import dev.zelotype.engine.make.Access;
import dev.zelotype.error.MisuseException;
import java.lang.reflect.InaccessibleObjectException;
import java.lang.reflect.Member;

/**
 * For hosts: what to say when a module keeps a member of a test closed. Stateless.
 *
 * <pre>{@code
 * throw ClosedPackages.refusal(field, getClass(), cause);
 * }</pre>
 *
 * @since 0.2
 */
public final class ClosedPackages {

    private ClosedPackages() {}

    /**
     * The refusal, with the line to add.
     *
     * @param member what cannot be reached
     * @param reader the class that would reach it
     * @param cause what the JVM says
     * @return an exception to throw
     */
    public static MisuseException refusal(Member member, Class<?> reader, InaccessibleObjectException cause) {
        return Access.refusal(member, reader.getModule(), cause);
    }
}
