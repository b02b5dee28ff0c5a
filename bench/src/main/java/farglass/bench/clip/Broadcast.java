package farglass.bench.clip;

import farglass.film.FilmException;
import farglass.film.Mp4Writer;
import farglass.time.ClockMap;
import farglass.time.FilmTime;
import farglass.time.Segment;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** One clip: what the film shows when, how it is filmed and coded, and what its graphic says. */
final class Broadcast {
    private static final int[][] SIZES = {{640, 360}, {854, 480}, {1280, 720}, {1920, 1080}};
    private static final double[] RATES = {24, 25, 30_000 / 1001.0, 30, 50, 60};
    private static final String[][] NAMES = {
        {"KELLIVAR", "TOLENDT"}, {"FASTREL", "MARROWEN"}, {"A. Kellivar", "J. Fastrel"}
    };
    private static final int[] POINTS = {2, 2, 3, 4};
    private static final long FADE_MS = 400;

    final Graphic graphic;
    final ClockMap map;
    final boolean down;
    final int width;
    final int height;
    final double rate;
    private final int bitrate;
    private final long lengthMs;
    private final String[] names;
    private final List<Long> freezes = new ArrayList<>();
    private final long durationMs;
    /** Changes of the score, in film order. */
    final List<Scored> scored = new ArrayList<>();

    /**
     * A number of the graphic changes.
     *
     * @param ms film moment
     * @param from film moment from which on the graphic was hidden; the same when it was not
     * @param until film moment at which it was shown again; the same when it was not hidden
     */
    record Scored(long ms, long from, long until, int athlete, int column, int after) {}

    Broadcast(Random random) {
        int[] size = SIZES[random.nextInt(SIZES.length)];
        width = size[0];
        height = size[1];
        rate = RATES[random.nextInt(RATES.length)];
        bitrate = (int) (300_000 * Math.pow(8_000_000 / 300_000.0, random.nextDouble()) * width * height / 2_073_600.0)
                + 150_000;
        down = random.nextInt(4) > 0;
        lengthMs = 60_000L * (4 + random.nextInt(7));
        names = NAMES[random.nextInt(NAMES.length)];
        graphic = Graphic.draw(width, height, random);
        List<Segment> parts = new ArrayList<>();
        long film = 2000L + random.nextInt(4000);
        parts.add(Segment.blank(0, film, Segment.Kind.OTHER));
        long match = 0;
        int pieces = 3 + random.nextInt(2);
        for (int i = 0; i < pieces; i++) {
            long live = 9000L + random.nextInt(9000);
            parts.add(Segment.live(film, film + live, match));
            if (random.nextInt(3) == 0) {
                freezes.add(film + live / 3);
            }
            film += live;
            match += live;
            if (i == pieces - 1) {
                break;
            }
            switch (random.nextInt(3)) {
                case 0 -> {
                    long stands = 4000L + random.nextInt(5000);
                    parts.add(Segment.blank(film, film + stands, Segment.Kind.STOPPAGE));
                    film += stands;
                }
                case 1 -> {
                    long hidden = 4000L + random.nextInt(4000);
                    parts.add(Segment.replay(film, film + hidden, Math.max(0, match - hidden), 1));
                    film += hidden;
                    match += hidden;
                }
                default -> match += 10_000 + random.nextInt(30_000);
            }
        }
        durationMs = film;
        map = ClockMap.of(parts);
        score(random);
    }

    private void score(Random random) {
        int[][] numbers = new int[2][3];
        long ms = parts().get(0).to().ms() + 2500 + random.nextInt(4000);
        while (ms < durationMs - 2500) {
            int who = random.nextInt(2);
            int column = random.nextInt(graphic.columns() + 1) % graphic.columns();
            numbers[who][column] += column == 0 ? POINTS[random.nextInt(POINTS.length)] : 1;
            if (column == 2 && numbers[who][2] > 3) {
                return;
            }
            Segment s = map.at(FilmTime.ofMs(ms)).orElseThrow();
            boolean hidden = s.kind() == Segment.Kind.REPLAY;
            scored.add(new Scored(
                    ms, hidden ? s.from().ms() : ms, hidden ? s.to().ms() : ms, who, column, numbers[who][column]));
            ms += 4000 + random.nextInt(9000);
        }
    }

