package farglass.film.studio;

import farglass.lexicon.Lexicon;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.match.Side;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.time.Clock;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import farglass.time.Segment;
import farglass.type.Typeface;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.List;

/** What a camera sees of a record at any film time. */
final class Scene {
    private static final long BLEND_MS = 450;
    private static final long CUT_EVERY_MS = 25_000;
    private static final double SWAY = 0.018;
    private static final double LUNGE = 0.16;
    private static final Color BAR = new Color(0x1b2a34);
    private static final Color LETTERS = new Color(0xf4efe3);

    private final MatchRecord record;
    private final List<Segment> segments;
    private final List<Span> spans;
    private final Poses poses = new Poses();
    private final Lettering letters = new Lettering(Typeface.CONDENSED_SEMIBOLD);
    private final Color[] colours;

    Scene(MatchRecord record, List<Segment> segments, Lexicon lexicon) {
        this.record = record;
        this.segments = segments;
        // the whole match is staged here, whatever a film of it shows
        this.spans = PositionLine.of(record.withFilms(List.of()), lexicon).spans();
        this.colours = new Color[] {colour(Corner.A, "#e8e4d8"), colour(Corner.B, "#2f5fa8")};
    }

    private Color colour(Corner c, String fallback) {
        String chip = record.athlete(c).colour();
        return Color.decode(chip == null ? fallback : chip);
    }

    void draw(BufferedImage image, FilmTime f) {
        Segment segment =
                segments.stream().filter(s -> s.contains(f)).findFirst().orElse(segments.get(segments.size() - 1));
        boolean replay = segment.kind() == Segment.Kind.REPLAY;
        Graphics2D g = image.createGraphics();
        try {
            boolean second = replay || f.ms() / CUT_EVERY_MS % 2 == 1;
            Camera camera = second
                    ? new Camera(-62, 30, image.getWidth(), image.getHeight())
                    : new Camera(14, 17, image.getWidth(), image.getHeight());
            Painter painter = new Painter(g, camera);
            painter.mat(image.getWidth(), image.getHeight());
            Poses.Pair pair = segment.kind().showsMatch() ? staged(segment.matchTime(f)) : waiting(f);
            painter.figures(pair.first(), colours[0], pair.second(), colours[1]);
            if (!replay) {
                bar(g, image.getWidth(), image.getHeight(), shownTime(segment, f));
            }
        } finally {
            g.dispose();
        }
    }

    /** Match time on the clock: running while live, standing where it stopped otherwise. */
    private MatchTime shownTime(Segment segment, FilmTime f) {
        if (segment.kind() == Segment.Kind.LIVE) {
            return segment.matchTime(f);
        }
        MatchTime last = MatchTime.ZERO;
        for (Segment s : segments) {
            if (s.kind() == Segment.Kind.LIVE && s.from().compareTo(f) < 0) {
                last = s.matchEnd();
            }
        }
        return last;
    }

    private Poses.Pair waiting(FilmTime f) {
        return swayed(poses.of("STD"), f.ms());
    }

    /** Athlete A first, athlete B second, on the way from one pose to the next, with the attempts that go on. */
    private Poses.Pair staged(MatchTime t) {
        int here = -1;
        for (int i = 0; i < spans.size(); i++) {
            if (spans.get(i).from().compareTo(t) <= 0) {
                here = i;
            }
        }
        if (here < 0) {
            return swayed(poses.of("STD"), t.ms());
        }
        Poses.Pair pair = posed(spans.get(here));
        long since = t.since(spans.get(here).from());
        if (here > 0 && since < BLEND_MS) {
            pair = posed(spans.get(here - 1)).towards(pair, ease(0.5 + 0.5 * since / BLEND_MS));
        } else if (here + 1 < spans.size() && spans.get(here + 1).from().since(t) < BLEND_MS) {
            double left = (double) spans.get(here + 1).from().since(t) / BLEND_MS;
            pair = pair.towards(posed(spans.get(here + 1)), ease(0.5 * (1 - left)));
        }
        return swayed(lunged(pair, t), t.ms());
    }

