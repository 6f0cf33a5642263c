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

    /**
     * Makes the place of a call.
     *
     * @param asked the call as the JVM of the tests reports it
     */
    public CallPlace(Message.Asked asked) {
        this.asked = asked;
    }

    /**
     * A check of a test instead of a call, since a finding can be about one as well.
     *
     * @param check the check
     * @return its place
     */
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

    /**
     * The call as it was reported.
     *
     * @return the report
     */
    public Message.Asked asked() {
        return asked;
    }

    /**
     * Whether it is the test that calls here, and the subject that answers.
     *
     * @return whether it is
     */
    public boolean isOfResult() {
        return asked.ofResult();
    }

    /**
     * Whether the test gives the number of such calls, and would fail with one more.
     *
     * @return whether it does
     */
    public boolean isCountedExactly() {
        return asked.countedExactly();
    }

    /**
     * What tells the place apart from all others of the run.
     *
     * @return the key
     */
    public String key() {
        return asked.key();
    }

    /**
     * Makes a pattern of methods that are given with their types.
     *
     * @param names the methods, with commas between; a star matches anything
     * @return what matches their {@link #qualifiedMethod}
     */
    public static Pattern named(String names) {
        return Pattern.compile("(.*[.$])?(" + TypeNames.wanted(names) + ")");
    }

    /**
     * The method with the qualified name of its type.
     *
     * @return such as {@code dev.observatory.NightLog.note}
     */
    public String qualifiedMethod() {
        return asked.qualifiedMethod();
    }

    /**
     * Which of the calls at this place it is.
     *
     * @return its number, from 0
     */
    public int occurrence() {
        return asked.occurrence();
    }

    /**
     * How often the method of this double was called in all.
     *
     * @return the number of calls
     */
    public int count() {
        return asked.count();
    }

    /**
     * How often it was called with just these arguments.
     *
     * @return the number of calls
     */
    public int ofText() {
        return asked.ofText();
    }

    /**
     * The call as the pattern of a statement.
     *
     * @param variable the receiver, as the test names it
     * @return the pattern; empty if an argument cannot be written down
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

    /**
     * Whether it is a call of a method that a test replaces for all instances.
     *
     * @return whether it is
     */
    public boolean isOfInstance() {
        return !arguments().isEmpty() && name(0).equals("instance");
    }

    /**
     * Whether the receiver is a class, and not a double that a variable could hold.
     *
     * @return whether it is
     */
    public boolean isOfClass() {
        return receiver().equals(simpleType()) || isOfInstance();
    }

    /**
     * The simple name of the type of the double.
     *
     * @return the name
     */
    public String simpleType() {
        return type().substring(Math.max(type().lastIndexOf('.'), type().lastIndexOf('$')) + 1);
    }

    /**
     * The types that the source of its arguments and of its answer names.
     *
     * @return their qualified names
     */
    public Set<String> imports() {
        Set<String> imports = new TreeSet<>(asked.answer().imports());
        arguments().forEach(each -> imports.addAll(each.value().imports()));
        return imports;
    }

    /**
     * An argument as source.
     *
     * @param argument its place, from 0
     * @return an expression; empty if it cannot be written down
     */
    public String value(int argument) {
        return arguments().get(argument).value().code();
    }

    /**
     * The answer as source.
     *
     * @return an expression; empty if it cannot be written down
     */
    public String answer() {
        return asked.answer().code();
    }

    /**
     * Whether the answer is a future, which could stay open.
     *
     * @return whether it is
     */
    public boolean isFuture() {
        return asked.future();
    }

    /**
     * Whether the call threw.
     *
     * @return whether it did
     */
    public boolean threw() {
        return asked.threw();
    }

    /**
     * Whether its answer is not used.
     *
     * @return whether it is dropped or void
     */
    public boolean isCommand() {
        return variants() == 0 && !isOfResult();
    }

    /**
     * How many other answers could be tried.
     *
     * @return their number
     */
    public int variants() {
        return asked.variants();
    }

    /**
     * The default answer, as text.
     *
     * @return the text; empty if an answer was supposed
     */
    public String defaulted() {
        return asked.defaulted();
    }

    /**
     * The arguments.
     *
     * @return one for each, in their order
     */
    public List<Message.Argument> arguments() {
        return asked.arguments();
    }

    /**
     * The name of a parameter.
     *
     * @param argument its place, from 0
     * @return the name
     */
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

    /**
     * The method with the name of its double, which tests of a class mostly share.
     *
     * @return such as {@code log.note(String)}
     */
    public String called() {
        return receiver() + "." + signature();
    }

    /**
     * The name of the method.
     *
     * @return the signature up to its parameters
     */
    public String method() {
        return signature().substring(0, signature().indexOf('('));
    }
}
