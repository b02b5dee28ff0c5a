package farglass.tendency;

import farglass.match.Role;
import farglass.match.Situation;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Counts as bytes, to be kept beside the records they were counted from. */
public final class CountsCodec {
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
        private final PackedWriter out = new PackedWriter();

        byte[] all(AthleteCounts c) {
            out.number(c.tries().size());
            for (Map.Entry<String, int[]> e : c.tries().entrySet()) {
                out.word(e.getKey());
                for (int n : e.getValue()) {
                    out.number(n);
                }
            }
            out.number(c.ms().size());
            for (Map.Entry<Situation, Long> e : c.ms().entrySet()) {
                situation(e.getKey());
                out.number(e.getValue());
            }
            out.number(c.answers().size());
            for (Map.Entry<String, Map<String, Integer>> e : c.answers().entrySet()) {
                out.word(e.getKey());
                counts(e.getValue());
            }
            for (Map<Situation, Map<String, Integer>> bySituation : List.of(c.exits(), c.stays())) {
                out.number(bySituation.size());
                for (Map.Entry<Situation, Map<String, Integer>> e : bySituation.entrySet()) {
                    situation(e.getKey());
                    counts(e.getValue());
                }
            }
            out.number(c.follows().begun().size());
            for (Map.Entry<String, Integer> e : c.follows().begun().entrySet()) {
                out.word(e.getKey());
                out.number(e.getValue());
                counts(c.follows().after(e.getKey()));
            }
            out.number(c.byMatch().size());
            for (Map.Entry<String, List<int[]>> e : c.byMatch().entrySet()) {
                out.word(e.getKey());
                out.number(e.getValue().size());
                for (int[] n : e.getValue()) {
                    out.number(n[0]);
                    out.number(n[1]);
                }
            }
            return out.bytes();
        }

        private void counts(Map<String, Integer> counts) {
            out.number(counts.size());
            for (Map.Entry<String, Integer> e : counts.entrySet()) {
                out.word(e.getKey());
                out.number(e.getValue());
            }
        }

        private void situation(Situation s) {
            out.word(s.position());
            out.word(s.role().name());
        }
    }

    private static final class Reader {
        private final PackedReader in;

        Reader(byte[] bytes) {
            this.in = new PackedReader(bytes);
        }

        AthleteCounts all() throws IOException {
            AthleteCounts c =
                    new AthleteCounts(tries(), times(), rows(), bySituation(), bySituation(), follows(), byMatch());
            in.end();
            return c;
        }

        private Map<String, int[]> tries() throws IOException {
            int size = in.number();
            Map<String, int[]> tries = new HashMap<>();
            for (int i = 0; i < size; i++) {
                tries.put(in.word(), new int[] {in.number(), in.number(), in.number()});
            }
            return tries;
        }

        private Map<Situation, Long> times() throws IOException {
            int size = in.number();
            Map<Situation, Long> ms = new LinkedHashMap<>();
            for (int i = 0; i < size; i++) {
                ms.put(situation(), in.whole());
            }
            return ms;
        }

        private Map<Situation, Map<String, Integer>> bySituation() throws IOException {
            int size = in.number();
            Map<Situation, Map<String, Integer>> rows = new HashMap<>();
            for (int i = 0; i < size; i++) {
                rows.put(situation(), counts());
            }
            return rows;
        }

        private Map<String, Map<String, Integer>> rows() throws IOException {
            int size = in.number();
            Map<String, Map<String, Integer>> rows = new HashMap<>();
            for (int i = 0; i < size; i++) {
                rows.put(in.word(), counts());
            }
            return rows;
        }

        private FollowCounts follows() throws IOException {
            int size = in.number();
            FollowCounts follows = new FollowCounts();
            for (int i = 0; i < size; i++) {
                follows.add(in.word(), in.number(), counts());
            }
            return follows;
        }

        private Map<String, List<int[]>> byMatch() throws IOException {
            int size = in.number();
            Map<String, List<int[]>> all = new HashMap<>();
            for (int i = 0; i < size; i++) {
                String key = in.word();
                int matches = in.number();
                List<int[]> list = new ArrayList<>();
                for (int m = 0; m < matches; m++) {
                    list.add(new int[] {in.number(), in.number()});
                }
                all.put(key, list);
            }
            return all;
        }

        private Map<String, Integer> counts() throws IOException {
            int size = in.number();
            Map<String, Integer> counts = new HashMap<>();
            for (int i = 0; i < size; i++) {
                counts.put(in.word(), in.number());
            }
            return counts;
        }

        private Situation situation() throws IOException {
            return new Situation(in.word(), Role.valueOf(in.word()));
        }
    }
}
