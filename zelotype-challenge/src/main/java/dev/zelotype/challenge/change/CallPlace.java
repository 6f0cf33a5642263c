package dev.zelotype.challenge.change;

import dev.zelotype.basics.CodePlace;
import dev.zelotype.tools.TypeNames;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;

/**
 * For builds and tools: a place in the code where a subject calls a collaborator. Immutable.
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
     * Makes a place for a check of a test, because a finding can be about a check as well.
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
     * Returns the call as it was reported.
     *
     * @return the report
     */
    public Message.Asked asked() {
        return asked;
    }

    /**
     * Tells whether the test calls the subject here.
     *
     * @return whether it is
     */
    public boolean isOfResult() {
        return asked.ofResult();
    }

    /**
     * Tells whether the test states the number of such calls, and would fail with one more.
     *
     * @return whether it does
     */
    public boolean isCountedExactly() {
        return asked.countedExactly();
    }

    /**
     * Returns a key that is unique to the place within the run.
     *
     * @return the key
     */
    public String key() {
        return asked.key();
    }

    /**
     * Makes a pattern of methods given with their types.
     *
     * @param names the methods, separated by commas; a star matches anything
     * @return a pattern to match against {@link #qualifiedMethod}
     */
    public static Pattern named(String names) {
        return Pattern.compile("(.*[.$])?(" + TypeNames.wanted(names) + ")");
    }

    /**
     * The method with the qualified name of its type.
     *
     * @return for example {@code dev.observatory.NightLog.note}
     */
    public String qualifiedMethod() {
        return asked.qualifiedMethod();
    }

    /**
     * Returns which of the calls at this place it is.
     *
     * @return its number, from 0
     */
    public int occurrence() {
        return asked.occurrence();
    }

    /**
     * Returns how often the method of this double was called in total.
     *
     * @return the number of calls
     */
    public int count() {
        return asked.count();
    }

    /**
     * Returns how often it was called with exactly these arguments.
     *
     * @return the number of calls
     */
    public int ofText() {
        return asked.ofText();
    }

    /**
     * Returns the call as the pattern of a statement.
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
     * Tells whether it calls a method that a test replaces for all instances.
     *
     * @return whether it is
     */
    public boolean isOfInstance() {
        return !arguments().isEmpty() && name(0).equals("instance");
    }

    /**
     * Whether the receiver is a class rather than a double that a variable could hold.
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
     * Returns the types that the source of its arguments and of its answer refers to.
     *
     * @return their qualified names
     */
    public Set<String> imports() {
        Set<String> imports = new TreeSet<>(asked.answer().imports());
        arguments().forEach(each -> imports.addAll(each.value().imports()));
        return imports;
    }

    /**
     * Returns an argument as source.
     *
     * @param argument its index, from 0
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
     * Tells whether the answer is a future, which could stay incomplete.
     *
     * @return whether it is
     */
    public boolean isFuture() {
        return asked.future();
    }

    /**
     * Tells whether the call threw.
     *
     * @return whether it did
     */
    public boolean threw() {
        return asked.threw();
    }

    /**
     * Tells whether its answer is unused.
     *
     * @return whether it is ignored or void
     */
    public boolean isCommand() {
        return variants() == 0 && !isOfResult();
    }

    /**
     * Returns how many other answers could be tried.
     *
     * @return their number
     */
    public int variants() {
        return asked.variants();
    }

    /**
     * The default answer, as text.
     *
     * @return the text; empty if a statement set the answer
     */
    public String defaulted() {
        return asked.defaulted();
    }

    /**
     * The arguments.
     *
     * @return one entry per argument, in order
     */
    public List<Message.Argument> arguments() {
        return asked.arguments();
    }

    /**
     * The name of a parameter.
     *
     * @param argument its index, from 0
     * @return the name
     */
    public String name(int argument) {
        return arguments().get(argument).name();
    }

    /**
     * Returns the called double.
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
     * Returns one such call as source.
     *
     * @return for example {@code log.note("rain")}
     */
    public String text() {
        return asked.text();
    }

    /**
     * Returns where it is.
     *
     * @return the source file and line
     */
    public String place() {
        return asked.from().file() + ":" + asked.from().line();
    }

    /**
     * Returns where it is, in the form that the consoles of IDEs turn into a link.
     *
     * @return for example {@code at dev.observatory.NightRun.observe(NightRun.java:65)}
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
     * Returns its source file.
     *
     * @return the name of the file without folders
     */
    public String file() {
        return asked.from().file();
    }

    /**
     * Returns its line.
     *
     * @return the line, from 1; less than 1 if it is unknown
     */
    public int line() {
        return asked.from().line();
    }

    /**
     * Returns the method with the name of its double, which is usually the same in all tests of a class.
     *
     * @return for example {@code log.note(String)}
     */
    public String called() {
        return receiver() + "." + signature();
    }

    /**
     * The name of the method.
     *
     * @return the name without the parameters
     */
    public String method() {
        return signature().substring(0, signature().indexOf('('));
    }
}
