package farglass.draft;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.match.Tag;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * The drafts of a match, kept beside its record. Whether one was taken is not kept here: the record says so by a tag of
 * its identity, so that undoing the tag brings the draft back.
 *
 * @param match id of the record
 * @param drafts each with an identity of its own
 */
public record DraftList(String match, List<Draft> drafts) {
    private static final String PREFIX = "d";

    public DraftList {
        drafts = List.copyOf(drafts);
    }

    /** Of a match about which nothing has been said. */
    public static DraftList empty(String match) {
        return new DraftList(match, List.of());
    }

    /** A draft with what has become of it, at the moment that the film shows now. */
    public record Judged(Draft draft, DraftFate fate) {}

    /**
     * All drafts with what has become of them, in the order of the match.
     *
     * @param lagMs how long after the act it is said, 0 or more
     */
    public List<Judged> judged(MatchRecord record, Lexicon lexicon, long lagMs) {
        DraftMatch match = new DraftMatch(lexicon);
        PositionLine line = PositionLine.of(record, lexicon);
        Map<String, Tag> byId = new HashMap<>();
        for (Tag tag : record.tags()) {
            if (tag.info().id() != null) {
                byId.put(tag.info().id(), tag);
            }
        }
        List<Judged> judged = new ArrayList<>();
        for (Draft d : drafts) {
            Tag now = byId.get(d.id());
            Optional<Draft> timed = d.timed(record, lagMs);
            judged.add(new Judged(timed.orElse(d), fate(timed.orElse(null), d, now, record, line, match)));
        }
        judged.sort(Comparator.comparing(j -> j.draft().tag().t()));
        return List.copyOf(judged);
    }

    private static DraftFate fate(
            @Nullable Draft timed,
            Draft kept,
            @Nullable Tag now,
            MatchRecord record,
            PositionLine line,
            DraftMatch match) {
        if (now != null) {
            return match.kept(kept.tag(), now) ? DraftFate.TAKEN : DraftFate.CHANGED;
        }
        if (kept.refused()) {
            return DraftFate.REFUSED;
        }
        if (timed == null) {
            return DraftFate.OUT_OF_SIGHT;
        }
        return match.held(timed.tag(), record, line) ? DraftFate.HELD : DraftFate.OPEN;
    }

    /** Those that nobody has decided, in the order of the match. */
    public List<Draft> open(MatchRecord record, Lexicon lexicon, long lagMs) {
        return judged(record, lexicon, lagMs).stream()
                .filter(j -> j.fate() == DraftFate.OPEN)
                .map(Judged::draft)
                .toList();
    }

    /** The draft of an identity. */
    public Optional<Draft> draft(String id) {
        return drafts.stream().filter(d -> id.equals(d.id())).findFirst();
    }

    /** The same with one refused, or open again. */
    public DraftList refused(String id, boolean no) {
        return map(d -> id.equals(d.id()) ? d.refused(no) : d);
    }

    private DraftList map(UnaryOperator<Draft> change) {
        return new DraftList(match, drafts.stream().map(change).toList());
    }

    /**
     * With what was found now. A source that is read again takes the place of its earlier reading, but what was refused
     * or taken of it stays so; what another source tells of the same moment becomes one draft with it.
     */
    public DraftList with(List<Draft> found, MatchRecord record, Lexicon lexicon) {
        return new DraftAdding(this, record, lexicon).add(found);
    }

    /** A new identity, which neither a draft nor a tag of the record has. */
    static String next(Set<String> used) {
        int n = used.size() + 1;
        while (used.contains(PREFIX + n)) {
            n++;
        }
        return PREFIX + n;
    }

    Set<String> names(MatchRecord record) {
        Set<String> used = new HashSet<>();
        drafts.forEach(d -> used.add(String.valueOf(d.id())));
        record.tags().forEach(t -> used.add(String.valueOf(t.info().id())));
        return used;
    }
}
