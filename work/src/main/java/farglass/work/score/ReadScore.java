package farglass.work.score;

import static java.util.Objects.requireNonNull;

import farglass.film.map.MapProposal;
import farglass.film.score.ScoreChange;
import farglass.film.score.ScoreGraphic;
import farglass.film.score.ScoreKind;
import farglass.film.score.ScoreTrack;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.table.NameMatch;
import farglass.table.ReadChange;
import farglass.time.ClockMap;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.util.ArrayList;
import java.util.List;

/**
 * What was read of the score in a film of a match.
 *
 * @param film file name of the film as the record has it
 * @param first who the first athlete of the graphic is
 */
public record ReadScore(String match, String film, ScoreTrack track, Corner first) {
    /** What was read off a film of a record; who is who by the names read, else the first athlete is the first. */
    public static ReadScore of(MatchRecord r, String film, MapProposal found) {
        List<String> names = found.score().graphic().names().stream()
                .map(ScoreGraphic.Name::text)
                .toList();
        return new ReadScore(
                r.id(), film, found.score(), NameMatch.first(r, names).orElse(Corner.A));
    }

    /** The same with what a number counts, or what was read, put right. */
    public ReadScore with(ScoreTrack corrected) {
        return new ReadScore(match, film, corrected, first);
    }

    /** The same with another athlete first. */
    public ReadScore with(Corner firstAthlete) {
        return new ReadScore(match, film, track, firstAthlete);
    }

    /** Changes of points, advantages and penalties, in film order, with the match times of a clock. */
    public List<ReadChange> changes(ClockMap clock) {
        List<ReadChange> changes = new ArrayList<>();
        for (ScoreChange c : track.scored()) {
            FilmTime at = FilmTime.ofMs(c.ms());
            changes.add(new ReadChange(
                    FilmTime.ofMs(c.fromMs()),
                    at,
                    moment(clock, at),
                    c.athlete() == 0 ? first : first.other(),
                    call(requireNonNull(track.kind(c), "what was scored has a kind")),
                    c.before(),
                    c.after(),
                    c.confidence()));
        }
        return changes;
    }

    private static CallKind call(ScoreKind kind) {
        return switch (kind) {
            case POINTS -> CallKind.POINTS;
            case ADVANTAGES -> CallKind.ADVANTAGE;
            case PENALTIES -> CallKind.PENALTY;
        };
    }

    /** Where the match is not shown, the moment at which it was last. */
    private static MatchTime moment(ClockMap clock, FilmTime at) {
        MatchTime last = MatchTime.ZERO;
        for (Segment s : clock.segments()) {
            if (s.kind() == Segment.Kind.LIVE && s.from().compareTo(at) <= 0) {
                last = s.contains(at) ? s.matchTime(at) : s.matchEnd();
            }
        }
        return last;
    }
}
