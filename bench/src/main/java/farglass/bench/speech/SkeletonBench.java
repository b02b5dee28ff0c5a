package farglass.bench.speech;

import farglass.bench.keys.ShortestPhrase;
import farglass.draft.Basis;
import farglass.draft.CaptionDrafts;
import farglass.draft.ClockDrafts;
import farglass.draft.Draft;
import farglass.draft.DraftFate;
import farglass.draft.DraftList;
import farglass.draft.DraftTags;
import farglass.draft.Source;
import farglass.draft.SpeechLag;
import farglass.lexicon.Lexicon;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.OpenEnd;
import farglass.match.PositionLine;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.phrase.Context;
import farglass.phrase.PhraseWriter;
import farglass.simulate.DemoLibrary;
import farglass.skim.Skim;
import farglass.skim.Stretch;
import farglass.store.caption.CaptionFile;
import farglass.store.json.FormatException;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Keys and seconds to the skeleton of a match (places, what led to them, points, finish), by hand and through drafts of
 * a narration and of the score on the film. The user of the second looks at every draft once in the skim: what is right
 * costs Enter, or one Shift+Enter for sure ones in a row that he has seen; what is wrong is refused or corrected, what
 * nobody said is typed; where the film ran by at four times its speed he goes back for it.
 */
public final class SkeletonBench {
    private static final double BETWEEN = 4;
    /** Reading of the score: it misses some, and is sure of the others. */
    private static final double SCORE_MISSED = 0.05;

    private static final double SCORE_SURE = 0.97;
    /** A call on the sheet of what scored: to it, and take it. */
    private static final int CALL_KEYS = 2;

    private static final int END_KEYS = 4;
    /** Ctrl+E before, Enter behind. */
    private static final int CORRECT_KEYS = 2;

    private static final double SECONDS_A_KEY = 0.3;
    private static final double SECONDS_TO_THINK = 1.5;
    /** Back, and on again. */
    private static final double SECONDS_BACK = 6;

    private static final int BACK_KEYS = 2;
    private static final long SAME_MS = 8000;

    private final Lexicon lexicon = Lexicon.builtIn();
    private final ShortestPhrase phrases = new ShortestPhrase(lexicon);

    private record Figures(int tags, int byHand, int keys, double seconds, double length, int drafts, int right) {
        Figures plus(Figures o) {
            return new Figures(
                    tags + o.tags,
                    byHand + o.byHand,
                    keys + o.keys,
                    seconds + o.seconds,
                    length + o.length,
                    drafts + o.drafts,
                    right + o.right);
        }

        @Override
        public String toString() {
            return String.format(
                    Locale.ROOT,
                    "%3d tags; keys by hand %4d, through drafts %4d (%.2f); seconds %4.0f of %4.0f (%.2f); %3d drafts, %3d right",
                    tags,
                    byHand,
                    keys,
                    keys / (double) byHand,
                    seconds,
                    length,
                    seconds / length,
                    drafts,
                    right);
        }
    }

    private SkeletonBench() {}

    /** @throws FormatException when the commentary of the demo cannot be read */
    public static void start() throws FormatException {
        SkeletonBench bench = new SkeletonBench();
        MatchRecord untold = DemoLibrary.shown(DemoLibrary.waiting(bench.lexicon), bench.lexicon);
        Figures own = bench.match(
                untold,
                CaptionDrafts.of(
                        CaptionFile.read(DemoLibrary.commentary()),
                        "commentary",
                        untold,
                        untold.films().get(0),
                        bench.lexicon,
                        SpeechLag.USUAL_MS),
                1);
        System.out.println("the demo's commentary  " + own);
        Figures all = new Figures(0, 0, 0, 0, 0, 0, 0);
        long seed = 71;
        for (MatchRecord r : DemoLibrary.matches(bench.lexicon, DemoLibrary.SEED)) {
            if (!r.films().isEmpty()) {
                seed++;
                List<Draft> drafts = CaptionDrafts.of(
                        new Commentator(r, bench.lexicon, seed).talk(),
                        "talk",
                        r,
                        r.films().get(0),
                        bench.lexicon,
                        SpeechLag.USUAL_MS);
                Figures f = bench.match(r, drafts, seed);
                all = all.plus(f);
                System.out.println(r.id().substring(0, Math.min(22, r.id().length())) + "  " + f);
            }
        }
        System.out.println("all six, made-up talk   " + all);
    }

