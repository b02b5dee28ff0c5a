package farglass.draft;

import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.util.ArrayList;
import java.util.List;

/** Drafts out of the clock that was read off a film: stops, and the end of the match. */
public final class ClockDrafts {
    /** Before the name of a film, so that its clock and its score are two origins. */
    private static final String CLOCK = "clock of ";

    private static final double STOPPED = 0.9;
    /** The clock may be taken off the picture before the match is over. */
    private static final double OVER = 0.8;

    private ClockDrafts() {}

    /** What the clock of a film shows and the record may not hold yet; none while the film has no clock. */
    public static List<Draft> of(MatchRecord record, FilmRef film) {
        List<Segment> live = film.map().segments().stream()
                .filter(s -> s.kind() == Segment.Kind.LIVE)
                .toList();
        List<Draft> drafts = new ArrayList<>();
        for (int i = 0; i + 1 < live.size(); i++) {
            MatchTime t = live.get(i).matchEnd();
            if (stops(film.map().segments(), live.get(i), live.get(i + 1))) {
                drafts.add(draft(
                        new Tag.Stop(t, null, TagInfo.NONE),
                        film,
                        live.get(i).to().ms(),
                        STOPPED));
            }
        }
        boolean ended = record.tags().stream().anyMatch(Tag.End.class::isInstance);
        if (!live.isEmpty() && !ended) {
            Segment last = live.get(live.size() - 1);
            drafts.add(draft(
                    new Tag.End(last.matchEnd(), TagInfo.NONE), film, last.to().ms(), OVER));
        }
        return List.copyOf(drafts);
    }

    /** Whether the clock stood still between two parts, and was not only out of the picture. */
    private static boolean stops(List<Segment> all, Segment before, Segment after) {
        return all.stream()
                .anyMatch(s -> s.kind() == Segment.Kind.STOPPAGE
                        && s.from().compareTo(before.to()) >= 0
                        && s.to().compareTo(after.from()) <= 0);
    }

    /** By match time: the very moment at which a clock stops belongs to no live part of the film. */
    private static Draft draft(Tag tag, FilmRef film, long ms, double sure) {
        return Draft.of(tag, null, ms, new Basis(Source.SCORE, CLOCK + film.file(), sure, "", -1));
    }
}
