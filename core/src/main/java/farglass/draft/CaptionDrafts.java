package farglass.draft;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.match.Corner;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.narration.Cue;
import farglass.narration.Find;
import farglass.narration.NarrationReader;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Drafts out of what was said over a film. What nobody is named for is none: a tag needs somebody. */
public final class CaptionDrafts {
    /** Speech comes after the act by so much, until taken drafts say otherwise. */
    public static final long USUAL_LAG_MS = 1500;

    private static final String SOURCE = "captions";

    private CaptionDrafts() {}

    /**
     * The drafts of a narration, in the order of the film.
     *
     * @param film whose time the captions follow; null when the captions follow the match clock
     * @param lagMs how long after the act it is said, 0 or more
     */
    public static List<Draft> of(
            List<Cue> cues, MatchRecord record, @Nullable FilmRef film, Lexicon lexicon, long lagMs) {
        List<Draft> drafts = new ArrayList<>();
        NarrationReader reader = new NarrationReader(lexicon, Locale.ENGLISH);
        for (Find f : reader.read(cues, record.details().a(), record.details().b())) {
            long ms = Math.max(0, f.saidMs() - lagMs);
            MatchTime t = moment(film, ms);
            if (t != null) {
                tag(f, t, lexicon)
                        .ifPresent(tag -> drafts.add(new Draft(
                                tag, film == null ? -1 : ms, Draft.Source.CAPTIONS, f.confidence(), f.sentence())));
            }
        }
        return List.copyOf(drafts);
    }

    /** The match time that is shown; the film's own where its clock is not mapped yet, null where none is shown. */
    private static @Nullable MatchTime moment(@Nullable FilmRef film, long ms) {
        if (film == null || film.map().isEmpty()) {
            return new MatchTime(ms);
        }
        return film.map().matchTime(new FilmTime(ms)).orElse(null);
    }

    private static Optional<Tag> tag(Find f, MatchTime t, Lexicon lexicon) {
        TagInfo info = new TagInfo(null, SOURCE, f.confidence(), null, Map.of());
        if (f instanceof Find.Act a && a.by() != null) {
            return Optional.of(Tag.Action.of(t, a.by(), a.technique())
                    .builder()
                    .family(a.technique().equals(a.family()) ? a.family() : null)
                    .sides(a.side() == null ? List.of() : List.of(a.side()))
                    .outcome(a.outcome())
                    .info(info)
                    .build());
        }
        if (f instanceof Find.Place p && p.who() != null) {
            return place(p, p.who(), t, info, lexicon);
        }
        if (f instanceof Find.Call c && c.who() != null) {
            return Optional.of(new Tag.Call(t, c.call(), c.who(), c.value(), true, null, null, info));
        }
        if (f instanceof Find.Stop) {
            return Optional.of(new Tag.Stop(t, null, info));
        }
        if (f instanceof Find.Remark r) {
            return Optional.of(
                    new Tag.Remark(t, r.kind(), r.about(), SOURCE, r.sentence(), null, null, Map.of(), info));
        }
        return Optional.empty();
    }

    /** In a guard whoever is named plays it; elsewhere he is on top. */
    private static Optional<Tag> place(Find.Place p, Corner who, MatchTime t, TagInfo info, Lexicon lexicon) {
        return lexicon.position(p.position())
                .map(x -> Tag.Position.of(t, x.code(), holder(x, who), x.guard() ? who : null)
                        .with(info));
    }

    private static @Nullable Corner holder(Position x, Corner who) {
        return !x.holder() ? null : x.guard() ? who.other() : who;
    }
}
