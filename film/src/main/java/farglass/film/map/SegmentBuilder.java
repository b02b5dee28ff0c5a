package farglass.film.map;

import farglass.film.map.ClockRuns.Run;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Makes segments of the stretches in which the clock runs and of what lies between them: a clock that stands is a
 * stoppage, a hidden one a replay.
 *
 * <p>The clock stops somewhere within the second that it shows last. By how long the film goes on is known exactly (the
 * differences of film and match time before and after); where within that second is taken from the largest change of
 * the picture there, since a stop is mostly followed by a cut or a sudden change of scene.
 */
final class SegmentBuilder {
    /** One hidden for less, with no change of shot by it, is hard to read before what moves behind it. */
    private static final long SURELY_MS = 3000;

    private static final long SHOT_BY_MS = 500;
    /** Film and clock disagree by less: no stoppage, no cut. */
    private static final double LOST_MS = 300;
    /** A change of picture this many times the usual one marks the moment of a stop. */
    private static final double MARKED = 3;

    /** The clock may become unreadable so long before a replay begins. */
    private static final long SHOT_AFTER_MS = 1500;
    /** Nothing shorter is a segment of its own. */
    private static final long SLIVER_MS = 100;
    /** A clock that shows one reading for longer after it ran stands. */
    private static final long STANDS_MS = 500;
    /** A run may lose its last seconds to the reader. */
    private static final long LOST_END_MS = 6000;

    private final FilmScan scan;
    private final ClockTrack track;
    private final List<Run> runs;
    private final long duration;
    private final long length;
    private final List<long[]> hidden = new ArrayList<>();
    private final List<Segment> segments = new ArrayList<>();
    private final List<long[]> replays = new ArrayList<>();
    private long at;
    private long lived;

    SegmentBuilder(FilmScan scan, ClockTrack track, List<Run> runs, long duration, long length) {
        this.scan = scan;
        this.track = track;
        this.runs = runs;
        this.duration = duration;
        this.length = length;
        findHidden();
    }

    /** Film stretches without a readable clock, [from, to) in ms, long enough to mean something. */
    private void findHidden() {
        int from = -1;
        for (int i = 0; i <= scan.ms().length; i++) {
            boolean none = i < scan.ms().length && track.at(i) < 0;
            if (none && from < 0) {
                from = i;
            } else if (!none && from >= 0) {
                long to = i < scan.ms().length ? scan.ms()[i] : duration;
                long begin = shotNear(scan.ms()[from], to);
                if (to - begin >= ClockTrack.HIDDEN_MS && (to - begin >= SURELY_MS || shotBy(begin) || shotBy(to))) {
                    hidden.add(new long[] {begin, to});
                }
                from = -1;
            }
        }
    }

    private boolean shotBy(long ms) {
        return scan.shots().stream().anyMatch(i -> Math.abs(scan.ms()[i] - ms) <= SHOT_BY_MS);
    }

    /** A replay begins with a change of shot: one soon after the clock was lost is where it begins. */
    private long shotNear(long lost, long to) {
        return scan.shots().stream()
                .map(i -> scan.ms()[i])
                .filter(f -> f >= lost && f <= Math.min(lost + SHOT_AFTER_MS, to))
                .findFirst()
                .orElse(lost);
    }

    List<MapProposal.Part> parts() {
        Run first = runs.get(0);
        // a clock first seen running in its first seconds began to run before the eyes of the film
        long begins = first.firstShownMs() <= 1000 ? Math.round(first.offsetMs()) : scan.ms()[first.from()];
        blank(begins < SLIVER_MS ? 0 : begins, Segment.Kind.OTHER);
        for (int i = 0; i < runs.size(); i++) {
            Run run = runs.get(i);
            Run next = i + 1 < runs.size() ? runs.get(i + 1) : null;
            if (next == null) {
                finish(run);
            } else {
                between(run, next);
            }
        }
        return weighed();
    }

