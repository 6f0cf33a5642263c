package dev.zelotype.engine.explain;

import dev.zelotype.basics.CodeOwner;
import dev.zelotype.basics.Mask;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Readable text in values that are printed element by element, so that a mask can match it.
 */
final class ReadableText {

    private static final List<Charset> CHARSETS = List.of(StandardCharsets.UTF_8, StandardCharsets.ISO_8859_1);
    /** Longer arrays contain no text that a person would read. */
    private static final int LONGEST = 1 << 20;

    private ReadableText() {}

    /** Whether a value is hidden because of its name, independent of the mask. */
    static boolean isSecret(String place, @Nullable Object value) {
        return value instanceof char[] && Mask.isSecretName(place);
    }

    /** Whether the mask hides a part of an array or collection that spans its elements. */
    static boolean isMasked(Object value) {
        if (!Mask.isSet()) {
            return false;
        }
        if (value instanceof byte[] bytes) {
            return bytes.length <= LONGEST && CHARSETS.stream().anyMatch(each -> hides(new String(bytes, each)));
        }
        if (value instanceof char[] chars) {
            return chars.length <= LONGEST && hides(new String(chars));
        }
        Iterable<?> elements = Values.elementsOf(value);
        if (elements == null) {
            return false;
        }
        String text = joined(elements);
        return hides(text) && (hasManyCharacters(value) || spansElements(elements, text));
    }

    /** A match within one element is hidden there, and the other elements are shown. */
    private static boolean spansElements(Iterable<?> elements, String text) {
        int hiddenApart = 0;
        for (Object each : elements) {
            hiddenApart += count(textOf(each));
        }
        return count(text) > hiddenApart;
    }

    private static boolean hasManyCharacters(Object value) {
        return value instanceof Character[] || value instanceof Byte[];
    }

    private static int count(String text) {
        int count = 0;
        String shown = Mask.apply(text);
        for (int at = shown.indexOf(Mask.MASKED); at >= 0; at = shown.indexOf(Mask.MASKED, at + Mask.MASKED.length())) {
            count++;
        }
        return count;
    }

    private static boolean hides(String text) {
        return !Mask.apply(text).equals(text);
    }

    private static String joined(Iterable<?> all) {
        StringBuilder out = new StringBuilder();
        for (Object each : all) {
            out.append(textOf(each));
            if (out.length() > LONGEST) {
                break;
            }
        }
        return out.toString();
    }

    /** Only elements that are text already: others are converted where they are printed. */
    private static String textOf(@Nullable Object element) {
        if (element instanceof Byte code) {
            return String.valueOf((char) (code & 0xFF));
        }
        if (element instanceof char[] chars) {
            return new String(chars);
        }
        boolean isText = element instanceof CharSequence && CodeOwner.isOfJdk(element.getClass())
                || element instanceof Character
                || element instanceof Number && CodeOwner.isOfJdk(element.getClass());
        return isText ? element.toString() : "\n";
    }
}