    private Figures match(MatchRecord truth, List<Draft> said, long seed) {
        List<Tag> wanted = skeleton(truth);
        int byHand = 0;
        for (Tag t : wanted) {
            byHand += typed(truth, t);
        }
        MatchRecord now = truth.withTags(truth.tags().stream()
                .filter(t -> t.t().ms() == 0 && (t instanceof Tag.Start || t instanceof Tag.Position))
                .toList());
        List<Draft> found = new ArrayList<>(said);
        found.addAll(score(truth, new Random(seed)));
        found.addAll(ClockDrafts.of(now, truth.films().get(0)));
        DraftList list = DraftList.empty(now.id()).with(found, now, lexicon);
        List<Draft> open = list.open(now, lexicon, SpeechLag.USUAL_MS);
        MatchTime end = truth.end();
        Skim skim = Skim.of(now, open, lexicon, end);
        int keys = 0;
        int drafts = 0;
        int right = 0;
        double seconds = skim.lasts(end, BETWEEN) / 1000.0;
        Set<Tag> done = new HashSet<>();
        Run run = new Run(skim);
        for (Draft d : open) {
            // what was only tried, and what is thought of it, waits for the pass after the skim
            boolean ofSkeleton = d.tag() instanceof Tag.Action a ? a.completed() : !(d.tag() instanceof Tag.Remark);
            if (!ofSkeleton
                    || list.judged(now, lexicon, SpeechLag.USUAL_MS).stream()
                            .anyMatch(j -> j.draft().id() != null
                                    && j.draft().id().equals(d.id())
                                    && j.fate() == DraftFate.HELD)) {
                continue;
            }
            drafts++;
            List<Tag> as = DraftTags.of(d, now, lexicon);
            Tag meant = meant(d.tag(), as, wanted, done);
            if (meant == null) {
                boolean happened = d.tag() instanceof Tag.Action a && happened(a, truth);
                if (happened) {
                    keys += run.take(d);
                    right++;
                    now = take(now, d, as);
                } else {
                    keys += run.stop();
                    seconds += SECONDS_TO_THINK / 2;
                }
                continue;
            }
            done.add(meant);
            if (as.stream().anyMatch(t -> says(t, meant))) {
                right++;
                keys += run.take(d);
                now = take(now, d, as);
            } else {
                run.stop();
                // words are changed where they stand, or all of it is typed anew, whatever is shorter
                int correction = Math.min(CORRECT_KEYS + edits(d.tag(), meant), 1 + typed(truth, meant));
                keys += correction;
                seconds += SECONDS_TO_THINK + SECONDS_A_KEY * correction;
                now = take(now, d, List.of(meant));
            }
        }
        for (Tag t : wanted) {
            if (!done.contains(t) && !brought(t, now)) {
                int typing = typed(truth, t);
                boolean passed = skim.at(t.t()).isEmpty();
                keys += typing + (passed ? BACK_KEYS : 0);
                seconds += SECONDS_A_KEY * typing + (passed ? SECONDS_BACK : 0);
            }
        }
        return new Figures(wanted.size(), byHand, keys, seconds, end.ms() / 1000.0, drafts, right);
    }

    /** Sure drafts in a row that one stretch shows are taken by one Shift+Enter when it was seen. */
    private static final class Run {
        private final Skim skim;
        private @Nullable Stretch stretch;

        Run(Skim skim) {
            this.skim = skim;
        }

        /** Keys to take a draft that is right. */
        int take(Draft d) {
            Stretch here = d.confidence() >= Draft.SURE ? skim.at(d.tag().t()).orElse(null) : null;
            boolean goesOn = here != null && here.equals(stretch);
            stretch = here;
            return goesOn ? 0 : 1;
        }

        /** Keys to refuse one. */
        int stop() {
            stretch = null;
            return 1;
        }
    }

    private static MatchRecord take(MatchRecord r, Draft d, List<Tag> as) {
        List<Tag> tags = new ArrayList<>(as);
        tags.set(0, d.taken(as.get(0), true));
        Edit e = OpenEnd.keep(r, tags);
        return e.apply(r);
    }

    /** Places, what the table called, stops and the end; that somebody is caught in a lock is no place of its own. */
    private static List<Tag> skeleton(MatchRecord r) {
        List<Tag> tags = new ArrayList<>();
        boolean locked = false;
        for (Tag t : r.tags()) {
            if (t instanceof Tag.Position p && t.t().ms() > 0) {
                boolean lock = p.position().equals("LCK");
                if (!lock && !locked) {
                    tags.add(t);
                }
                locked = lock;
            } else if (t instanceof Tag.Call || t instanceof Tag.End || t instanceof Tag.Stop) {
                tags.add(t);
            }
        }
        return tags;
    }

    /** The attempt that led to a place; null when it was reached without. */
    private static Tag.@Nullable Action cause(MatchRecord r, Tag place) {
        Tag.Action last = null;
        for (Tag t : r.tags()) {
            if (t == place) {
                return last;
            }
            last = t instanceof Tag.Action a && a.completed() ? a : t instanceof Tag.Position ? null : last;
        }
        return null;
    }

