package farglass.film.map;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.film.FilmException;
import farglass.film.GrayPicture;
import farglass.film.map.ClockRuns.Run;
import farglass.film.map.FilmScan.Display;
import farglass.film.studio.Lettering;
import farglass.film.text.TextReader;
import farglass.time.ClockMap;
import farglass.time.FilmTime;
import farglass.time.Segment;
import farglass.type.Typeface;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Broadcasts as the scanner would see them, without a film: what the clock box shows frame by frame. */
class ClockScenarioTest {
    private static final long LENGTH = 300_000;
    private static final long FRAME = 40;
    private static final GrayPicture MAT = flat();
    private static final Map<String, GrayPicture> DRAWN = new HashMap<>();

    private static TextReader reader;

    @BeforeAll
    static void open() throws FilmException {
        reader = TextReader.open();
    }

    @AfterAll
    static void close() {
        reader.close();
    }

    private final List<GrayPicture> shown = new ArrayList<>();
    private final List<Double> change = new ArrayList<>();
    private final List<Integer> shots = new ArrayList<>();
    private boolean down = true;

    private static GrayPicture flat() {
        byte[] pixels = new byte[90 * 64];
        for (int i = 0; i < pixels.length; i++) {
            pixels[i] = (byte) (110 + i % 7);
        }
        return new GrayPicture(90, 64, pixels);
    }

    private void frame(GrayPicture picture, double moved) {
        shown.add(picture);
        change.add(moved);
    }

    private void cut() {
        shots.add(shown.size());
    }

    private GrayPicture clock(long matchMs) {
        long seconds = down ? (LENGTH - matchMs + 999) / 1000 : matchMs / 1000;
        String text = String.format(Locale.ROOT, "%d:%02d", seconds / 60, seconds % 60);
        return DRAWN.computeIfAbsent(text, t -> Lettering.picture(Typeface.SANS_SEMIBOLD, t));
    }

    /** How much moves at a match moment: the same however it is filmed. */
    private static double motion(long matchMs) {
        return 1.2 + Math.sin(matchMs / 310.0) * 0.5 + Math.sin(matchMs / 1170.0) * 0.6;
    }

    private void live(long fromMs, long toMs) {
        for (long m = fromMs; m < toMs; m += FRAME) {
            frame(clock(m), motion(m));
        }
    }

    private void standing(long atMs, long forMs) {
        for (long t = 0; t < forMs; t += FRAME) {
            frame(clock(atMs), t == 0 ? 9 : 0.2);
        }
    }

    private void hidden(long forMs) {
        cut();
        for (long t = 0; t < forMs; t += FRAME) {
            frame(MAT, t == 0 ? 20 : 1);
        }
        cut();
    }

    private FilmScan scan() throws FilmException {
        long[] ms = new long[shown.size()];
        double[] moved = new double[ms.length];
        List<Display> displays = new ArrayList<>();
        List<GrayPicture> small = new ArrayList<>();
        for (int i = 0; i < ms.length; i++) {
            ms[i] = i * FRAME;
            moved[i] = change.get(i);
            if (i == 0 || shown.get(i) != shown.get(i - 1)) {
                displays.add(new Display(
                        i,
                        shown.get(i),
                        CompletableFuture.completedFuture(reader.read(shown.get(i), TextReader.Kind.CLOCK))));
            }
            small.add(new GrayPicture(1, 1, new byte[] {(byte) (i * 7)}));
        }
        return new FilmScan(ms, moved, List.copyOf(shots), List.of(displays), small);
    }

    private static ClockTrack track(FilmScan scan, Boolean direction) throws FilmException {
        return ClockTrack.of(scan, direction, x -> {}, () -> false);
    }

    private List<Segment> segments(Boolean direction) throws FilmException {
        FilmScan scan = scan();
        ClockTrack track = track(scan, direction);
        assertThat(track.down()).isEqualTo(down);
        List<Run> runs = ClockRuns.of(track, scan.ms(), LENGTH);
        return new SegmentBuilder(scan, track, runs, shown.size() * FRAME, LENGTH)
                .parts().stream().map(MapProposal.Part::segment).toList();
    }

    private static List<Segment.Kind> kinds(List<Segment> segments) {
        return segments.stream()
                .filter(s -> s.to().ms() - s.from().ms() > 100)
                .map(Segment::kind)
                .toList();
    }

    private static long matchAt(List<Segment> segments, long filmMs) {
        Segment s = segments.stream()
                .filter(x -> x.contains(FilmTime.ofMs(filmMs)))
                .findFirst()
                .orElseThrow();
        assertThat(s.kind()).as("at %d", filmMs).isEqualTo(Segment.Kind.LIVE);
        return s.matchTime(FilmTime.ofMs(filmMs)).ms();
    }

    @Test
    void aClockThatOnlyRunsIsLiveFromItsFirstSecond() throws Exception {
        standing(0, 3000);
        live(0, 40_000);
        List<Segment> found = segments(null);
        assertThat(kinds(found)).containsExactly(Segment.Kind.OTHER, Segment.Kind.LIVE);
        assertThat(matchAt(found, 20_000)).isCloseTo(17_000, within(60L));
        assertThat(found.get(1).from().ms()).isCloseTo(3000, within(80L));
    }