    private List<Segment> parts() {
        return map.segments();
    }

    private int[][] numbers(long ms) {
        int[][] numbers = new int[2][3];
        for (Scored x : scored) {
            if (x.ms() <= ms) {
                numbers[x.athlete()][x.column()] = x.after();
            }
        }
        return numbers;
    }

    List<String> names() {
        return List.of(names);
    }

    /** @param camera pictures of real film, cut and moved about */
    void write(Path target, List<BufferedImage> camera) throws FilmException {
        int frames = (int) (durationMs * rate / 1000);
        new Mp4Writer(width, height, rate, bitrate, (int) (2 * rate))
                .write(
                        target,
                        frames,
                        (image, i) -> paint(image, Math.round(i * 1000 / rate), camera),
                        x -> {},
                        () -> false);
    }

    private void paint(BufferedImage image, long ms, List<BufferedImage> camera) {
        Segment s = map.at(FilmTime.ofMs(ms)).orElseThrow();
        int shot = map.segments().indexOf(s);
        long shown = ms;
        for (long f : freezes) {
            shown = ms >= f && ms < f + 2500 ? f : shown;
        }
        // another stretch of the same camera film for every piece, from a camera that moves
        int at = (int) ((shown / 40 + 97L * shot) % camera.size());
        BufferedImage picture = camera.get(at);
        double near = 1.15 + 0.1 * Math.sin(shot);
        int dx = (int) ((near - 1) * width / 2 * (1 + Math.sin(shown / 1900.0 + shot)));
        int dy = (int) ((near - 1) * height / 2 * (1 + Math.cos(shown / 2700.0)));
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        g.drawImage(picture, -dx, -dy, (int) (near * width), (int) (near * height), null);
        g.dispose();
        if (s.kind() != Segment.Kind.REPLAY) {
            long match = matchAt(s, shown(s, ms));
            long seconds = down ? (lengthMs - match + 999) / 1000 : match / 1000;
            graphic.paint(image, Graphic.clock(seconds), numbers(ms), names);
        }
    }

    private static long shown(Segment s, long ms) {
        return s.kind() == Segment.Kind.LIVE ? ms : s.from().ms();
    }

    /** What the clock stands at: before the start at nought, in a stoppage where it stopped. */
    private long matchAt(Segment s, long ms) {
        if (s.kind() == Segment.Kind.LIVE) {
            return s.matchTime(FilmTime.ofMs(ms)).ms();
        }
        long match = 0;
        for (Segment before : map.segments()) {
            if (before.kind() == Segment.Kind.LIVE
                    && before.to().ms() <= s.from().ms()) {
                match = before.matchEnd().ms();
            }
        }
        return match;
    }

    /**
     * Whether a proposed map says the same of a film moment: the kind and, where the match runs, its time within 1 s.
     */
    boolean right(ClockMap proposed, long ms) {
        FilmTime f = FilmTime.ofMs(ms);
        Segment truth = map.at(f).orElseThrow();
        Optional<Segment> found = proposed.at(f);
        if (found.isEmpty() || found.get().kind() != truth.kind()) {
            return false;
        }
        return truth.kind() != Segment.Kind.LIVE
                || Math.abs(found.get().matchTime(f).ms() - truth.matchTime(f).ms()) <= 1000;
    }

    long durationMs() {
        return durationMs;
    }

    /** Moments this near a change are not asked about. */
    boolean settled(long ms) {
        return map.segments().stream()
                .allMatch(s -> Math.abs(s.from().ms() - ms) > FADE_MS && Math.abs(s.to().ms() - ms) > FADE_MS);
    }
}
