package farglass.time;

/**
 * A stretch of film, half-open [from, to).
 *
 * @param from first film moment
 * @param to first film moment after it, later than {@code from}
 * @param kind what it shows
 * @param at match time shown at {@code from}; zero and without meaning unless live or replay
 * @param speed match milliseconds per film millisecond, in (0, 4] for live and replay; a half-speed replay has 0.5
 */
public record Segment(FilmTime from, FilmTime to, Kind kind, MatchTime at, double speed) {
    /** What a stretch of film shows. */
    public enum Kind {
        LIVE,
        REPLAY,
        STOPPAGE,
        OTHER;

        /** Whether match time passes in it. */
        public boolean showsMatch() {
            return this == LIVE || this == REPLAY;
        }
    }

    public Segment {
        if (to.compareTo(from) <= 0) {
            throw new IllegalArgumentException("segment must end (" + to + ") after it begins (" + from + ")");
        }
        if (kind.showsMatch() && !(speed > 0 && speed <= 4)) {
            throw new IllegalArgumentException("segment speed (" + speed + ") must lie in (0, 4]");
        }
    }

    /** A stretch that shows the match at its own speed. */
    public static Segment live(long fromMs, long toMs, long matchMs) {
        return new Segment(FilmTime.ofMs(fromMs), FilmTime.ofMs(toMs), Kind.LIVE, MatchTime.ofMs(matchMs), 1);
    }

    /** A stretch that shows the match again. */
    public static Segment replay(long fromMs, long toMs, long matchMs, double speed) {
        return new Segment(FilmTime.ofMs(fromMs), FilmTime.ofMs(toMs), Kind.REPLAY, MatchTime.ofMs(matchMs), speed);
    }

    /** A stretch that shows no match time. */
    public static Segment blank(long fromMs, long toMs, Kind kind) {
        return new Segment(FilmTime.ofMs(fromMs), FilmTime.ofMs(toMs), kind, MatchTime.ZERO, 1);
    }

    /** Whether a film moment lies in it; its end does not. */
    public boolean contains(FilmTime f) {
        return f.compareTo(from) >= 0 && f.compareTo(to) < 0;
    }

    /** The match moment shown at {@code f}: at + speed (f - from). */
    public MatchTime matchTime(FilmTime f) {
        return at.plus(Math.round(speed * (f.ms() - from.ms())));
    }

    /** First match moment after this segment. */
    public MatchTime matchEnd() {
        return matchTime(to);
    }

    /** Whether it shows a match moment. */
    public boolean covers(MatchTime t) {
        return kind.showsMatch() && t.compareTo(at) >= 0 && t.compareTo(matchEnd()) < 0;
    }

    /** The film moment that shows {@code t}; only meaningful where {@link #covers} holds. */
    public FilmTime filmTime(MatchTime t) {
        return FilmTime.ofMs(Math.min(from.ms() + Math.round(t.since(at) / speed), to.ms() - 1));
    }
}
