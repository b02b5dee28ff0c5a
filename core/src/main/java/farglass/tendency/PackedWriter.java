package farglass.tendency;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;

/** Words and whole numbers as bytes: every word is written once and then meant by its number. */
final class PackedWriter {
    private final ByteArrayOutputStream out = new ByteArrayOutputStream();
    private final Map<String, Integer> words = new HashMap<>();

    void word(String word) {
        Integer known = words.get(word);
        number(known == null ? words.size() : known);
        if (known == null) {
            words.put(word, words.size());
            byte[] text = word.getBytes(StandardCharsets.UTF_8);
            number(text.length);
            out.writeBytes(text);
        }
    }

    /** Seven bits a byte, the lowest first; the eighth says that more follow. */
    void number(long n) {
        long left = n;
        while (left >= 0x80) {
            out.write((int) ((left & 0x7f) | 0x80));
            left >>>= 7;
        }
        out.write((int) left);
    }

    byte[] bytes() {
        return out.toByteArray();
    }
}
