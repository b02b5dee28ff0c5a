package farglass.film.studio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.simulate.Broadcast;
import farglass.time.ClockMap;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class FootageTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();

    @TempDir
    private Path folder;

    private static MatchTime s(double seconds) {
        return MatchTime.ofMs(Math.round(seconds * 1000));
    }

    private static MatchRecord record(Tag... tags) {
        MatchRecord.Details d = new MatchRecord.Details(
                null,
                "Lantern Bay Open",
                null,
                null,
                "gi",
                "points-gi",
                60_000,
                MatchAthlete.of("a", "Ansa Kellivar", "blue", "#2f5fa8"),
                MatchAthlete.of("b", "Brisa Tolendt", "white", "#e8e4d8"),
                null);
        return MatchRecord.of("m", d, List.of(), List.of(tags));
    }

    private static MatchRecord shortMatch() {
        return record(
                new Tag.Start(MatchTime.ZERO, TagInfo.NONE),
                Tag.Position.of(s(0), "STD", null, null),
                Tag.Position.of(s(2), "CLG", Corner.A, Corner.B),
                new Tag.Stop(s(5), "out of bounds", TagInfo.NONE),
                new Tag.Resume(s(5), null, null, null, TagInfo.NONE),
                Tag.Position.of(s(7), "MNT", Corner.B, null),
                new Tag.End(s(9), TagInfo.NONE));
    }

    private static BufferedImage still(MatchRecord r, ClockMap map, long filmMs) {
        return new Footage(320, 180, 25).still(r, map, LEXICON, FilmTime.ofMs(filmMs));
    }

    /** Share of pixels that differ clearly, in a part of the picture given as shares of its size. */
    private static double differing(BufferedImage a, BufferedImage b, double x0, double y0, double x1, double y1) {
        int n = 0;
        int differ = 0;
        for (int y = (int) (y0 * a.getHeight()); y < y1 * a.getHeight(); y++) {
            for (int x = (int) (x0 * a.getWidth()); x < x1 * a.getWidth(); x++) {
                int p = a.getRGB(x, y);
                int q = b.getRGB(x, y);
                int d = Math.abs((p & 255) - (q & 255)) + Math.abs((p >> 8 & 255) - (q >> 8 & 255));
                differ += d > 40 ? 1 : 0;
                n++;
            }
        }
        return (double) differ / n;
    }

    @Test
    void aFilmOfARecordHasTheLengthItsMapSays() throws Exception {
        MatchRecord r = shortMatch();
        ClockMap map = Broadcast.of(r);
        Path film = folder.resolve("f/m.mp4");
        List<Double> shares = new ArrayList<>();
        assertThat(new Footage(320, 180, 25).make(r, map, LEXICON, film, shares::add, () -> false))
                .isTrue();
        assertThat(shares).isSorted().endsWith(1.0);
        long expected = map.segments().get(map.segments().size() - 1).to().ms();
        try (FilmFile opened = FilmFile.open(film)) {
            assertThat(opened.info().codec()).isEqualTo("h264");
            assertThat(opened.info().durationMs()).isCloseTo(expected, org.assertj.core.api.Assertions.within(50L));
        }
        // half a megabyte a minute of picture and a quarter of sound keep five minutes under four
        assertThat(Files.size(film)).isLessThan(expected * 4_000_000L / 320_000L);
    }

    @Test
    void aCancelledFilmLeavesNothingBehind() throws Exception {
        MatchRecord r = shortMatch();
        int[] asked = {0};
        assertThat(new Footage(320, 180, 25)
                        .make(r, Broadcast.of(r), LEXICON, folder.resolve("m.mp4"), x -> {}, () -> asked[0]++ > 10))
                .isFalse();
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left).isEmpty();
        }
    }

    @Test
    void aPlaceThatCannotBeWrittenIsSaid() throws Exception {
        Path file = Files.writeString(folder.resolve("taken"), "x");
        MatchRecord r = shortMatch();
        assertThatExceptionOfType(FilmException.class)
                .isThrownBy(() -> Footage.standard()
                        .make(r, Broadcast.of(r), LEXICON, file.resolve("m.mp4"), x -> {}, () -> false))
                .withMessageContaining("could not be written");
    }

    @Test
    void theClockRunsWhileTheMatchDoesAndIsHiddenInReplays() {
        MatchRecord r = shortMatch();
        ClockMap map = Broadcast.of(r);
        // clock: right lower corner
        double[] clock = {0.70, 0.86, 1, 1};
        BufferedImage first = still(r, map, 3500);
        BufferedImage second = still(r, map, 4500);
        assertThat(differing(first, second, clock[0], clock[1], clock[2], clock[3]))
                .isGreaterThan(0.01);
        Segment stop = map.segments().stream()
                .filter(x -> x.kind() == Segment.Kind.STOPPAGE)
                .findFirst()
                .orElseThrow();
        assertThat(differing(
                        still(r, map, stop.from().ms() + 100),
                        still(r, map, stop.to().ms() - 100),
                        clock[0],
                        clock[1],
                        clock[2],
                        clock[3]))
                .isZero();
        Segment replay = map.segments().stream()
                .filter(x -> x.kind() == Segment.Kind.REPLAY)
                .findFirst()
                .orElseThrow();
        int dark = still(r, map, replay.from().ms() + 500).getRGB(300, 170) & 0xff;
        int bar = still(r, map, 3500).getRGB(315 - 10, 172 - 6) & 0xff;
        assertThat(dark).as("mat instead of the bar").isNotEqualTo(bar);
    }

    @Test
    void replaysShowTheSameMomentFromAnotherSide() {
        MatchRecord r = shortMatch();
        ClockMap map = Broadcast.of(r);
        List<FilmTime> twice = map.filmTimes(s(4));
        assertThat(twice).hasSize(2);
        assertThat(differing(
                        still(r, map, twice.get(0).ms()),
                        still(r, map, twice.get(1).ms()),
                        0,
                        0,
                        1,
                        0.8))
                .isGreaterThan(0.05);
    }

    @Test
    void everyPositionOfTheLexiconHasAPoseOfItsFamilyOrItsOwn() {
        ClockMap live = ClockMap.of(List.of(Segment.live(0, 20_000, 0)));
        int distinct = 0;
        BufferedImage standing =
                still(record(Tag.Position.of(s(0), "STD", null, null), new Tag.End(s(20), TagInfo.NONE)), live, 5000);
        for (Position p : LEXICON.positions()) {
            Corner holder = p.holder() ? Corner.A : null;
            Tag.Position tag = Tag.Position.of(s(0), p.code(), holder, p.guard() ? Corner.B : null);
            BufferedImage image = still(record(tag, new Tag.End(s(20), TagInfo.NONE)), live, 5000);
            distinct += differing(image, standing, 0, 0, 1, 0.8) > 0.004 ? 1 : 0;
        }
        assertThat(distinct).isGreaterThan(LEXICON.positions().size() * 8 / 10);
    }

    @Test
    void theOneOnTopIsTheOneWhoHolds() {
        ClockMap live = ClockMap.of(List.of(Segment.live(0, 20_000, 0)));
        double[] heights = new double[2];
        for (Corner holder : Corner.values()) {
            MatchRecord r = record(Tag.Position.of(s(0), "MNT", holder, null), new Tag.End(s(20), TagInfo.NONE));
            heights[holder == Corner.A ? 0 : 1] = middle(still(r, live, 5000), 0x2f5fa8);
        }
        // the athlete in blue is a: higher in the picture (smaller y) when holding
        assertThat(heights[0]).isLessThan(heights[1] - 5);
    }

    /** Mean row of the pixels near a colour. */
    private static double middle(BufferedImage image, int rgb) {
        List<Integer> rows = new ArrayList<>();
        for (int y = 0; y < image.getHeight() * 8 / 10; y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                int p = image.getRGB(x, y);
                int d = Arrays.stream(new int[] {0, 8, 16})
                        .map(k -> Math.abs((p >> k & 255) - (rgb >> k & 255)))
                        .sum();
                if (d < 60) {
                    rows.add(y);
                }
            }
        }
        assertThat(rows).isNotEmpty();
        return rows.stream().mapToInt(Integer::intValue).average().orElseThrow();
    }
}