    private void between(Run a, Run b) {
        double lost = b.offsetMs() - a.offsetMs();
        long from = scan.ms()[a.to()];
        long to = scan.ms()[b.from()];
        if (lost > LOST_MS) {
            long stop = stopMoment(a, b);
            live(a, Math.round(stop + a.offsetMs()));
            standing(Math.round(stop + b.offsetMs()), stop);
            return;
        }
        // the clock has jumped on: film is missing, or the broadcast showed something else while it ran
        long[] covered = hidden.stream()
                .filter(h -> h[0] >= from - 100 && h[1] <= to + 100)
                .findFirst()
                .orElse(null);
        if (covered != null) {
            live(a, covered[0]);
            replay(covered[1], Math.round(covered[0] - a.offsetMs()));
        } else {
            long cut = scan.shots().stream()
                    .map(i -> scan.ms()[i])
                    .filter(f -> f > from - 1100 && f <= to + 100)
                    .min(Comparator.comparingLong(f -> Math.abs(f - to)))
                    .orElse(to);
            live(a, cut);
        }
    }

    private void finish(Run run) {
        boolean ranOut = track.down() && run.lastShownMs() >= length - 1000 && !standsAfter(run, 1);
        if (scan.ms()[run.to()] >= duration - 400 && !ranOut) {
            live(run, duration);
            return;
        }
        long stop = ranOut ? length : Math.min(stopMoment(run, null), track.down() ? length : Long.MAX_VALUE);
        live(run, Math.round(stop + run.offsetMs()));
        standing(duration, stop);
    }

    /** Whether the clock goes on to show so many seconds after the run. */
    private boolean standsAfter(Run run, int seconds) {
        long stands = 0;
        for (int i = run.to() + 1; i < scan.ms().length - 1; i++) {
            stands += track.at(i) == seconds ? scan.ms()[i + 1] - scan.ms()[i] : 0;
        }
        return stands > STANDS_MS;
    }

    /** The match moment of a stop, somewhere in the second shown last; {@code b} is what comes after, or null. */
    private long stopMoment(Run a, Run b) {
        long shown = lastShown(a, b == null ? scan.ms().length : b.from());
        long marked = largestChange(shown + a.offsetMs(), shown + 1000 + a.offsetMs());
        if (marked >= 0) {
            return Math.max(shown, Math.round(marked - a.offsetMs()));
        }
        long resumed = b == null ? -1 : largestChange(shown + b.offsetMs(), shown + 1000 + b.offsetMs());
        return resumed >= 0 ? Math.max(shown, Math.round(resumed - b.offsetMs())) : shown + 500;
    }

    /**
     * The match moment from which on the clock stands after a run: what it shows longest, where that follows the run.
     */
    private long lastShown(Run a, int until) {
        Map<Integer, Integer> frames = new HashMap<>();
        for (int i = a.to() + 1; i < until; i++) {
            if (track.at(i) >= 0) {
                frames.merge(track.at(i), 1, Integer::sum);
            }
        }
        long standing = frames.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(e -> ClockRuns.shownFrom(e.getKey(), track.down(), length))
                .orElse(a.lastShownMs());
        boolean follows = standing > a.lastShownMs()
                && standing <= a.lastShownMs() + LOST_END_MS
                && standing + a.offsetMs() < (until < scan.ms().length ? scan.ms()[until] : duration);
        return follows ? standing : a.lastShownMs();
    }

    /** Film moment of the largest change of picture in [from, to], or -1 when none stands out. */
    private long largestChange(double from, double to) {
        int best = -1;
        double sum = 0;
        int n = 0;
        for (int i = 1; i < scan.ms().length; i++) {
            if (scan.ms()[i] >= from - 40 && scan.ms()[i] <= to + 40) {
                best = best < 0 || scan.change()[i] > scan.change()[best] ? i : best;
                sum += scan.change()[i];
                n++;
            }
        }
        boolean standsOut = best >= 0 && n > 2 && scan.change()[best] > MARKED * (sum - scan.change()[best]) / (n - 1);
        return standsOut ? scan.ms()[best] : -1;
    }

    /** Live film of a run up to a film moment, parted where the clock was hidden meanwhile. */
    private void live(Run run, long to) {
        for (long[] h : hidden) {
            if (h[0] > at && h[1] < to) {
                liveOnly(run, h[0]);
                replay(h[1], Math.round(h[0] - run.offsetMs()));
            }
        }
        liveOnly(run, to);
    }

