package farglass.bench.clip;

import farglass.film.FilmException;
import farglass.film.Mp4Writer;
import farglass.time.ClockMap;
import farglass.time.FilmTime;
import farglass.time.Segment;
import java.awt.AlphaComposite;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;

/** One clip: what the film shows when, how it is filmed and coded, and what its graphic says. */
final class Broadcast {
    private static final int[][] SIZES = {{640, 360}, {854, 480}, {1280, 720}, {1920, 1080}};
    private static final double[] RATES = {24, 25, 30_000 / 1001.0, 30, 50, 60};
    private static final String[][] NAMES = {
        {"KELLIVAR", "TOLENDT"}, {"FASTREL", "MARROWEN"}, {"A. Kellivar", "J. Fastrel"}, {"TOLENDT B.", "MARROWEN C."}
    };
    private static final int[] POINTS = {2, 2, 3, 4};
    private static final long FADE_MS = 400;
    /** What is shown for less before the graphic is hidden cannot be read. */
    private static final long SOON_MS = 700;

    final Graphic graphic;
    final Effects effects;
    final ClockMap map;
    final boolean down;
    final int width;
    final int height;
    final double rate;
    private final boolean variable;
    private final int bitrate;
    private final long lengthMs;
    private final String[] names;
    private final List<Long> freezes = new ArrayList<>();
    private final long durationMs;
    private String drawnSays = "";
    private BufferedImage drawn;
    private int drawnTop;
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

