package farglass.film.score;

import farglass.film.Box;
import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.GrayPicture;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** Small pictures of every number of a score graphic, taken while a film is gone through. */
public final class ScoreCrops {
    /** Time between pictures, ms: a change of the score is found this exactly. */
    static final long STEP_MS = 500;
    /** Height that the network reads, pixels: no more is kept, so that an hour of film takes about 100 MB. */
    private static final int HEIGHT = 48;

    /** Share of a line's height that is left out above and below: measured, 97 % of lone digits are read then. */
    private static final double MARGIN = 0.1;
    /** Where a picture begins and ends, in heights of the line from the middle of one digit. */
    private static final double LEFT = -0.675;

    private static final double RIGHT = 1.1;
    /** Where two digits round that middle end. */
    private static final double WIDE = 0.675;
    /** Where one digit ends at most. */
    private static final double NARROW = 0.425;

    /** Where the next number begins, from the middle of its first digit. */
    private static final double NEXT = 0.35;

    private final List<Box> boxes = new ArrayList<>();
    private final List<Double> halves = new ArrayList<>();
    private final List<Double> rights = new ArrayList<>();
    private final List<Long> ms = new ArrayList<>();
    private final List<List<GrayPicture>> pictures = new ArrayList<>();

    /**
     * The pictures that were taken so far.
     *
     * @param ms when
     * @param pictures by number: of each column the first athlete's, then the second's
     */
    public record Taken(List<Long> ms, List<List<GrayPicture>> pictures) {
        public static final Taken NOTHING = new Taken(List.of(), List.of());

        public Taken {
            ms = List.copyOf(ms);
            pictures = pictures.stream().map(List::copyOf).toList();
        }
    }

    /** @param before pictures that were taken already */
    public ScoreCrops(ScoreGraphic graphic, Taken before) {
        for (ScoreGraphic.Column c : graphic.columns()) {
            for (Box b : List.of(c.first(), c.second())) {
                boxes.add(close(b));
                halves.add(Math.min(NARROW, b.width() / (2.0 * b.height())));
                rights.add(right(b, graphic));
            }
        }
        for (int i = 0; i < boxes.size(); i++) {
            pictures.add(new ArrayList<>(
                    before.ms().isEmpty() ? List.of() : before.pictures().get(i)));
        }
        ms.addAll(before.ms());
    }

    /** Where a second digit ends, before the next number in its row; in heights of the line. */
    private static double right(Box b, ScoreGraphic graphic) {
        return graphic.columns().stream()
                .flatMap(c -> Stream.of(c.first(), c.second()))
                .filter(o -> Math.abs(o.y() - b.y()) < NARROW * b.height() && o.x() > b.x())
                .mapToDouble(o -> (o.x() + o.width() / 2.0 - b.x() - b.width() / 2.0) / b.height() - NEXT)
                .filter(r -> r > WIDE)
                .reduce(RIGHT, Math::min);
    }

    public Taken taken() {
        return new Taken(ms, pictures);
    }

    /** Lines are found with a margin above and below, in which the edge of the graphic disturbs a lone digit. */
    private static Box close(Box b) {
        int margin = (int) Math.round(MARGIN * b.height());
        int width = (int) Math.round((RIGHT - LEFT) * b.height());
        int x = (int) Math.max(0, Math.round(b.x() + b.width() / 2.0 + LEFT * b.height()));
        return new Box(x, b.y() + margin, Math.max(1, width), Math.max(1, b.height() - 2 * margin));
    }

    /** Where one digit stands, without the edges beside it. */
    GrayPicture middle(int column, int athlete, int step) {
        double half = halves.get(2 * column + athlete);
        return part(picture(column, athlete, step), -half, half);
    }

    /** Where two digits stand round the middle of one. */
    GrayPicture wide(int column, int athlete, int step) {
        return part(picture(column, athlete, step), -WIDE, WIDE);
    }

    /** Where two digits stand that begin where one begins. */
    GrayPicture longer(int column, int athlete, int step) {
        return part(
                picture(column, athlete, step), -halves.get(2 * column + athlete), rights.get(2 * column + athlete));
    }

    static GrayPicture part(GrayPicture p, double from, double to) {
        return p.across((from - LEFT) / (RIGHT - LEFT), (to - LEFT) / (RIGHT - LEFT));
    }

    /** Takes pictures of a frame, where enough time has passed since the last. */
    public void take(FilmFile film, int frame, long at) throws FilmException {
        if (boxes.isEmpty() || (!ms.isEmpty() && at - ms.get(ms.size() - 1) < STEP_MS)) {
            return;
        }
        ms.add(at);
        for (int i = 0; i < boxes.size(); i++) {
            pictures.get(i).add(small(film.gray(frame, boxes.get(i))));
        }
    }

    int size() {
        return ms.size();
    }

    long ms(int step) {
        return ms.get(step);
    }

    /** @param athlete 0 for the first, 1 for the second */
    GrayPicture picture(int column, int athlete, int step) {
        return pictures.get(2 * column + athlete).get(step);
    }

    /** Larger pictures made as high as the network reads them, each pixel the mean of those it covers. */
    static GrayPicture small(GrayPicture p) {
        if (p.height() <= HEIGHT) {
            return p;
        }
        int width = Math.max(1, Math.round(p.width() * HEIGHT / (float) p.height()));
        byte[] pixels = new byte[width * HEIGHT];
        for (int y = 0; y < HEIGHT; y++) {
            int top = y * p.height() / HEIGHT;
            int bottom = Math.max(top + 1, (y + 1) * p.height() / HEIGHT);
            for (int x = 0; x < width; x++) {
                int left = x * p.width() / width;
                int right = Math.max(left + 1, (x + 1) * p.width() / width);
                int sum = 0;
                for (int v = top; v < bottom; v++) {
                    for (int u = left; u < right; u++) {
                        sum += p.at(u, v);
                    }
                }
                pixels[y * width + x] = (byte) (sum / ((bottom - top) * (right - left)));
            }
        }
        return new GrayPicture(width, HEIGHT, pixels);
    }
}