    @Test
    void aStoppageIsPlacedWhereThePictureChanges() throws Exception {
        live(0, 22_400);
        standing(22_400, 7_000);
        live(22_400, 50_000);
        List<Segment> found = segments(true);
        assertThat(kinds(found)).containsExactly(Segment.Kind.LIVE, Segment.Kind.STOPPAGE, Segment.Kind.LIVE);
        assertThat(found.get(1).from().ms()).isCloseTo(22_400, within(80L));
        assertThat(found.get(1).to().ms()).isCloseTo(29_400, within(80L));
        assertThat(matchAt(found, 40_000)).isCloseTo(33_000, within(60L));
    }

    @Test
    void aHiddenClockInAStoppageIsAReplay() throws Exception {
        live(0, 22_400);
        standing(22_400, 2_000);
        hidden(6_000);
        live(22_400, 50_000);
        List<Segment> found = segments(true);
        assertThat(kinds(found))
                .containsExactly(Segment.Kind.LIVE, Segment.Kind.STOPPAGE, Segment.Kind.REPLAY, Segment.Kind.LIVE);
        Segment replay = found.stream()
                .filter(s -> s.kind() == Segment.Kind.REPLAY)
                .findFirst()
                .orElseThrow();
        assertThat(replay.from().ms()).isCloseTo(24_400, within(80L));
        assertThat(replay.to().ms()).isCloseTo(30_400, within(80L));
        assertThat(replay.matchEnd().ms()).isLessThanOrEqualTo(22_400 + 500);
    }

    @Test
    void aClockThatRunsOnBehindAReplayLeavesAGapOfMatchTime() throws Exception {
        live(0, 22_000);
        hidden(6_000);
        live(28_000, 60_000);
        List<Segment> found = segments(true);
        assertThat(kinds(found)).containsExactly(Segment.Kind.LIVE, Segment.Kind.REPLAY, Segment.Kind.LIVE);
        assertThat(matchAt(found, 10_000)).isCloseTo(10_000, within(60L));
        assertThat(matchAt(found, 40_000)).isCloseTo(40_000, within(60L));
    }

    @Test
    void missingFilmIsACutAtTheChangeOfShot() throws Exception {
        live(0, 20_000);
        cut();
        frame(clock(47_000), 20);
        live(47_040, 80_000);
        List<Segment> found = segments(true);
        assertThat(kinds(found)).containsExactly(Segment.Kind.LIVE, Segment.Kind.LIVE);
        assertThat(found.get(1).from().ms()).isCloseTo(20_000, within(100L));
        assertThat(matchAt(found, 30_000)).isCloseTo(57_000, within(100L));
    }

    @Test
    void aCutAfterWhichTheClockIsAMomentBehindMakesAMapAllTheSame() throws Exception {
        live(0, 20_000);
        cut();
        live(19_800, 40_000);
        List<Segment> found = segments(true);
        assertThat(ClockMap.of(found).segments()).hasSize(found.size());
        assertThat(matchAt(found, 10_000)).isCloseTo(10_000, within(200L));
        assertThat(matchAt(found, 30_000)).isCloseTo(29_900, within(200L));
    }

    @Test
    void aClockThatCountsUpIsFoundOutToDoSo() throws Exception {
        down = false;
        live(0, 45_000);
        standing(45_000, 5_000);
        live(45_000, 70_000);
        List<Segment> found = segments(null);
        assertThat(kinds(found)).containsExactly(Segment.Kind.LIVE, Segment.Kind.STOPPAGE, Segment.Kind.LIVE);
        assertThat(matchAt(found, 60_000)).isCloseTo(55_000, within(60L));
    }

    @Test
    void filmThatBeginsInTheMiddleBeginsLiveThere() throws Exception {
        live(100_000, 150_000);
        List<Segment> found = segments(true);
        assertThat(kinds(found)).containsExactly(Segment.Kind.LIVE);
        assertThat(matchAt(found, 0)).isCloseTo(100_000, within(60L));
    }

    @Test
    void timeThatRunsOutEndsTheMatch() throws Exception {
        live(255_000, 300_000);
        standing(300_000, 4_000);
        List<Segment> found = segments(true);
        assertThat(kinds(found)).containsExactly(Segment.Kind.LIVE, Segment.Kind.STOPPAGE);
        assertThat(found.get(0).matchEnd().ms()).isCloseTo(300_000, within(80L));
    }

    @Test
    void everyFrameOfAShortFilmIsReadToo() throws Exception {
        live(0, 11_000);
        ClockTrack track = track(scan(), null);
        assertThat(track.down()).isTrue();
        for (int i = 0; i < shown.size(); i++) {
            assertThat(track.at(i)).isEqualTo((int) ((LENGTH - i * FRAME + 999) / 1000));
        }
    }

    /** One display in ten shows something else for a moment: it neither breaks a run nor is believed. */
    @Test
    void whatIsMisreadBetweenTwoReadingsThatFitIsDropped() throws Exception {
        live(0, 20_000);
        for (int i = 260; i < 270; i++) {
            shown.set(i, clock(170_000));
        }
        List<Segment> found = segments(true);
        assertThat(kinds(found)).containsExactly(Segment.Kind.LIVE);
        assertThat(matchAt(found, 15_000)).isCloseTo(15_000, within(60L));
    }
}
