package dev.zelotype.engine.weave;

import java.util.Arrays;

/**
 * A byte buffer for class files, with big-endian numbers.
 */
final class Bytes {

    private byte[] bytes;
    private int length;

    Bytes(int expected) {
        bytes = new byte[expected];
    }

    private void makeRoom(int more) {
        if (length + more > bytes.length) {
            bytes = Arrays.copyOf(bytes, Math.max(2 * bytes.length, length + more));
        }
    }

    int length() {
        return length;
    }

    Bytes u1(int value) {
        makeRoom(1);
        bytes[length++] = (byte) value;
        return this;
    }

    /** Adds a number that is not negative, in decimal digits. */
    Bytes digits(int value) {
        if (value > 9) {
            digits(value / 10);
        }
        return u1('0' + value % 10);
    }

    Bytes u2(int value) {
        return u1(value >> 8).u1(value);
    }

    Bytes u4(int value) {
        return u2(value >> 16).u2(value);
    }

    /** Adds a part of an array, from one index to before another. */
    Bytes add(byte[] from, int begin, int end) {
        makeRoom(end - begin);
        System.arraycopy(from, begin, bytes, length, end - begin);
        length += end - begin;
        return this;
    }

    Bytes add(Bytes others) {
        return add(others.bytes, 0, others.length);
    }

    /** Removes everything after some length. */
    void cut(int to) {
        length = to;
    }

    byte[] toArray() {
        return Arrays.copyOf(bytes, length);
    }
}
