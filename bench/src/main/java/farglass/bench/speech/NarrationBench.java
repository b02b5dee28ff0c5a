package farglass.bench.speech;

import farglass.lexicon.Lexicon;
import farglass.narration.Cue;
import farglass.narration.Find;
import farglass.narration.NarrationReader;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.function.ToIntFunction;

/**
 * Finds in narrations of made-up matches: precision and recall of acts, who and which side where it was said, remarks
 * kept, attempts made of what was only taught, shown again or foretold; as written and as a machine mishears it.
 */
public final class NarrationBench {
    /** An act is where it is said, give or take this. */
    private static final long NEAR_MS = 6000;
    /** Of the words of a remark, how many must stand in the line. */
    private static final double SHARED = 0.5;

    private static final long HOUR_MS = 3_600_000;
    private static final int LIMIT_MS = 2000;

    private static final Lexicon LEXICON = Lexicon.builtIn();

    private NarrationBench() {}

    /** What came of one narration or of several. */
    private record Score(
            int truths,
            int finds,
            int hits,
            int who,
            int sides,
            int sided,
            int outcomes,
            int told,
            int remarks,
            int kept,
            int taught,
            int invented) {
        static Score sum(Collection<Score> all) {
            ToIntFunction<ToIntFunction<Score>> s =
                    f -> all.stream().mapToInt(f).sum();
            return new Score(
                    s.applyAsInt(Score::truths),
                    s.applyAsInt(Score::finds),
                    s.applyAsInt(Score::hits),
                    s.applyAsInt(Score::who),
                    s.applyAsInt(Score::sides),
                    s.applyAsInt(Score::sided),
                    s.applyAsInt(Score::outcomes),
                    s.applyAsInt(Score::told),
                    s.applyAsInt(Score::remarks),
                    s.applyAsInt(Score::kept),
                    s.applyAsInt(Score::taught),
                    s.applyAsInt(Score::invented));
        }

        void print(String name) {
            System.out.printf(
                    Locale.ROOT,
                    "%-22s acts: precision %.2f (%d of %d), recall %.2f (of %d); who %.2f, side %.2f (of %d), outcome"
                            + " %.2f (of %d); remarks %.2f (of %d); acts out of lessons %d (of %d)%n",
                    name,
                    hits / (double) Math.max(1, finds),
                    hits,
                    finds,
                    hits / (double) Math.max(1, truths),
                    truths,
                    who / (double) Math.max(1, hits),
                    sides / (double) Math.max(1, sided),
                    sided,
                    outcomes / (double) Math.max(1, told),
                    told,
                    kept / (double) Math.max(1, remarks),
                    remarks,
                    invented,
                    taught);
        }
    }

    /**
     * @param begins what the names of the narrations begin with; all when it is empty
     * @param verbose whether every miss is told
     */
    public static void start(String begins, boolean verbose) {
        List<String> names =
                Narrated.names().stream().filter(x -> x.startsWith(begins)).toList();
        List<Score> written = new ArrayList<>();
        List<Score> misheard = new ArrayList<>();
        for (String name : names) {
            Narrated n = Narrated.read(name);
            Score plain = score(n, n.cues(), verbose);
            plain.print(name);
            written.add(plain);
            Score heard = score(n, Misheard.of(n.cues(), name.hashCode()), verbose);
            heard.print("  misheard");
            misheard.add(heard);
        }
        Score.sum(written).print("all as written");
        Score.sum(misheard).print("all misheard");
        hour(Narrated.read(names.get(0)));
    }

    /** An hour of talk, read cold: once in this process, after the rest. */
    private static void hour(Narrated n) {
        List<Cue> all = new ArrayList<>();
        long length = n.lines().get(n.lines().size() - 1).ms() + 10_000;
        for (long at = 0; at < HOUR_MS; at += length) {
            for (Cue c : n.cues()) {
                all.add(new Cue(at + c.fromMs(), at + c.toMs(), c.text()));
            }
        }
        long begin = System.nanoTime();
        int finds = new NarrationReader(LEXICON, Locale.ENGLISH)
                .read(all, n.a(), n.b())
                .size();
        System.out.printf(
                Locale.ROOT,
                "an hour of talk: %d finds in %d ms (limit %d)%n",
                finds,
                (System.nanoTime() - begin) / 1_000_000,
                LIMIT_MS);
    }

