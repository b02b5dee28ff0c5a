package farglass.film.map;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.Mp4Writer;
import farglass.film.score.ScoreChange;
import farglass.film.score.ScoreGraphic;
import farglass.film.score.ScoreKind;
import farglass.film.score.ScoreTrack;
import farglass.film.studio.Lettering;
import farglass.type.Typeface;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A graphic with points, advantages and penalties over a moving picture, hidden for a while, read off the film. */
class ScoreClipTest {
    private static final int WIDTH = 640;
    private static final int HEIGHT = 360;
    private static final int RATE = 25;
    private static final long LENGTH_MS = 42_000;
    private static final long HIDDEN_FROM = 24_000;
    private static final long HIDDEN_TO = 30_000;
    private static final Lettering LETTERS = new Lettering(Typeface.SANS_SEMIBOLD);

    private static final List<ScoreKind> COLUMNS = List.of(ScoreKind.POINTS, ScoreKind.ADVANTAGES, ScoreKind.PENALTIES);

    @TempDir
    Path folder;

    /** How the graphic is laid out: in two rows, in rows that move to the top, or on a card for each athlete. */
    private enum Laid {
        ROWS,
        MOVED,
        CARDS
    }

    /** A change that is drawn. */
    private record Drawn(long ms, int athlete, int column, int after) {}

    private static final List<Drawn> SCORE = List.of(
            new Drawn(6000, 0, 0, 2),
            new Drawn(10_500, 1, 1, 1),
            new Drawn(15_000, 0, 2, 1),
            new Drawn(19_000, 1, 0, 3),
            new Drawn(27_000, 0, 0, 6),
            new Drawn(35_000, 1, 1, 2));

    private static int number(int athlete, int column, long ms) {
        int n = 0;
        for (Drawn d : SCORE) {
            n = d.athlete() == athlete && d.column() == column && d.ms() <= ms ? d.after() : n;
        }
        return n;
    }

    private static void paint(BufferedImage image, int frame, Laid laid) {
        long ms = 1000L * frame / RATE;
        Graphics2D g = image.createGraphics();
        g.setColor(ms >= HIDDEN_FROM && ms < HIDDEN_TO ? new Color(120, 60, 40) : new Color(40, 90, 100));
        g.fillRect(0, 0, WIDTH, HEIGHT);
        g.setColor(new Color(190, 170, 120));
        int x = (int) (300 + 150 * Math.sin(ms / 900.0));
        g.fillOval(x, 140, 90, 120);
        g.fillRect(WIDTH - x, 20, 60, 40);
        if (ms < HIDDEN_FROM || ms >= HIDDEN_TO) {
            String[] names = {"A. KELLIVAR", "B. TOLENDT"};
            int up = laid == Laid.MOVED && ms >= HIDDEN_FROM ? 226 : 0;
            for (int athlete = 0; athlete < 2; athlete++) {
                if (laid == Laid.CARDS) {
                    card(g, names[athlete], athlete, ms);
                    continue;
                }
                cell(g, names[athlete], 24, 250 - up + 34 * athlete, 150);
                for (int c = 0; c < 3; c++) {
                    cell(g, Integer.toString(number(athlete, c, ms)), 180 + 36 * c, 250 - up + 34 * athlete, 30);
                }
            }
            long left = (240_000 - Math.max(0, ms - 2000) + 999) / 1000;
            boolean cards = laid == Laid.CARDS;
            String clock = String.format(Locale.ROOT, "%d:%02d", left / 60, left % 60);
            cell(g, clock, cards ? 285 : 24, cards ? 16 : 318 - up, 70);
        }
        g.dispose();
    }

    /** Name, points in large digits, and below them advantages and penalties each in a small cell of its own. */
    private static void card(Graphics2D g, String name, int athlete, long ms) {
        int x = athlete == 0 ? 40 : 440;
        cell(g, name, x, 16, 160);
        g.setColor(new Color(15, 20, 40));
        g.fillRect(x + 50, 50, 50, 56);
        g.setColor(Color.WHITE);
        LETTERS.draw(g, Integer.toString(number(athlete, 0, ms)), x + 60, 94, 46);
        cell(g, Integer.toString(number(athlete, 1, ms)), x + 20, 112, 30);
        cell(g, Integer.toString(number(athlete, 2, ms)), x + 110, 112, 30);
    }

    private static void cell(Graphics2D g, String text, int x, int y, int width) {
        g.setColor(new Color(15, 20, 40));
        g.fillRect(x, y, width, 30);
        g.setColor(Color.WHITE);
        LETTERS.draw(g, text, x + 7, y + 23, 22);
    }

    private MapProposal read(Laid laid) throws FilmException {
        Path film = folder.resolve("clip.mp4");
        int frames = (int) (LENGTH_MS * RATE / 1000);
        new Mp4Writer(WIDTH, HEIGHT, RATE, 700_000, 2 * RATE)
                .write(film, frames, (image, i) -> paint(image, i, laid), x -> {}, () -> false);
        try (FilmFile opened = FilmFile.open(film)) {
            return MapFinder.of(opened).find(x -> {}, () -> false);
        }
    }

    @ParameterizedTest
    @EnumSource(Laid.class)
    void everyChangeIsReadWithItsMomentAndKind(Laid laid) throws FilmException {
        MapProposal found = read(laid);
        ScoreTrack score = found.score();
        assertThat(score.kinds()).containsExactlyInAnyOrderElementsOf(COLUMNS);
        assertThat(score.graphic().names())
                .extracting(n -> n.text().replace(" ", ""))
                .containsExactly("A.KELLIVAR", "B.TOLENDT");
        assertThat(score.graphic().names())
                .extracting(ScoreGraphic.Name::confidence)
                .allMatch(c -> c > 0.5);
        assertThat(score.changes()).hasSize(SCORE.size());
        for (Drawn d : SCORE) {
            ScoreChange c = score.changes().stream()
                    .filter(x -> x.athlete() == d.athlete()
                            && score.kind(x) == COLUMNS.get(d.column())
                            && x.after() == d.after())
                    .findFirst()
                    .orElseThrow(() -> new AssertionError("not found: " + d));
            assertThat(d.ms()).isBetween(c.fromMs() - 100, c.ms() + 100);
            boolean unseen = d.ms() > HIDDEN_FROM && d.ms() < HIDDEN_TO;
            assertThat(c.hidden()).as(d.toString()).isEqualTo(unseen);
            assertThat(c.confidence()).isGreaterThan(0.5);
        }
        assertThat(found.moment(10_500).ms()).isBetween(8000L, 9000L);
    }
}
