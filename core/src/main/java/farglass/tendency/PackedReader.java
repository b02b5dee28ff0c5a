package farglass.tendency;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/** Reads what {@link PackedWriter} has written. Bytes that end too early are an {@link IndexOutOfBoundsException}. */
final class PackedReader {
    /** More of anything than a library can hold is damage. */
    private static final int MOST = 10_000_000;

    private final byte[] bytes;
    private final List<String> words = new ArrayList<>();
    private int at;

    PackedReader(byte[] bytes) {
        this.bytes = bytes;
    }

    String word() throws IOException {
        int number = number();
        if (number == words.size()) {
            int length = number();
            words.add(new String(bytes, at, length, StandardCharsets.UTF_8));
            at += length;
        }
        return words.get(number);
    }

    /** A count. */
    int number() throws IOException {
        long n = whole();
        if (n > MOST) {
            throw new IOException("not counts: " + n + " is more than there can be");
        }
        return (int) n;
    }

    /** Any whole number. */
    long whole() throws IOException {
        long n = 0;
        for (int shift = 0; shift < Long.SIZE; shift += 7) {
            int b = bytes[at++];
            n |= (long) (b & 0x7f) << shift;
            if (b >= 0) {
                return n;
            }
        }
        throw new IOException("not counts: a number without end");
    }

    /** @throws IOException when something follows */
    void end() throws IOException {
        if (at < bytes.length) {
            throw new IOException("not counts: something follows them");
        }
    }
}
