package farglass.draft;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.Predicate;

/** Puts what a source was found to say into a list of drafts. */
final class DraftAdding {
    private final String match;
    private final List<Draft> drafts;
    private final DraftMatch same;
    private final Set<String> names;
    private final Set<String> taken = new HashSet<>();
    /** Those that this reading has spoken of: it tells of each thing once. */
    private final Set<String> met = new HashSet<>();

    DraftAdding(DraftList before, MatchRecord record, Lexicon lexicon) {
        this.match = before.match();
        this.drafts = new ArrayList<>(before.drafts());
        this.same = new DraftMatch(lexicon);
        this.names = before.names(record);
        for (Tag tag : record.tags()) {
            if (tag.info().id() != null) {
                taken.add(tag.info().id());
            }
        }
    }

    DraftList add(List<Draft> found) {
        Set<Basis> origins = new HashSet<>();
        for (Draft d : found) {
            origins.add(origin(d.bases().get(0)));
        }
        // held against their old places first, so that a source that is read again finds its own
        List<Draft> fresh = new ArrayList<>();
        for (Draft d : found) {
            int own = nearest(d, e -> of(e, d.bases().get(0)));
            if (own >= 0) {
                again(own, d);
            } else {
                fresh.add(d);
            }
        }
        drop(origins);
        for (Draft d : fresh) {
            int other = nearest(
                    d,
                    e -> !e.refused()
                            && !taken.contains(e.id())
                            && !of(e, d.bases().get(0)));
            if (other >= 0) {
                Draft one = DraftMerge.of(drafts.get(other), d);
                drafts.set(other, one);
                met.add(String.valueOf(one.id()));
            } else {
                String name = DraftList.next(names);
                names.add(name);
                met.add(name);
                drafts.add(d.named(name));
            }
        }
        return new DraftList(match, drafts);
    }

    /** A basis by which those of one origin can be told. */
    private static Basis origin(Basis b) {
        return new Basis(b.source(), b.from(), 0, "", -1);
    }

    private static boolean of(Draft d, Basis origin) {
        return d.bases().stream().anyMatch(b -> b.sameOrigin(origin));
    }

    private int nearest(Draft d, Predicate<Draft> among) {
        int best = -1;
        for (int i = 0; i < drafts.size(); i++) {
            Draft e = drafts.get(i);
            if (!met.contains(String.valueOf(e.id()))
                    && among.test(e)
                    && same.same(e.tag(), d.tag())
                    && (best < 0 || apart(e, d) < apart(drafts.get(best), d))) {
                best = i;
            }
        }
        return best;
    }

    private static long apart(Draft x, Draft y) {
        return Math.abs(x.tag().t().since(y.tag().t()));
    }

    /** The same source said it before: its words and its confidence are those of now. */
    private void again(int at, Draft d) {
        Draft e = drafts.get(at);
        met.add(String.valueOf(e.id()));
        if (e.refused() || taken.contains(e.id())) {
            return;
        }
        List<Basis> others =
                e.bases().stream().filter(b -> !b.sameOrigin(d.bases().get(0))).toList();
        drafts.set(
                at,
                others.isEmpty()
                        ? new Draft(e.id(), d.tag(), d.film(), d.filmMs(), d.bases(), false)
                        : DraftMerge.of(e.resting(others), d));
    }

    /** What these sources said before and do not say now, unless somebody has decided it. */
    private void drop(Set<Basis> origins) {
        for (int i = drafts.size() - 1; i >= 0; i--) {
            Draft d = drafts.get(i);
            if (d.refused() || taken.contains(d.id()) || met.contains(String.valueOf(d.id()))) {
                continue;
            }
            List<Basis> left =
                    d.bases().stream().filter(b -> !origins.contains(origin(b))).toList();
            if (left.isEmpty()) {
                drafts.remove(i);
            } else if (!Objects.equals(left, d.bases())) {
                drafts.set(i, d.resting(left));
            }
        }
    }
}