    private void liveOnly(Run run, long to) {
        long end = Math.min(to, duration);
        if (end > at) {
            // no match moment is lived twice: neither by rounding nor when the clock was set back
            long match = Math.max(lived, Math.round(at - run.offsetMs()));
            segments.add(Segment.live(at, end, match));
            lived = match + end - at;
            at = end;
        }
    }

    private void blank(long to, Segment.Kind kind) {
        long end = Math.min(to, duration);
        Segment last = segments.isEmpty() ? null : segments.get(segments.size() - 1);
        if (end > at && end - at < SLIVER_MS && last != null && last.kind() != Segment.Kind.LIVE) {
            segments.set(
                    segments.size() - 1,
                    new Segment(last.from(), FilmTime.ofMs(end), last.kind(), last.at(), last.speed()));
            at = end;
        } else if (end > at) {
            segments.add(Segment.blank(at, end, kind));
            at = end;
        }
    }

    private void replay(long to, long stopMs) {
        if (to > at) {
            replays.add(new long[] {segments.size(), stopMs});
            segments.add(Segment.replay(at, to, 0, 1));
            at = to;
        }
    }

    /** Film with a standing or hidden clock until a film moment. */
    private void standing(long to, long stopMs) {
        for (long[] h : hidden) {
            long begin = Math.max(h[0], at);
            long end = Math.min(h[1], to);
            if (end - begin >= ClockTrack.HIDDEN_MS) {
                blank(begin, Segment.Kind.STOPPAGE);
                replay(end, stopMs);
            }
        }
        blank(to, Segment.Kind.STOPPAGE);
    }

    /** Places the replays in match time and says of each segment how well it is borne out. */
    private List<MapProposal.Part> weighed() {
        List<Segment> live =
                segments.stream().filter(s -> s.kind() == Segment.Kind.LIVE).toList();
        long end = live.stream().mapToLong(s -> s.matchEnd().ms()).max().orElse(0);
        ReplayMoment moments = new ReplayMoment(scan, live, end);
        List<MapProposal.Part> parts = new ArrayList<>();
        for (int i = 0; i < segments.size(); i++) {
            Segment s = segments.get(i);
            int index = i;
            long[] replay =
                    replays.stream().filter(r -> r[0] == index).findFirst().orElse(null);
            if (replay == null) {
                parts.add(new MapProposal.Part(s, borneOut(s)));
            } else {
                ReplayMoment.Found f = moments.find(s.from().ms(), s.to().ms(), replay[1]);
                Segment placed = new Segment(
                        FilmTime.ofMs(s.from().ms()),
                        FilmTime.ofMs(s.to().ms()),
                        Segment.Kind.REPLAY,
                        MatchTime.ofMs(f.matchMs()),
                        f.speed());
                parts.add(new MapProposal.Part(placed, Math.max(GUESS, f.correlation())));
            }
        }
        return parts;
    }

    private static final double GUESS = 0.1;

    /**
     * Share of the frames with a readable clock whose clock says what the segment says; less when fewer than half of
     * its frames have one.
     */
    private double borneOut(Segment s) {
        int n = 0;
        int read = 0;
        int right = 0;
        int standing = -1;
        for (int i = 0; i < scan.ms().length; i++) {
            long f = scan.ms()[i];
            if (f < s.from().ms() || f >= s.to().ms()) {
                continue;
            }
            n++;
            int shown = track.at(i);
            if (shown < 0) {
                continue;
            }
            read++;
            if (s.kind() == Segment.Kind.LIVE) {
                double expected = s.at().ms() + f - s.from().ms();
                long q = ClockRuns.shownFrom(shown, track.down(), length);
                right += expected >= q - 100 && expected < q + 1100 ? 1 : 0;
            } else {
                standing = standing < 0 ? shown : standing;
                right += shown == standing ? 1 : 0;
            }
        }
        return read == 0 ? GUESS : Math.max(GUESS, (double) right / read * Math.min(1, 2.0 * read / n));
    }
}