    private static double ease(double s) {
        return s * s * (3 - 2 * s);
    }

    private Poses.Pair posed(Span s) {
        Poses.Pair pair = poses.of(s.position().equals("LCK") ? lockPose(s) : s.position());
        if (s.side() == Side.RIGHT) {
            pair = pair.mirrored();
        }
        Corner first = s.guard() != null ? s.guard().other() : s.holder() != null ? s.holder() : Corner.A;
        return first == Corner.A ? pair : pair.swapped();
    }

    /** A lock from the back is drawn on the back; others as a joint lock. */
    private static String lockPose(Span s) {
        return s.place().equals("BCK") || s.place().equals("BTR") ? s.place() : "LCK";
    }

    /** Whoever attempts something drives at the other and comes back. */
    private Poses.Pair lunged(Poses.Pair pair, MatchTime t) {
        for (Tag tag : record.tags()) {
            if (tag instanceof Tag.Action a
                    && a.t().compareTo(t) <= 0
                    && a.end().compareTo(t) > 0) {
                double share = (double) t.since(a.t()) / a.end().since(a.t());
                double drive = Math.sin(Math.PI * share) * LUNGE;
                Body actor = a.by() == Corner.A ? pair.first() : pair.second();
                Body other = a.by() == Corner.A ? pair.second() : pair.first();
                Vec way = other.get(Body.Joint.HIP)
                        .minus(actor.get(Body.Joint.HIP))
                        .unit();
                Vec push = new Vec(way.x(), 0, way.z() + sideways(a)).times(drive);
                actor = actor.moved(push);
                other = other.moved(push.times(0.5));
                pair = a.by() == Corner.A ? new Poses.Pair(actor, other) : new Poses.Pair(other, actor);
            }
        }
        return pair;
    }

    private static double sideways(Tag.Action a) {
        if (a.firstSide() == Side.RIGHT) {
            return 0.6;
        }
        return a.firstSide() == Side.LEFT ? -0.6 : 0;
    }

    private static Poses.Pair swayed(Poses.Pair pair, long ms) {
        double a = Math.sin(ms / 420.0) * SWAY;
        double b = Math.cos(ms / 510.0) * SWAY;
        return new Poses.Pair(
                pair.first().moved(new Vec(a, 0, b)), pair.second().moved(new Vec(b, 0, -a)));
    }

    private void bar(Graphics2D g, int width, int height, MatchTime t) {
        double unit = height / 360.0;
        g.setColor(BAR);
        g.fillRect((int) (12 * unit), height - (int) (40 * unit), (int) (250 * unit), (int) (28 * unit));
        g.fillRect(width - (int) (98 * unit), height - (int) (40 * unit), (int) (86 * unit), (int) (28 * unit));
        g.setColor(LETTERS);
        double y = height - 19 * unit;
        String a = record.details().a().surname().toUpperCase(java.util.Locale.ROOT);
        String b = record.details().b().surname().toUpperCase(java.util.Locale.ROOT);
        letters.draw(g, a + " " + points(Corner.A, t), 22 * unit, y, 19 * unit);
        letters.draw(g, b + " " + points(Corner.B, t), 142 * unit, y, 19 * unit);
        String clock = Clock.countdown(record.details().lengthMs() - t.ms());
        letters.draw(g, clock, width - 84 * unit, height - 18 * unit, 24 * unit);
    }

    private int points(Corner who, MatchTime t) {
        int sum = 0;
        for (Tag tag : record.tags()) {
            if (tag instanceof Tag.Call c
                    && c.call() == CallKind.POINTS
                    && c.who() == who
                    && c.value() != null
                    && c.t().compareTo(t) <= 0) {
                sum += c.value();
            }
        }
        return sum;
    }
}
