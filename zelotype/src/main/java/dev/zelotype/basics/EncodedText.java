package dev.zelotype.basics;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Words of a text that are Base64 or hexadecimal encodings, also inside longer words.
 */
final class EncodedText {

    private static final Pattern WORD = Pattern.compile("[A-Za-z0-9+/_-]{8,}={0,2}");
    private static final Pattern HEX = Pattern.compile("[0-9a-fA-F]{8,}");
    private static final List<Charset> CHARSETS = List.of(StandardCharsets.UTF_8, StandardCharsets.ISO_8859_1);
    /** A word may begin with letters that are not part of the encoded text. */
    private static final int OFFSETS = 4;

    private EncodedText() {}

    /** Returns the text with a mark in place of each word whose decoded form matches. */
    static String hidden(Pattern pattern, String text, String mark) {
        return WORD.matcher(text)
                .replaceAll(word -> isEncoded(pattern, word.group())
                        ? Matcher.quoteReplacement(mark)
                        : Matcher.quoteReplacement(word.group()));
    }

    private static boolean isEncoded(Pattern pattern, String word) {
        Matcher digits = HEX.matcher(word);
        while (digits.find()) {
            if (isHex(pattern, digits.group()) || isHex(pattern, digits.group().substring(1))) {
                return true;
            }
        }
        String standard = word.replace('-', '+').replace('_', '/').replaceFirst("=+$", "");
        for (int begin = 0; begin < OFFSETS; begin++) {
            String rest = standard.substring(begin);
            // One character more than whole bytes need is not part of it.
            String whole = rest.length() % 4 == 1 ? rest.substring(0, rest.length() - 1) : rest;
            if (hides(pattern, Base64.getDecoder().decode(whole))) {
                return true;
            }
        }
        return false;
    }

    private static boolean isHex(Pattern pattern, String digits) {
        return hides(pattern, HexFormat.of().parseHex(digits, 0, digits.length() / 2 * 2));
    }

    private static boolean hides(Pattern pattern, byte[] decoded) {
        return CHARSETS.stream()
                .anyMatch(
                        charset -> pattern.matcher(new String(decoded, charset)).find());
    }
}
