package farglass.tendency;

import farglass.match.Role;
import farglass.match.Situation;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Counts as bytes, to be kept beside the records they were counted from. Every word is written once and then meant by
 * its number; numbers take as many bytes as they need.
 */
public final class CountsCodec {
    /** More of anything than a library can hold is damage. */
    private static final int MOST = 10_000_000;

    private CountsCodec() {}

    /** The bytes of some counts. */
    public static byte[] write(AthleteCounts c) {
        return new Writer().all(c);
    }

    /** @throws IOException when the bytes are not those of counts */
    public static AthleteCounts read(byte[] bytes) throws IOException {
        try {
            return new Reader(bytes).all();
        } catch (IllegalArgumentException | IndexOutOfBoundsException e) {
            throw new IOException("not counts: " + e.getMessage(), e);
        }
    }

    private static final class Writer {
        private final ByteArrayOutputStream out = new ByteArrayOutputStream();
        private final Map<String, Integer> words = new HashMap<>();

        byte[] all(AthleteCounts c) {
            number(c.tries().size());
            for (Map.Entry<String, int[]> e : c.tries().entrySet()) {
                word(e.getKey());
                for (int n : e.getValue()) {
                    number(n);
                }
            }
            number(c.ms().size());
            for (Map.Entry<Situation, Long> e : c.ms().entrySet()) {
                situation(e.getKey());
                number(e.getValue());
            }
            number(c.answers().size());
            for (Map.Entry<String, Map<String, Integer>> e : c.answers().entrySet()) {
                word(e.getKey());
                counts(e.getValue());
            }
            for (Map<Situation, Map<String, Integer>> bySituation : List.of(c.exits(), c.stays())) {
                number(bySituation.size());
                for (Map.Entry<Situation, Map<String, Integer>> e : bySituation.entrySet()) {
                    situation(e.getKey());
                    counts(e.getValue());
                }
            }
            number(c.follows().begun().size());
            for (Map.Entry<String, Integer> e : c.follows().begun().entrySet()) {
                word(e.getKey());
                number(e.getValue());
                counts(c.follows().after(e.getKey()));
            }
            number(c.byMatch().size());
            for (Map.Entry<String, List<int[]>> e : c.byMatch().entrySet()) {
                word(e.getKey());
                number(e.getValue().size());
                for (int[] n : e.getValue()) {
                    number(n[0]);
                    number(n[1]);
                }
            }
            return out.toByteArray();
        }

        private void counts(Map<String, Integer> counts) {
            number(counts.size());
            for (Map.Entry<String, Integer> e : counts.entrySet()) {
                word(e.getKey());
                number(e.getValue());
            }
        }

        private void situation(Situation s) {
            word(s.position());
            word(s.role().name());
        }

        private void word(String word) {
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
        private void number(long n) {
            long left = n;
            while (left >= 0x80) {
                out.write((int) ((left & 0x7f) | 0x80));
                left >>>= 7;
            }
            out.write((int) left);
        }
    }

    private static final class Reader {
        private final byte[] bytes;
        private final List<String> words = new ArrayList<>();
        private int at;

        Reader(byte[] bytes) {
            this.bytes = bytes;
        }

        AthleteCounts all() throws IOException {
            AthleteCounts c =
                    new AthleteCounts(tries(), times(), rows(), bySituation(), bySituation(), follows(), byMatch());
            if (at < bytes.length) {
                throw new IOException("not counts: something follows them");
            }
            return c;
        }

        private Map<String, int[]> tries() throws IOException {
            int size = number();
            Map<String, int[]> tries = new HashMap<>();
            for (int i = 0; i < size; i++) {
                tries.put(word(), new int[] {number(), number(), number()});
            }
            return tries;
        }

        private Map<Situation, Long> times() throws IOException {
            int size = number();
            Map<Situation, Long> ms = new LinkedHashMap<>();
            for (int i = 0; i < size; i++) {
                ms.put(situation(), whole());
            }
            return ms;
        }

        private Map<Situation, Map<String, Integer>> bySituation() throws IOException {
            int size = number();
            Map<Situation, Map<String, Integer>> rows = new HashMap<>();
            for (int i = 0; i < size; i++) {
                rows.put(situation(), counts());
            }
            return rows;
        }

        private Map<String, Map<String, Integer>> rows() throws IOException {
            int size = number();
            Map<String, Map<String, Integer>> rows = new HashMap<>();
            for (int i = 0; i < size; i++) {
                rows.put(word(), counts());
            }
            return rows;
        }

        private FollowCounts follows() throws IOException {
            int size = number();
            FollowCounts follows = new FollowCounts();
            for (int i = 0; i < size; i++) {
                follows.add(word(), number(), counts());
            }
            return follows;
        }

        private Map<String, List<int[]>> byMatch() throws IOException {
            int size = number();
            Map<String, List<int[]>> all = new HashMap<>();
            for (int i = 0; i < size; i++) {
                String key = word();
                int matches = number();
                List<int[]> list = new ArrayList<>();
                for (int m = 0; m < matches; m++) {
                    list.add(new int[] {number(), number()});
                }
                all.put(key, list);
            }
            return all;
        }

        private Map<String, Integer> counts() throws IOException {
            int size = number();
            Map<String, Integer> counts = new HashMap<>();
            for (int i = 0; i < size; i++) {
                counts.put(word(), number());
            }
            return counts;
        }

        private Situation situation() throws IOException {
            return new Situation(word(), Role.valueOf(word()));
        }

        private String word() throws IOException {
            int number = number();
            if (number == words.size()) {
                int length = number();
                words.add(new String(bytes, at, length, StandardCharsets.UTF_8));
                at += length;
            }
            return words.get(number);
        }

        private int number() throws IOException {
            long n = whole();
            if (n > MOST) {
                throw new IOException("not counts: " + n + " is more than there can be");
            }
            return (int) n;
        }

        private long whole() throws IOException {
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
    }
}