    Broadcast(Faces faces, Random random) {
        int[] size = SIZES[random.nextInt(SIZES.length)];
        width = size[0];
        height = size[1];
        rate = RATES[random.nextInt(RATES.length)];
        bitrate = (int) (300_000 * Math.pow(8_000_000 / 300_000.0, random.nextDouble()) * width * height / 2_073_600.0)
                + 150_000;
        down = random.nextInt(4) > 0;
        lengthMs = 60_000L * (4 + random.nextInt(7));
        names = NAMES[random.nextInt(NAMES.length)];
        graphic = Graphic.draw(width, height, faces, random);
        effects = Effects.draw(random);
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
        // last, so that older clips keep all else
        variable = random.nextInt(4) == 0;
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
            Segment soon = map.at(FilmTime.ofMs(ms + SOON_MS)).orElse(s);
            boolean hidden = soon.kind() == Segment.Kind.REPLAY;
            scored.add(new Scored(
                    ms,
                    hidden ? Math.min(ms, soon.from().ms()) : ms,
                    hidden ? soon.to().ms() : ms,
                    who,
                    column,
                    numbers[who][column]));
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

    /** What it is told of under. */
    List<String> styles() {
        String size = graphic.size() < 20 ? "up to 19" : graphic.size() < 30 ? "20 to 29" : "from 30";
        return List.of(
                "all",
                graphic.arrangement().words,
                graphic.groundName(),
                graphic.sevenSegment() ? "seven segments" : "typefaces",
                "letters " + size + " pixels",
                variable ? "variable rate" : "even rate");
    }

    String words() {
        return String.format(
                Locale.ROOT,
                "%s, %s, %d columns, %d px %s%s, %dx%d at %.2f%s %d kbit/s %s",
                graphic.arrangement().words,
                graphic.groundName(),
                graphic.columns(),
                graphic.size(),
                graphic.face().name(),
                graphic.sevenSegment() ? ", seven segments" : "",
                width,
                height,
                rate,
                variable ? " (variable)" : "",
                bitrate / 1000,
                effects.words());
    }

    /** @param camera pictures of real film, cut and moved about */
    void write(Path target, List<BufferedImage> camera) throws FilmException, IOException {
        int frames = (int) (durationMs * rate / 1000);
        new Mp4Writer(width, height, rate, bitrate, (int) (2 * rate))
                .write(target, frames, (image, i) -> paint(image, moment(i), camera), x -> {}, () -> false);
        if (variable) {
            VariableRate.spread(target);
        }
    }

    /** Film moment of a picture. */
    private long moment(int picture) {
        double even = picture * 1000 / rate;
        return variable ? Math.min(durationMs - 1, VariableRate.moved(even)) : Math.round(even);
    }

    /** Lines of an interlaced film are of two moments. */
    private void paint(BufferedImage image, long ms, List<BufferedImage> camera) {
        picture(image, ms, camera);
        if (effects.interlaced()) {
            BufferedImage later = new BufferedImage(width, height, image.getType());
            picture(later, Math.min(durationMs - 1, ms + Math.round(500 / rate)), camera);
            Graphics2D g = image.createGraphics();
            for (int y = 1; y < height; y += 2) {
                g.drawImage(later, 0, y, width, y + 1, 0, y, width, y + 1, null);
            }
            g.dispose();
        }
    }

    private void picture(BufferedImage image, long ms, List<BufferedImage> camera) {
        Segment s = map.at(FilmTime.ofMs(ms)).orElseThrow();
        int shot = map.segments().indexOf(s);
        long shown = ms;
        for (long f : freezes) {
            shown = ms >= f && ms < f + 2500 ? f : shown;
        }
        Graphics2D g = image.createGraphics();
        camera(g, camera, shown, shot);
        long since = ms - s.from().ms();
        boolean cut = shot > 0 && s.kind() != Segment.Kind.STOPPAGE;
        if (cut && since < effects.dissolveMs()) {
            g.setComposite(
                    AlphaComposite.getInstance(AlphaComposite.SRC_OVER, 1 - (float) since / effects.dissolveMs()));
            camera(g, camera, shown, shot - 1);
            g.setComposite(AlphaComposite.SrcOver);
        }
        effects.over(g, ms, cut ? since : Long.MAX_VALUE, width, height, camera.get((int) (ms / 40 % camera.size())));
        if (s.kind() != Segment.Kind.REPLAY) {
            long match = matchAt(s, shown(s, ms));
            long seconds = down ? (lengthMs - match + 999) / 1000 : match / 1000;
            boolean hiddenBefore = shot > 0 && map.segments().get(shot - 1).kind() == Segment.Kind.REPLAY;
            boolean hiddenAfter = shot + 1 < map.segments().size()
                    && map.segments().get(shot + 1).kind() == Segment.Kind.REPLAY;
            float seen = effects.seen(
                    hiddenBefore ? since : Long.MAX_VALUE, hiddenAfter ? s.to().ms() - ms : Long.MAX_VALUE);
            g.setComposite(AlphaComposite.getInstance(AlphaComposite.SRC_OVER, seen));
            BufferedImage shows = graphic(ms, Graphic.clock(seconds));
            g.drawImage(shows, 0, drawnTop, null);
        }
        g.dispose();
    }

    /** Drawn anew when what it says changes. */
    private BufferedImage graphic(long ms, String clock) {
        boolean moved = effects.moves() && ms > durationMs / 2;
        int[][] numbers = numbers(ms);
        String says = moved + clock + Arrays.deepToString(numbers);
        if (!says.equals(drawnSays)) {
            Graphic at = moved ? graphic.moved(width, height) : graphic;
            drawnTop = at.top();
            drawn = at.drawn(width, height, clock, numbers, names)
                    .getSubimage(0, drawnTop, width, at.bottom(height) - drawnTop);
            drawnSays = says;
        }
        return drawn;
    }

    /** Another stretch of the same camera film for every piece, from a camera that moves. */
    private void camera(Graphics2D g, List<BufferedImage> camera, long shown, int shot) {
        BufferedImage picture = camera.get((int) ((shown / 40 + 97L * shot) % camera.size()));
        double near = 1.15 + 0.1 * Math.sin(shot);
        int dx = (int) ((near - 1) * width / 2 * (1 + Math.sin(shown / 1900.0 + shot)));
        int dy = (int) ((near - 1) * height / 2 * (1 + Math.cos(shown / 2700.0)));
        g.drawImage(picture, -dx, -dy, (int) (near * width), (int) (near * height), null);
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
