package dev.zelotype.challenge.kept;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** Short hashes. */
final class Hashes {

    private static final int LENGTH = 32;

    private Hashes() {}

    static String of(String text) {
        return of(text.getBytes(StandardCharsets.UTF_8));
    }

    static String of(byte[] content) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(content);
            return HexFormat.of().formatHex(digest).substring(0, LENGTH);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
