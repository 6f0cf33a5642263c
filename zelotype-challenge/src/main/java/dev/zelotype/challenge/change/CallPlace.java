package dev.zelotype.challenge.change;

import dev.zelotype.basics.CodePlace;
import dev.zelotype.tools.TypeNames;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;

/**
 * For builds and tools: a place in the code where a subject asks a collaborator something. Immutable.
 *
 * @since 0.2
 */
public final class CallPlace {

    private final Message.Asked asked;

    public CallPlace(Message.Asked asked) {
        this.asked = asked;
    }

    /** A check of a test instead of a call, since a finding can be about one as well. */
    public static CallPlace ofCheck(Message.CheckFailed check) {
        return new CallPlace(new Message.Asked(
                check.check(),
                false,
                0,
                0,
                0,
                false,
                check.receiver(),
                "",
                check.signature(),
                check.check(),
                check.at(),
                0,
                "",
                Message.Written.NOTHING,
                false,
                false,
                List.of()));
    }

    /** Whether it is the test that asks here, and the subject that answers. */
    public boolean isOfResult() {
        return asked.ofResult();
    }

    /** Whether the test says how many such calls there are, and would not have one more. */
    public boolean isCountedExactly() {
        return asked.countedExactly();
    }

    public String key() {
        return asked.key();
    }

    /** Matches what {@link #qualifiedMethod} returns for methods that are given with their types. */
    public static Pattern named(String names) {
        return Pattern.compile("(.*[.$])?(" + TypeNames.wanted(names) + ")");
    }

    public String qualifiedMethod() {
        return asked.qualifiedMethod();
    }

    public int occurrence() {
        return asked.occurrence();
    }

    /** How often the method of this double was called in all. */
    public int count() {
        return asked.count();
    }

    /** How often it was called just so. */
    public int ofText() {
        return asked.ofText();
    }

    /**
     * The call as the pattern of a statement; empty if an argument cannot be written down.
     *
     * @param variable the receiver, as the test names it
     */
    public String written(String variable) {
        List<String> values = new ArrayList<>();
        boolean ofInstance = isOfInstance();
        for (Message.Argument each :
                ofInstance ? arguments().subList(1, arguments().size()) : arguments()) {
            if (each.value().code().isEmpty()) {
                return "";
            }
            values.add(each.value().code());
        }
        return (ofInstance ? "(" + variable + " it) -> it" : "() -> " + variable) + "." + method() + "("
                + String.join(", ", values) + ")";
    }

    /** Whether it is a call of a method that a test replaces for all instances. */
    public boolean isOfInstance() {
        return !arguments().isEmpty() && name(0).equals("instance");
    }

    /** Whether the receiver is a class, and no double that a variable could hold. */
    public boolean isOfClass() {
        return receiver().equals(simpleType()) || isOfInstance();
    }

    /** The simple name of the type of the double. */
    public String simpleType() {
        return type().substring(Math.max(type().lastIndexOf('.'), type().lastIndexOf('$')) + 1);
    }

    /** The types that the source of its arguments and of its answer names. */
    public Set<String> imports() {
        Set<String> imports = new TreeSet<>(asked.answer().imports());
        arguments().forEach(each -> imports.addAll(each.value().imports()));
        return imports;
    }

    /** An argument as source; empty if it cannot be written down. */
    public String value(int argument) {
        return arguments().get(argument).value().code();
    }

    /** What was answered, as source; empty if that cannot be written down. */
    public String answer() {
        return asked.answer().code();
    }

    public boolean isFuture() {
        return asked.future();
    }

    public boolean threw() {
        return asked.threw();
    }

    /** Whether its answer is not used. */
    public boolean isCommand() {
        return variants() == 0 && !isOfResult();
    }

    public int variants() {
        return asked.variants();
    }

    /** What was answered by default; empty if something was said. */
    public String defaulted() {
        return asked.defaulted();
    }

    public List<Message.Argument> arguments() {
        return asked.arguments();
    }

    public String name(int argument) {
        return arguments().get(argument).name();
    }

    /**
     * The double that is asked.
     *
     * @return its name
     */
    public String receiver() {
        return asked.receiver();
    }

    /**
     * The type of the double.
     *
     * @return its binary name; empty if not known
     */
    public String type() {
        return asked.type();
    }

    /**
     * The method that is called.
     *
     * @return the method with the simple names of its parameter types
     */
    public String signature() {
        return asked.signature();
    }

    /**
     * One call of it, as it would be written.
     *
     * @return such as {@code log.note("rain")}
     */
    public String text() {
        return asked.text();
    }

    /**
     * Where it stands.
     *
     * @return the source file and line
     */
    public String place() {
        return asked.from().file() + ":" + asked.from().line();
    }

    /**
     * Where it stands, as consoles of development environments lead there.
     *
     * @return such as {@code at dev.observatory.NightRun.observe(NightRun.java:65)}
     */
    public String at() {
        Message.Place from = asked.from();
        return CodePlace.at(from.type(), from.method(), from.file(), from.line());
    }

    /**
     * The class whose code makes the call, or holds the check.
     *
     * @return its binary name
     */
    public String caller() {
        return asked.from().type();
    }

    /**
     * The source file in which it stands.
     *
     * @return the name of the file without folders
     */
    public String file() {
        return asked.from().file();
    }

    /**
     * The line on which it stands.
     *
     * @return the line, from 1; less than 1 if that is not known
     */
    public int line() {
        return asked.from().line();
    }

    /** The method with the name of its double, which tests of a class mostly share. */
    public String called() {
        return receiver() + "." + signature();
    }

    public String method() {
        return signature().substring(0, signature().indexOf('('));
    }
}
