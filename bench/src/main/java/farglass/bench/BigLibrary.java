package farglass.bench;

import farglass.lexicon.Lexicon;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.simulate.DemoLibrary;
import farglass.time.MatchTime;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Many long matches: made-up ones laid end to end until there are enough tags. */
final class BigLibrary {
    /** The athlete whose profile is measured. */
    static final String STUDIED = "studied";

    private static final int TAGS_A_MATCH = 150;
    private static final int CORNERS = 60;
    /** Teams at the least; in a large library of about ten athletes each. */
    private static final int TEAMS = 25;

    private static final int TEAM = 10;

    private final Lexicon lexicon;
    private final Deque<MatchRecord> raw = new ArrayDeque<>();
    private final int corners;
    private final int others;
    private long tags;
    private long seed = DemoLibrary.SEED;

    BigLibrary(Lexicon lexicon) {
        this(lexicon, CORNERS);
    }

    /** @param corners athletes who fight in corner A; those in corner B are seven fewer */
    BigLibrary(Lexicon lexicon, int corners) {
        this.lexicon = lexicon;
        this.corners = corners;
        this.others = corners - 7;
    }

    private MatchRecord next() {
        if (raw.isEmpty()) {
            raw.addAll(DemoLibrary.matches(lexicon, seed++));
        }
        return raw.remove();
    }

    /**
     * @param matches wanted
     * @param studied how many of them the studied athlete fights; spread evenly, always in corner A
     */
    List<MatchRecord> of(int matches, int studied) {
        return part(0, matches, matches, studied);
    }

    /** The next of many matches, from a number to before another. */
    List<MatchRecord> part(int from, int to, int matches, int studied) {
        List<MatchRecord> all = new ArrayList<>();
        for (int i = from; i < to; i++) {
            boolean mine = (long) (i + 1) * studied / matches > (long) i * studied / matches;
            MatchRecord r = match(i, mine, (i + 1L) * TAGS_A_MATCH - tags);
            tags += r.tags().size();
            all.add(r);
        }
        return all;
    }

    private MatchRecord match(int number, boolean mine, long wanted) {
        MatchRecord first = next();
        List<Tag> tags = new ArrayList<>();
        long from = 0;
        MatchRecord part = first;
        while (true) {
            boolean enough = tags.size() + part.tags().size() >= wanted;
            for (Tag t : part.tags()) {
                MatchTime at = MatchTime.ofMs(from + t.t().ms());
                TagInfo info = TagInfo.withId("t" + (tags.size() + 1));
                if (t instanceof Tag.Start && from > 0) {
                    tags.add(new Tag.Resume(at, "STD", null, null, info));
                } else if (t instanceof Tag.End && !enough) {
                    tags.add(new Tag.Stop(at, "out-of-bounds", info));
                } else {
                    tags.add(t.at(at).with(info));
                }
            }
            from += part.end().ms() + 1;
            if (enough) {
                break;
            }
            part = next();
        }
        MatchRecord.Details d = first.details();
        MatchAthlete a = named(d.a(), mine ? STUDIED : "athlete-" + number % corners);
        MatchAthlete b = named(d.b(), "other-" + number % others);
        return MatchRecord.of(
                "big-" + number,
                new MatchRecord.Details(
                        d.date(), d.event(), d.round(), d.division(), d.attire(), d.ruleset(), from, a, b, d.result()),
                List.of(),
                tags);
    }

    private MatchAthlete named(MatchAthlete a, String id) {
        Map<String, Object> extra = new LinkedHashMap<>(a.extra());
        extra.put("team", "team-" + Math.floorMod(id.hashCode(), Math.max(TEAMS, (corners + others) / TEAM)));
        return new MatchAthlete(id, id, a.marker(), a.colour(), extra);
    }
}
