package dev.zelotype.engine.make;

import java.util.HashMap;
import java.util.Map;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Numbers for objects that print as their class and a hash, for example {@code dev.observatory.Head@1b28cdfa}: within a
 * scene they become {@code Head#1}, {@code Head#2} and so on in the order of their first printing, so that two runs of
 * a test print the same.
 */
public final class ObjectNumbers {

    private static final ObjectNumbers OUTSIDE = new ObjectNumbers();
    private static final ThreadLocal<ObjectNumbers> HERE = new ThreadLocal<>();
    private static final Pattern HASHED = Pattern.compile("([\\w.$]+)(?:/0x[0-9a-f]+)?@([0-9a-f]{1,8})(?![\\w.@-])");
    /** If a scene prints more, the others get no number. */
    private static final int MOST = 100_000;

    private final Map<String, Integer> numbers = new HashMap<>();
    private final Map<String, Integer> last = new HashMap<>();

    /**
     * The numbers to use on this thread: of the scene that is being printed, else the given ones, else those of the
     * whole JVM.
     */
    public static ObjectNumbers here(@Nullable ObjectNumbers ofScene) {
        ObjectNumbers told = HERE.get();
        return told != null ? told : ofScene == null ? OUTSIDE : ofScene;
    }

    /** Computes a text with these numbers, whatever scene the thread is in. */
    public <T> T in(Supplier<T> words) {
        ObjectNumbers before = HERE.get();
        HERE.set(this);
        try {
            return words.get();
        } finally {
            if (before == null) {
                HERE.remove();
            } else {
                HERE.set(before);
            }
        }
    }

    /** A text with numbers in place of hashes. */
    public String numbered(String text) {
        if (text.indexOf('@') < 0) {
            return text;
        }
        StringBuilder out = new StringBuilder();
        Matcher hashed = HASHED.matcher(text);
        while (hashed.find()) {
            String name = simpleName(hashed.group(1));
            boolean isClass = !name.isEmpty() && Character.isUpperCase(name.charAt(0));
            hashed.appendReplacement(
                    out, Matcher.quoteReplacement(isClass ? of(hashed.group(), name) : hashed.group()));
        }
        return hashed.appendTail(out).toString();
    }

    private static String simpleName(String className) {
        int lambda = className.indexOf("$$");
        String name = lambda > 0 ? className.substring(0, lambda) : className;
        return name.substring(Math.max(name.lastIndexOf('.'), name.lastIndexOf('$')) + 1);
    }

    private synchronized String of(String hashed, String name) {
        Integer known = numbers.get(hashed);
        if (known == null) {
            if (numbers.size() >= MOST) {
                return name;
            }
            known = last.merge(name, 1, Integer::sum);
            numbers.put(hashed, known);
        }
        return name + "#" + known;
    }
}