    private int typed(MatchRecord r, Tag t) {
        if (t instanceof Tag.Call) {
            return CALL_KEYS;
        }
        Span here = PositionLine.of(r, lexicon).spans().stream()
                .filter(s -> s.from().compareTo(t.t()) < 0)
                .reduce((x, y) -> y)
                .orElse(null);
        Context context = new Context(r, t.t(), here);
        int keys = ShortestPhrase.UNSAID;
        if (t instanceof Tag.Position p) {
            // as a place, or as what worked and brought it along, whatever is shorter; the side is no part of it
            keys = phrases.place(p, context);
            Tag.Action by = cause(r, t);
            int tried = by == null ? ShortestPhrase.UNSAID : phrases.attempt(by, context, false);
            boolean sided = by != null && !by.sides().isEmpty() && tried != ShortestPhrase.UNSAID;
            keys = Math.min(keys, sided ? tried - 1 : tried);
        } else {
            return END_KEYS;
        }
        return keys == ShortestPhrase.UNSAID ? PhraseWriter.phrase(t, lexicon).length() + 1 : keys;
    }

    private static List<Draft> score(MatchRecord truth, Random chance) {
        List<Draft> drafts = new ArrayList<>();
        for (Tag t : truth.tags()) {
            if (t instanceof Tag.Call && chance.nextDouble() >= SCORE_MISSED) {
                drafts.add(Draft.of(t, null, -1, new Basis(Source.SCORE, "film", SCORE_SURE, "", -1)));
            }
        }
        return drafts;
    }

    /**
     * The tag of the truth that a draft is about, as a user would see it on the film: of a place the nearest, of what
     * worked the place it led to. Null for none.
     */
    private static @Nullable Tag meant(Tag draft, List<Tag> as, List<Tag> wanted, Set<Tag> done) {
        Tag best = null;
        for (Tag t : wanted) {
            long apart = Math.abs(t.t().since(draft.t()));
            boolean kind = t.type().equals(draft.type()) || (draft instanceof Tag.Action && t instanceof Tag.Position);
            // of an act that led nowhere known, only what the record would say anyway
            boolean exact = as.stream().anyMatch(x -> says(x, t));
            boolean near = apart <= (exact ? SAME_MS : SAME_MS / 2);
            boolean like = !(draft instanceof Tag.Action) || exact;
            if (kind
                    && like
                    && near
                    && !done.contains(t)
                    && (best == null || apart < Math.abs(best.t().since(draft.t())))) {
                best = t;
            }
        }
        return best;
    }

    /** Whether an attempt is in the truth as it is drafted. */
    private boolean happened(Tag.Action draft, MatchRecord truth) {
        return truth.tags().stream()
                .anyMatch(t -> t instanceof Tag.Action a
                        && a.by() == draft.by()
                        && a.completed()
                        && lexicon.familyOf(a.technique()).equals(family(draft))
                        && Math.abs(a.t().since(draft.t())) <= SAME_MS);
    }

    private String family(Tag.Action a) {
        return a.family() == null ? lexicon.familyOf(a.technique()) : a.family();
    }

    private static boolean says(Tag draft, Tag meant) {
        if (draft instanceof Tag.Position d && meant instanceof Tag.Position m) {
            return d.position().equals(m.position()) && d.holder() == m.holder() && d.guard() == m.guard();
        }
        if (draft instanceof Tag.Call d && meant instanceof Tag.Call m) {
            return d.call() == m.call() && d.who() == m.who() && Objects.equals(d.value(), m.value());
        }
        return draft.type().equals(meant.type()) && !(draft instanceof Tag.Action);
    }

    /** Keys to make one phrase of another: the words that differ are typed anew, the others skipped by Ctrl+arrow. */
    private int edits(Tag draft, Tag meant) {
        List<String> from = List.of(PhraseWriter.phrase(draft, lexicon).split(" "));
        int keys = 0;
        for (String w : PhraseWriter.phrase(meant, lexicon).split(" ")) {
            keys += from.contains(w) ? 1 : w.length() + 1;
        }
        return keys;
    }

    /** Whether what was taken brought it along, or the record says it by now. */
    private boolean brought(Tag t, MatchRecord now) {
        if (t instanceof Tag.End) {
            return now.tags().stream().anyMatch(Tag.End.class::isInstance);
        }
        return t instanceof Tag.Position p
                && now.tags().stream()
                        .anyMatch(x -> x instanceof Tag.Position q
                                && q.position().equals(p.position())
                                && q.guard() == p.guard()
                                && q.holder() == p.holder()
                                && Math.abs(q.t().since(p.t())) <= SAME_MS);
    }
}
