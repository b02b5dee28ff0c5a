package farglass.draft;

import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A tag that is proposed. It stands beside a record, never in it, and counts nothing before somebody takes it.
 *
 * @param id identity within its match, which the tag has once it is taken; null while it is in no list
 * @param tag what is proposed; its moment is a guess
 * @param film file of the film whose time is meant, as the record names it; null where the match clock was given
 * @param filmMs film time of that moment; below 0 when no film is meant
 * @param bases what it rests on, at least one
 * @param refused whether somebody has looked and said no
 */
public record Draft(
        @Nullable String id, Tag tag, @Nullable String film, long filmMs, List<Basis> bases, boolean refused) {
    /** From here on drafts may be taken together without a look at each. */
    public static final double SURE = 0.85;

    /** Below this nobody is asked: it is there to be read. */
    public static final double QUIET = 0.35;

    /** Somebody has looked: a tag that he takes is not among those that he doubts. */
    private static final double LOOKED_AT = 0.5;

    /** Field of a tag that says where it comes from. */
    private static final String FIELD = "source";

    /** Field of a tag that says at which match millisecond it was proposed. */
    static final String PROPOSED = "proposed";

    public Draft {
        bases = List.copyOf(bases);
        if (bases.isEmpty()) {
            throw new IllegalArgumentException("a draft that rests on nothing");
        }
    }

    /** One that nobody has seen yet. */
    public static Draft of(Tag tag, @Nullable String film, long filmMs, Basis basis) {
        return new Draft(null, tag, film, filmMs, List.of(basis), false);
    }

    /** Where it comes from first of all: the source that is nearest to the moment. */
    public Source source() {
        return main().source();
    }

    private Basis main() {
        Basis main = bases.get(0);
        for (Basis b : bases) {
            main = b.source().compareTo(main.source()) > 0 ? b : main;
        }
        return main;
    }

    /** That it is as the tag says, 0..1; several sources are taken as independent witnesses. */
    public double confidence() {
        double wrong = 1;
        for (Basis b : bases) {
            wrong *= 1 - b.confidence();
        }
        return 1 - wrong;
    }

    /** The words that it rests on, those of several sources one after another. */
    public String text() {
        return bases.stream()
                .map(Basis::text)
                .filter(t -> !t.isEmpty())
                .distinct()
                .collect(Collectors.joining(" / "));
    }

    /** Film time at which it was said; below 0 where nobody said it. */
    public long saidMs() {
        return main().saidMs();
    }

    /** The same at another moment; where it was proposed at is remembered when it is taken. */
    public Draft at(MatchTime t) {
        Map<String, Object> extra = new LinkedHashMap<>(tag.info().extra());
        extra.putIfAbsent(PROPOSED, tag.t().ms());
        TagInfo i = tag.info();
        Tag moved = tag.at(t).with(new TagInfo(i.id(), i.tagger(), i.confidence(), i.note(), extra));
        return new Draft(id, moved, film, filmMs, bases, refused);
    }

    Draft named(String name) {
        return new Draft(name, tag, film, filmMs, bases, refused);
    }

    Draft refused(boolean no) {
        return new Draft(id, tag, film, filmMs, bases, no);
    }

    /** Whether it is only there to be read, and passed over where drafts are decided one by one. */
    public boolean quiet() {
        return confidence() < QUIET;
    }

    /** The same with the confidence of its sources changed. */
    Draft resting(List<Basis> on) {
        return new Draft(id, tag, film, filmMs, on, refused);
    }

    /**
     * The same at the moment that the record's film shows now; empty when the film shows no match time there, as in a
     * replay.
     *
     * @param lagMs how long after the act it is said, 0 or more
     */
    Optional<Draft> timed(MatchRecord record, long lagMs) {
        if (film == null) {
            return Optional.of(this);
        }
        long ms = saidMs() < 0 ? filmMs : Math.max(0, saidMs() - lagMs);
        return moment(record, film, ms).map(t -> new Draft(id, tag.at(t), film, ms, bases, refused));
    }

    /**
     * The match time that a film of a record shows; the film's own where its clock is not mapped yet. A film that lies
     * elsewhere now has its old name.
     */
    private static Optional<MatchTime> moment(MatchRecord record, String film, long ms) {
        for (FilmRef f : record.films()) {
            if (name(f.file()).equals(name(film))) {
                return f.map().isEmpty()
                        ? Optional.of(new MatchTime(ms))
                        : f.map().matchTime(new FilmTime(ms));
            }
        }
        return record.films().isEmpty() ? Optional.of(new MatchTime(ms)) : Optional.empty();
    }

    private static String name(String file) {
        return file.substring(Math.max(file.lastIndexOf('/'), file.lastIndexOf('\\')) + 1);
    }

    /**
     * The tag that it becomes: its own, or what it was corrected to, with its identity, its source and how sure it was.
     *
     * @param looked whether somebody has looked at it
     * @throws IllegalStateException when it is in no list
     */
    public Tag taken(Tag as, boolean looked) {
        if (id == null) {
            throw new IllegalStateException("a draft without a name cannot be taken");
        }
        Map<String, Object> extra = new LinkedHashMap<>(as.info().extra());
        extra.put(FIELD, source().code());
        extra.putIfAbsent(PROPOSED, tag.t().ms());
        double sure = looked ? Math.max(LOOKED_AT, confidence()) : confidence();
        return as.with(new TagInfo(
                id,
                as.info().tagger(),
                Math.round(1000 * sure) / 1000.0,
                as.info().note(),
                extra));
    }
}
