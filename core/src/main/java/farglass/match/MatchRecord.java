package farglass.match;

import farglass.time.ClockMap;
import farglass.time.MatchTime;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * Everything that is known of one match. Immutable; {@link Edit}s make the next version.
 *
 * @param tags in time order; tags of equal time keep the order in which they were given
 */
public record MatchRecord(
        String id, RecordKind kind, Details details, List<FilmRef> films, List<Tag> tags, Map<String, Object> extra) {
    private static final String PRIVATE = "private";

    /**
     * What is written at the head of a record.
     *
     * @param date null when unknown
     * @param attire {@code gi}, {@code no-gi}, or null
     * @param ruleset code of the ruleset, or null
     * @param lengthMs scheduled length in match milliseconds, positive
     * @param result null while unknown
     */
    public record Details(
            @Nullable LocalDate date,
            @Nullable String event,
            @Nullable String round,
            @Nullable String division,
            @Nullable String attire,
            @Nullable String ruleset,
            long lengthMs,
            MatchAthlete a,
            MatchAthlete b,
            @Nullable Result result) {
        public Details {
            if (lengthMs <= 0) {
                throw new IllegalArgumentException("lengthMs (" + lengthMs + ") must be positive");
            }
        }

        /** The same in other clothes. */
        public Details attire(@Nullable String worn) {
            return new Details(date, event, round, division, worn, ruleset, lengthMs, a, b, result);
        }

        /** The same under another ruleset. */
        public Details ruleset(String code) {
            return new Details(date, event, round, division, attire, code, lengthMs, a, b, result);
        }

        /** The same with another result. */
        public Details result(@Nullable Result r) {
            return new Details(date, event, round, division, attire, ruleset, lengthMs, a, b, r);
        }
    }

    public MatchRecord {
        films = List.copyOf(films);
        if (!(tags instanceof LaterTags)) {
            List<Tag> sorted = new ArrayList<>(tags);
            sorted.sort(java.util.Comparator.comparing(Tag::t));
            tags = Collections.unmodifiableList(sorted);
        }
        extra = Collections.unmodifiableMap(new LinkedHashMap<>(extra));
    }

    /** A record of a match without fields of others. */
    public static MatchRecord of(String id, Details details, List<FilmRef> films, List<Tag> tags) {
        return new MatchRecord(id, RecordKind.MATCH, details, films, tags, Map.of());
    }

    /**
     * A record whose tags are read when they are first looked at.
     *
     * @param head the record without its tags
     * @param count how many there are
     * @param untouched whether there is no tag beyond those that every new record has
     * @param tags reads them, in the order of time; what it throws comes out of whatever looks at them
     */
    public static MatchRecord unread(MatchRecord head, int count, boolean untouched, Supplier<List<Tag>> tags) {
        return head.withTags(new LaterTags(count, untouched, tags));
    }

    /** How many tags there are, without reading them where they have not been read. */
    public int tagCount() {
        return tags instanceof LaterTags later ? later.count() : tags.size();
    }

    /** Whether outsiders cannot have seen it: as the record says, else training rounds only. */
    public boolean isPrivate() {
        return extra.get(PRIVATE) instanceof Boolean told ? told : kind == RecordKind.ROUND;
    }

    /** The same kept from whoever looks at what the public knows, or shown to them. */
    public MatchRecord withPrivate(boolean hidden) {
        Map<String, Object> next = new LinkedHashMap<>(extra);
        if (hidden == (kind == RecordKind.ROUND)) {
            next.remove(PRIVATE);
        } else {
            next.put(PRIVATE, hidden);
        }
        return new MatchRecord(id, kind, details, films, tags, next);
    }

    /** Who stands in a corner. */
    public MatchAthlete athlete(@Nullable Corner c) {
        return c == Corner.A ? details.a() : details.b();
    }

    /** The corner of an athlete, when he fights in this match. */
    public Optional<Corner> cornerOf(String athleteId) {
        if (details.a().id().equals(athleteId)) {
            return Optional.of(Corner.A);
        }
        return details.b().id().equals(athleteId) ? Optional.of(Corner.B) : Optional.empty();
    }

    /**
     * Whether nothing is known of the match yet: no result, and no tag beyond those that every new record has. It waits
     * for its film to be tagged and counts in no statistic.
     */
    public boolean waiting() {
        return details.result() == null && untouched();
    }

    /** Whether there is no tag beyond those that every new record has; reads none that has not been read. */
    public boolean untouched() {
        return tags instanceof LaterTags later ? later.untouched() : untouched(tags);
    }

    static boolean untouched(List<Tag> tags) {
        return tags.stream().allMatch(t -> t instanceof Tag.Start || (t instanceof Tag.Position && t.t().ms() == 0));
    }

    /** The same with other tags, which must be in the order of time. */
    public MatchRecord withTags(List<Tag> next) {
        return new MatchRecord(id, kind, details, films, next, extra);
    }

    /** The same with other films. */
    public MatchRecord withFilms(List<FilmRef> next) {
        return new MatchRecord(id, kind, details, next, tags, extra);
    }

    /** The same with other details. */
    public MatchRecord withDetails(Details next) {
        return new MatchRecord(id, kind, next, films, tags, extra);
    }

    /** Map of the first film; empty when there is none. */
    public ClockMap clock() {
        return films.isEmpty() ? ClockMap.EMPTY : films.get(0).map();
    }

    /** Match time up to the end of the record that no film shows live; none while no film has a clock. */
    public List<ClockMap.Gap> filmGaps() {
        List<FilmRef> clocked = films.stream().filter(f -> !f.map().isEmpty()).toList();
        MatchTime end = end();
        List<ClockMap.Gap> gaps = clocked.isEmpty() ? List.of() : List.of(new ClockMap.Gap(MatchTime.ZERO, end));
        for (FilmRef film : clocked) {
            List<ClockMap.Gap> next = new ArrayList<>();
            for (ClockMap.Gap mine : film.map().gaps(end)) {
                for (ClockMap.Gap g : gaps) {
                    MatchTime from = mine.from().compareTo(g.from()) > 0 ? mine.from() : g.from();
                    MatchTime to = mine.to().compareTo(g.to()) < 0 ? mine.to() : g.to();
                    if (from.compareTo(to) < 0) {
                        next.add(new ClockMap.Gap(from, to));
                    }
                }
            }
            gaps = next;
        }
        return gaps;
    }

    /** Where the record ends: the end tag, else the last moment tagged. */
    public MatchTime end() {
        MatchTime last = MatchTime.ZERO;
        for (Tag tag : tags) {
            if (tag instanceof Tag.End) {
                return tag.t();
            }
            MatchTime t = tag instanceof Tag.Action a ? a.end() : tag.t();
            last = t.compareTo(last) > 0 ? t : last;
        }
        return last;
    }

    /** How reports cite a tag: its id, else its index. */
    public String tagName(int index) {
        String name = tags.get(index).info().id();
        return name == null ? Integer.toString(index) : name;
    }
}
