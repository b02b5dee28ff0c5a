package farglass.film.map;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import farglass.film.Box;
import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.Mp4Writer;
import farglass.film.studio.Footage;
import farglass.lexicon.Lexicon;
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
import java.awt.Color;
import java.awt.Graphics2D;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Made-up broadcasts, of which the true map is known. */
class MapFinderTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final Box CLOCK = new Box(404, 238, 70, 26);

    @TempDir
    private Path folder;

    private static MatchTime s(double seconds) {
        return MatchTime.ofMs(Math.round(seconds * 1000));
    }

    private static MatchRecord match() {
        MatchRecord.Details d = new MatchRecord.Details(
                null,
                null,
                null,
                null,
                "gi",
                "points-gi",
                240_000,
                MatchAthlete.of("a", "Ansa Kellivar", null, "#2f5fa8"),
                MatchAthlete.of("b", "Brisa Tolendt", null, "#e8e4d8"),
                null);
        List<Tag> tags = new ArrayList<>(List.of(
                new Tag.Start(MatchTime.ZERO, TagInfo.NONE), Tag.Position.of(MatchTime.ZERO, "STD", null, null)));
        String[] places = {"CLG", "HFG", "SDC", "MNT", "CLG", "LAS", "HFG", "SDC"};
        for (int i = 0; i < places.length; i++) {
            Corner holder = i % 2 == 0 ? Corner.A : Corner.B;
            tags.add(Tag.Position.of(s(4.3 + 6.7 * i), places[i], holder, null));
            tags.add(Tag.Action.of(s(7 + 6.7 * i), holder, "knee-cut")
                    .builder()
                    .reached(1)
                    .until(s(8.2 + 6.7 * i))
                    .build());
        }
        tags.add(new Tag.Stop(s(29.4), "out-of-bounds", TagInfo.NONE));
        tags.add(new Tag.Resume(s(29.4), "STD", null, null, TagInfo.NONE));
        tags.add(new Tag.End(s(55.7), TagInfo.NONE));
        return MatchRecord.of("m", d, List.of(), tags);
    }

    private Path film(ClockMap map) throws Exception {
        Path path = folder.resolve("f.mp4");
        new Footage(480, 270, 25).make(match(), map, LEXICON, path, x -> {}, () -> false);
        return path;
    }

    @Test
    void aBroadcastIsMappedFromItsClock() throws Exception {
        ClockMap truth = Broadcast.of(match());
        MapProposal found;
        try (FilmFile film = FilmFile.open(film(truth))) {
            found = MapFinder.of(film).box(CLOCK).length(240_000L).find(x -> {}, () -> false);
        }
        assertThat(found.down()).isTrue();
        assertThat(kinds(found.map())).containsSequence(Segment.Kind.LIVE, Segment.Kind.STOPPAGE, Segment.Kind.REPLAY);
        long replays = kinds(truth).stream().filter(Segment.Kind.REPLAY::equals).count();
        assertThat(kinds(found.map())).filteredOn(Segment.Kind.REPLAY::equals).hasSize((int) replays);
        int asked = 0;
        int right = 0;
        long end = truth.segments().get(truth.segments().size() - 2).to().ms();
        for (long ms = 250; ms < end; ms += 500) {
            FilmTime f = FilmTime.ofMs(ms);
            Segment t = truth.at(f).orElseThrow();
            Segment p = found.map().at(f).orElseThrow();
            asked++;
            boolean live = t.kind() == Segment.Kind.LIVE;
            boolean agrees = t.kind() == p.kind()
                    && (!live || Math.abs(t.matchTime(f).ms() - p.matchTime(f).ms()) <= 120);
            right += agrees ? 1 : 0;
        }
        assertThat((double) right / asked).as("%d of %d moments", right, asked).isGreaterThanOrEqualTo(0.98);
        for (MapProposal.Part part : found.segments()) {
            assertThat(part.confidence()).isBetween(0.0, 1.0);
        }
    }

    private static List<Segment.Kind> kinds(ClockMap map) {
        return map.segments().stream().map(Segment::kind).toList();
    }

    @Test
    void aCutInTheFilmIsFoundAsMissingMatchTime() throws Exception {
        ClockMap truth = ClockMap.of(List.of(
                Segment.blank(0, 2000, Segment.Kind.OTHER),
                Segment.live(2000, 22_000, 0),
                Segment.live(22_000, 40_000, 37_000)));
        try (FilmFile film = FilmFile.open(film(truth))) {
            MapProposal found = MapFinder.of(film).box(CLOCK).find(x -> {}, () -> false);
            List<Segment> live = found.map().segments().stream()
                    .filter(x -> x.kind() == Segment.Kind.LIVE)
                    .toList();
            assertThat(live).hasSize(2);
            assertThat(live.get(1).matchTime(FilmTime.ofMs(30_000)).ms()).isCloseTo(45_000, within(150L));
            assertThat(live.get(1).from().ms()).isCloseTo(22_000, within(1100L));
        }
    }

    @Test
    void aBoxWithoutAClockChangesNothingAndSaysWhatToDo() throws Exception {
        ClockMap map = ClockMap.of(List.of(Segment.live(0, 12_000, 0)));
        try (FilmFile film = FilmFile.open(film(map))) {
            assertThatExceptionOfType(FilmException.class)
                    .isThrownBy(
                            () -> MapFinder.of(film).box(new Box(5, 5, 60, 30)).find(x -> {}, () -> false))
                    .withMessageContaining("No running clock")
                    .withMessageContaining("clock 6:30");
            assertThatExceptionOfType(FilmException.class)
                    .isThrownBy(() -> MapFinder.of(film).box(CLOCK).find(x -> {}, () -> true))
                    .withMessageContaining("cancelled");
        }
    }

    /** Nobody draws a box: the clock is found among names and points, and the map is the same. */
    @Test
    void theClockIsFoundWithoutABox() throws Exception {
        ClockMap truth =
                ClockMap.of(List.of(Segment.blank(0, 2000, Segment.Kind.OTHER), Segment.live(2000, 40_000, 0)));
        List<Double> told = new ArrayList<>();
        try (FilmFile film = FilmFile.open(film(truth))) {
            MapProposal found = MapFinder.of(film).find(told::add, () -> false);
            assertThat(found.box().x()).isBetween(CLOCK.x() - 20, CLOCK.x() + CLOCK.width());
            assertThat(found.box().y()).isBetween(CLOCK.y() - 20, CLOCK.y() + CLOCK.height());
            for (long ms = 3000; ms < 39_000; ms += 1000) {
                Segment s = found.map().at(FilmTime.ofMs(ms)).orElseThrow();
                assertThat(s.kind()).isEqualTo(Segment.Kind.LIVE);
                assertThat(s.matchTime(FilmTime.ofMs(ms)).ms()).isCloseTo(ms - 2000, within(150L));
            }
        }
        assertThat(told).isSorted().allMatch(x -> x >= 0 && x <= 1);
    }

    /** Cancelled while it goes through the film, and again while the score is read, it goes on from there. */
    @Test
    void aCancelledReadingGoesOn() throws Exception {
        Path path = film(Broadcast.of(match()));
        ReadingStore store = new ReadingStore(folder.resolve("readings"));
        MapProposal whole;
        try (FilmFile film = FilmFile.open(path)) {
            whole = MapFinder.of(film).find(x -> {}, () -> false);
        }
        for (double stop : new double[] {0.55, 0.785}) {
            double[] reached = new double[1];
            try (FilmFile film = FilmFile.open(path)) {
                MapFinder finder = MapFinder.of(film).pausing(r -> keep(store, path, r));
                store.paused(path, 1, null).ifPresent(finder::from);
                assertThatExceptionOfType(FilmException.class)
                        .isThrownBy(() -> finder.find(x -> reached[0] = x, () -> reached[0] > stop))
                        .withMessageContaining("cancelled");
            }
        }
        assertThat(store.paused(path, 2, null)).as("another length").isEmpty();
        assertThat(store.paused(path, 1, CLOCK)).as("another box").isEmpty();
        PausedReading paused = store.paused(path, 1, null).orElseThrow();
        List<Double> told = new ArrayList<>();
        try (FilmFile film = FilmFile.open(path)) {
            MapProposal found = MapFinder.of(film).from(paused).find(told::add, () -> false);
            assertThat(found.map()).isEqualTo(whole.map());
            assertThat(found.readings()).hasSameSizeAs(whole.readings());
            assertThat(found.score().graphic()).isEqualTo(whole.score().graphic());
        }
        assertThat(told).as("nothing is gone through again").allMatch(x -> x > 0.7);
        Path kept = onlyFile(folder.resolve("readings"));
        Files.write(kept, new byte[] {1, 2, 3});
        assertThat(store.paused(path, 1, null)).as("damaged").isEmpty();
        store.dropPaused();
        assertThat(folder.resolve("readings")).isEmptyDirectory();
    }

    private static void keep(ReadingStore store, Path film, PausedReading reading) {
        try {
            store.pause(film, 1, null, reading);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Path onlyFile(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            List<Path> all = files.toList();
            assertThat(all).hasSize(1);
            return all.get(0);
        }
    }

    @Test
    void aFilmWithoutAnyClockSaysSo() throws Exception {
        Path plain = folder.resolve("plain.mp4");
        new Mp4Writer(320, 180, 25, 200_000, 25)
                .write(
                        plain,
                        150,
                        (picture, i) -> {
                            Graphics2D g = picture.createGraphics();
                            g.setColor(new Color(60, 90 + i % 40, 120));
                            g.fillRect(0, 0, 320, 180);
                            g.setColor(Color.WHITE);
                            g.fillOval(i, 60, 40, 40);
                            g.dispose();
                        },
                        x -> {},
                        () -> false);
        try (FilmFile film = FilmFile.open(plain)) {
            MapProposal found = MapFinder.of(film).find(x -> {}, () -> false);
            assertThat(found.box()).isNull();
            assertThat(found.readings()).isEmpty();
            assertThat(kinds(found.map())).containsExactly(Segment.Kind.LIVE);
        }
    }
}
