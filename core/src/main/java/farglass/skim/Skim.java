package farglass.skim;

import farglass.draft.Draft;
import farglass.draft.DraftConflict;
import farglass.draft.Source;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.skim.Stretch.Why;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;

/**
 * What of a match must be seen at its own speed in a first pass; what lies between may run by. Rules of thumb of the
 * trade: a score is for what happened in the seconds before it, a place that nobody speaks of for long still changes.
 */
public final class Skim {
    private static final long START_MS = 6000;
    private static final long FINISH_MS = 8000;
    private static final long BEFORE_SCORE_MS = 5000;
    private static final long AFTER_SCORE_MS = 1000;
    private static final long BEFORE_DRAFT_MS = 2500;
    private static final long AFTER_DRAFT_MS = 1500;
    private static final long RESTART_MS = 5000;
    private static final long DISPUTED_MS = 5000;
    /** Longer than this nothing is left unlooked at. */
    private static final long SILENT_MS = 45_000;

    private static final long LOOK_MS = 6000;
    /** Nearer stretches are one. */
    private static final long NEAR_MS = 1500;

    private final List<Stretch> stretches;

    private Skim(List<Stretch> stretches) {
        this.stretches = List.copyOf(stretches);
    }

    /**
     * @param open drafts that nobody has decided
     * @param end the last moment of the match that film shows, or its length
     */
    public static Skim of(MatchRecord record, List<Draft> open, Lexicon lexicon, MatchTime end) {
        List<Stretch> all = new ArrayList<>();
        all.add(stretch(MatchTime.ZERO, 0, START_MS, Why.START));
        all.add(stretch(end, FINISH_MS, 0, Why.FINISH));
        List<MatchTime> known = new ArrayList<>(List.of(MatchTime.ZERO));
        for (Tag tag : record.tags()) {
            if (tag instanceof Tag.Call) {
                all.add(stretch(tag.t(), BEFORE_SCORE_MS, AFTER_SCORE_MS, Why.SCORE));
            } else if (tag instanceof Tag.Resume) {
                all.add(stretch(tag.t(), 0, RESTART_MS, Why.RESTART));
            }
            known.add(tag.t());
        }
        for (Draft d : open) {
            if (d.source() == Source.SCORE) {
                all.add(stretch(d.tag().t(), BEFORE_SCORE_MS, AFTER_SCORE_MS, Why.SCORE));
            } else if (ofSkeleton(d.tag())) {
                all.add(stretch(d.tag().t(), BEFORE_DRAFT_MS, AFTER_DRAFT_MS, Why.DRAFT));
            }
            if (!d.quiet()) {
                known.add(d.tag().t());
            }
        }
        for (MatchTime t : DraftConflict.moments(record, open, lexicon)) {
            all.add(stretch(t, DISPUTED_MS, DISPUTED_MS, Why.DISPUTED));
        }
        known.add(end);
        silent(known, all);
        return new Skim(joined(all));
    }

    /** Whether it changes place, score or who is at work; what was only tried and what is thought of it can wait. */
    private static boolean ofSkeleton(Tag tag) {
        return tag instanceof Tag.Action a ? a.completed() : !(tag instanceof Tag.Remark);
    }

    private static Stretch stretch(MatchTime t, long before, long after, Why why) {
        return new Stretch(MatchTime.ofMs(Math.max(0, t.ms() - before)), t.plus(after), EnumSet.of(why));
    }

    /** Looks into the middle of every part in which nothing is known, of which none is longer than the limit. */
    private static void silent(List<MatchTime> known, List<Stretch> all) {
        known.sort(Comparator.naturalOrder());
        for (int i = 1; i < known.size(); i++) {
            long from = known.get(i - 1).ms();
            long gap = known.get(i).ms() - from;
            long looks = gap / SILENT_MS;
            for (long k = 1; k <= looks; k++) {
                MatchTime middle = MatchTime.ofMs(from + gap * k / (looks + 1));
                all.add(stretch(middle, LOOK_MS / 2, LOOK_MS / 2, Why.UNTAGGED));
            }
        }
    }

    private static List<Stretch> joined(List<Stretch> all) {
        List<Stretch> sorted = new ArrayList<>(all);
        sorted.sort(Comparator.comparing(Stretch::from));
        List<Stretch> joined = new ArrayList<>();
        for (Stretch s : sorted) {
            Stretch last = joined.isEmpty() ? null : joined.get(joined.size() - 1);
            if (last != null && s.from().ms() - last.to().ms() <= NEAR_MS) {
                joined.set(joined.size() - 1, last.with(s));
            } else {
                joined.add(s);
            }
        }
        return joined;
    }

    /** In their order, none touching another. */
    public List<Stretch> stretches() {
        return stretches;
    }

    /** The stretch at a moment; empty where the match may run by. */
    public Optional<Stretch> at(MatchTime t) {
        return stretches.stream().filter(s -> s.contains(t)).findFirst();
    }

    /**
     * How long it takes, ms.
     *
     * @param end of the match
     * @param between how many times faster runs what lies between
     */
    public long lasts(MatchTime end, double between) {
        long slow = stretches.stream()
                .mapToLong(
                        s -> Math.min(s.to().ms(), end.ms()) - Math.min(s.from().ms(), end.ms()))
                .sum();
        return slow + Math.round((end.ms() - slow) / between);
    }
}
