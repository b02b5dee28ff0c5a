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
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Drafts out of what was said over a film. What nobody is named for is none: a tag needs somebody. */
public final class CaptionDrafts {
    private CaptionDrafts() {}

    /**
     * The drafts of a narration, in the order of what was said; where the film's clock is not mapped, or the film shows
     * no match time, their moment is that of the film.
     *
     * @param from name of the captions
     * @param film whose time the captions follow; null when the captions follow the match clock
     * @param lagMs how long after the act it is said, 0 or more
     */
    public static List<Draft> of(
            List<Cue> cues, String from, MatchRecord record, @Nullable FilmRef film, Lexicon lexicon, long lagMs) {
        List<Draft> drafts = new ArrayList<>();
        NarrationReader reader = new NarrationReader(lexicon, Locale.ENGLISH);
        for (Find f : reader.read(cues, record.details().a(), record.details().b())) {
            long ms = Math.max(0, f.saidMs() - lagMs);
            Basis basis = new Basis(Source.CAPTIONS, from, f.confidence(), f.sentence(), f.saidMs());
            tag(f, new MatchTime(ms), lexicon)
                    .map(tag -> Draft.of(tag, film == null ? null : film.file(), film == null ? -1 : ms, basis))
                    .map(d -> d.timed(record, lagMs).orElse(d))
                    .ifPresent(drafts::add);
        }
        return List.copyOf(drafts);
    }

    private static Optional<Tag> tag(Find f, MatchTime t, Lexicon lexicon) {
        if (f instanceof Find.Act a && a.by() != null) {
            return Optional.of(Tag.Action.of(t, a.by(), a.technique())
                    .builder()
                    .family(a.technique().equals(a.family()) ? a.family() : null)
                    .sides(a.side() == null ? List.of() : List.of(a.side()))
                    .limb(a.limb())
                    .outcome(a.outcome())
                    .build());
        }
        if (f instanceof Find.Place p && p.who() != null) {
            return place(p, p.who(), t, lexicon);
        }
        if (f instanceof Find.Call c && c.who() != null) {
            return Optional.of(new Tag.Call(t, c.call(), c.who(), c.value(), true, null, null, TagInfo.NONE));
        }
        if (f instanceof Find.Stop) {
            return Optional.of(new Tag.Stop(t, null, TagInfo.NONE));
        }
        if (f instanceof Find.Remark r) {
            return Optional.of(new Tag.Remark(
                    t, r.kind(), r.about(), Source.CAPTIONS.code(), r.sentence(), null, null, Map.of(), TagInfo.NONE));
        }
        return Optional.empty();
    }

    /** In a guard whoever is named plays it; elsewhere he is on top. */
    private static Optional<Tag> place(Find.Place p, Corner who, MatchTime t, Lexicon lexicon) {
        return lexicon.position(p.position())
                .map(x -> Tag.Position.of(t, x.code(), holder(x, who), x.guard() ? who : null));
    }

    private static @Nullable Corner holder(Position x, Corner who) {
        return !x.holder() ? null : x.guard() ? who.other() : who;
    }
}
