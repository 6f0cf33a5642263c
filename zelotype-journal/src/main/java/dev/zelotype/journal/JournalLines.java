package dev.zelotype.journal;

import dev.zelotype.journal.JournalFields.Damaged;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * The lines of a file, read as bytes, so that a damaged line does not prevent the others from being read.
 */
final class JournalLines implements AutoCloseable {

    private static final int BUFFER = 1 << 16;
    private static final String BYTE_ORDER_MARK = "\ufeff";

    private final InputStream in;
    private final byte[] block = new byte[BUFFER];
    private final ByteArrayOutputStream line = new ByteArrayOutputStream(BUFFER);
    private int at;
    private int filled;
    private boolean first = true;

    JournalLines(Path file) throws IOException {
        in = Files.newInputStream(file);
    }

    /** Goes to the next line; false at the end. */
    boolean next() throws IOException {
        line.reset();
        if (at == filled && !fill()) {
            return false;
        }
        do {
            int start = at;
            while (at < filled && block[at] != '\n') {
                at++;
            }
            line.write(block, start, at - start);
            if (at < filled) {
                at++;
                return true;
            }
        } while (fill());
        return true;
    }

    private boolean fill() throws IOException {
        at = 0;
        filled = Math.max(0, in.read(block));
        return filled > 0;
    }

    String text() throws Damaged {
        try {
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .onUnmappableCharacter(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(line.toByteArray()))
                    .toString();
            boolean marked = first && text.startsWith(BYTE_ORDER_MARK);
            first = false;
            return marked ? text.substring(1) : text;
        } catch (CharacterCodingException e) {
            first = false;
            throw new Damaged("it is not in UTF-8");
        }
    }

    @Override
    public void close() throws IOException {
        in.close();
    }
}
