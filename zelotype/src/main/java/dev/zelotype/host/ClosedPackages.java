package dev.zelotype.host;

import dev.zelotype.engine.make.Access;
import dev.zelotype.error.MisuseException;
import java.lang.reflect.InaccessibleObjectException;
import java.lang.reflect.Member;

/**
 * For hosts: the message for a member of a test that a module keeps inaccessible. Stateless.
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
     * Makes the exception, with the line to add.
     *
     * @param member the inaccessible member
     * @param reader the class that needs access
     * @param cause the JVM's exception
     * @return an exception to throw
     */
    public static MisuseException refusal(Member member, Class<?> reader, InaccessibleObjectException cause) {
        return Access.refusal(member, reader.getModule(), cause);
    }
}