    private static Score score(Narrated n, List<Cue> cues, boolean verbose) {
        List<Find> finds = new NarrationReader(LEXICON, Locale.ENGLISH).read(cues, n.a(), n.b());
        List<Find.Act> acts = finds.stream()
                .filter(Find.Act.class::isInstance)
                .map(Find.Act.class::cast)
                .toList();
        Set<Find.Act> free = new HashSet<>(acts);
        int truths = 0;
        int hits = 0;
        int who = 0;
        int sides = 0;
        int sided = 0;
        int outcomes = 0;
        int told = 0;
        int remarks = 0;
        int kept = 0;
        int taught = 0;
        int invented = 0;
        for (int i = 0; i < n.lines().size(); i++) {
            Narrated.Line line = n.lines().get(i);
            long end = i + 1 < n.lines().size() ? n.lines().get(i + 1).ms() : line.ms() + 60_000;
            for (Narrated.Truth t : line.truths()) {
                if (t.kind().equals("act")) {
                    truths++;
                    Find.Act hit = free.stream()
                            .filter(a -> a.saidMs() >= line.ms() - NEAR_MS && a.saidMs() < end + NEAR_MS / 2)
                            .filter(a -> same(a, t))
                            .min((x, y) ->
                                    Long.compare(Math.abs(x.saidMs() - line.ms()), Math.abs(y.saidMs() - line.ms())))
                            .orElse(null);
                    if (hit == null) {
                        note(verbose, n, "missed " + t.code() + " in: " + line.text());
                        continue;
                    }
                    free.remove(hit);
                    hits++;
                    who += hit.by() == t.who() ? 1 : 0;
                    if (hit.by() != t.who()) {
                        note(verbose, n, "who " + hit.by() + " for " + t + " in: " + line.text());
                    }
                    if (t.side() != null) {
                        sided++;
                        boolean right = hit.side() != null && hit.side().code().equals(t.side());
                        sides += right ? 1 : 0;
                        note(verbose && !right, n, "side " + hit.side() + " for " + t + " in: " + line.text());
                    }
                    if (t.outcome() != null) {
                        told++;
                        boolean right =
                                hit.outcome() != null && hit.outcome().name().equals(t.outcome());
                        outcomes += right ? 1 : 0;
                        note(verbose && !right, n, "outcome " + hit.outcome() + " for " + t + " in: " + line.text());
                    }
                } else if (t.kind().equals("remark")) {
                    remarks++;
                    boolean has = finds.stream()
                            .filter(Find.Remark.class::isInstance)
                            .filter(r -> r.saidMs() >= line.ms() - NEAR_MS && r.saidMs() < end + NEAR_MS / 2)
                            .anyMatch(r -> shared(r.sentence(), line.text()));
                    kept += has ? 1 : 0;
                    note(verbose && !has, n, "no remark of: " + line.text());
                }
            }
            if (line.has("teach") || line.has("replay")) {
                taught++;
            }
        }
        for (Find.Act a : free) {
            Narrated.Line at = null;
            for (Narrated.Line l : n.lines()) {
                at = l.ms() <= a.saidMs() + 300 ? l : at;
            }
            Narrated.Line line = Objects.requireNonNull(at == null ? n.lines().get(0) : at);
            invented += line.has("teach") || line.has("replay") ? 1 : 0;
            note(verbose, n, "invented " + a.technique() + " in: " + line.text());
        }
        return new Score(truths, acts.size(), hits, who, sides, sided, outcomes, told, remarks, kept, taught, invented);
    }

    private static void note(boolean verbose, Narrated n, String text) {
        if (verbose) {
            System.out.println("  " + n.name() + ": " + text);
        }
    }

    private static boolean same(Find.Act a, Narrated.Truth t) {
        String family = LEXICON.technique(t.code()).map(x -> x.family()).orElse(t.code());
        // what was said more closely than the truth has it, or the other way round, is the same act
        return a.technique().equals(t.code())
                || (a.family().equals(family)
                        && (a.technique().equals(family) || t.code().equals(family)));
    }

    private static boolean shared(String sentence, String line) {
        Set<String> said = bare(sentence);
        Set<String> words = bare(sentence);
        words.retainAll(bare(line));
        return words.size() >= SHARED * said.size();
    }

    private static Set<String> bare(String text) {
        return new HashSet<>(List.of(
                text.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9 ]", "").split("\\s+")));
    }
}
