package farglass.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import farglass.time.FilmTime;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class FilmFileTest {
    @TempDir
    private Path folder;

    /** The film of the exactness promise: 30 frames a second, H.264, a key frame every 250 frames. */
    @Test
    void everyStepForwardAndBackShowsItsFrame() throws Exception {
        int frames = 600;
        Path path = TestFilm.h264().write(folder.resolve("long-groups.mp4"), frames);
        try (FilmFile film = FilmFile.open(path)) {
            assertThat(film.info().frames()).isEqualTo(frames);
            assertThat(film.info().keyFrames()).isEqualTo(3);
            for (int n = 0; n < frames; n++) {
                assertThat(TestFilm.shown(film, n)).as("forward").isEqualTo(n);
                assertThat(film.timeOf(n).ms()).isEqualTo(Math.round(n * 1000 / 30.0));
            }
            for (int n = frames - 1; n >= 0; n--) {
                assertThat(TestFilm.shown(film, n)).as("back").isEqualTo(n);
            }
        }
    }

    @Test
    void anyJumpShowsTheFrameOnScreenAtThatTime() throws Exception {
        Path path = TestFilm.h264().write(folder.resolve("a.mp4"), 500);
        Random random = new Random(11);
        try (FilmFile film = FilmFile.open(path)) {
            for (int i = 0; i < 120; i++) {
                long ms = random.nextInt(16_666);
                int frame = film.frameAt(FilmTime.ofMs(ms));
                assertThat(film.timeOf(frame).ms()).isLessThanOrEqualTo(ms);
                if (frame < 499) {
                    assertThat(film.timeOf(frame + 1).ms()).isGreaterThan(ms);
                }
                assertThat(TestFilm.shown(film, frame)).as("at %d ms", ms).isEqualTo(frame);
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"24,mp4,h264", "25,mkv,h264", "60,mp4,h264", "30,webm,vp9", "50,mkv,vp9"})
    void ratesAndContainersAreOrdinary(double rate, String ending, String codec) throws Exception {
        TestFilm made = codec.equals("vp9") ? TestFilm.vp9() : TestFilm.h264();
        Path path = made.rate(rate).gop(40).write(folder.resolve("f." + ending), 90);
        try (FilmFile film = FilmFile.open(path)) {
            assertThat(film.info().codec()).isEqualTo(codec);
            assertThat(film.info().frames()).isEqualTo(90);
            assertThat(film.info().variableRate()).isFalse();
            assertThat(film.info().audio()).isFalse();
            assertThat(film.info().durationMs()).isCloseTo(Math.round(90_000 / rate), within(3));
            for (int n : new int[] {89, 0, 41, 40, 39, 88, 1}) {
                assertThat(TestFilm.shown(film, n)).isEqualTo(n);
            }
        }
    }

    /** Frames come in order, each what it says it is, and often enough; afterwards the film is as before. */
    @ParameterizedTest
    @CsvSource({"24,mp4,h264", "60,mkv,h264", "25,webm,vp9"})
    void aLookOverAFilmShowsEnoughOfItsFrames(double rate, String ending, String codec) throws Exception {
        TestFilm made = codec.equals("vp9") ? TestFilm.vp9() : TestFilm.h264();
        Path path = made.rate(rate).gop(40).write(folder.resolve("f." + ending), 200);
        try (FilmFile film = FilmFile.open(path)) {
            List<Integer> seen = new ArrayList<>();
            film.lookOver(0, frame -> {
                assertThat(TestFilm.shown(film, frame)).isEqualTo(frame);
                seen.add(frame);
            });
            assertThat(seen).isSorted().doesNotHaveDuplicates().startsWith(0);
            assertThat(seen.size()).isGreaterThanOrEqualTo((int) (0.9 * 8 * 200 / rate));
            assertThat(seen.get(seen.size() - 1)).isGreaterThan((int) (199 - rate / 4));
            for (int n : new int[] {199, 0, 41, 40, 39}) {
                assertThat(TestFilm.shown(film, n)).isEqualTo(n);
            }
            List<Integer> later = new ArrayList<>();
            film.lookOver(97, later::add);
            assertThat(later).isEqualTo(seen.subList(seen.size() - later.size(), seen.size()));
            assertThat(later.get(0)).isBetween(97, 97 + (int) (rate / 4));
        }
    }

    @Test
    void partsAndMeansOfPictures() {
        GrayPicture a = new GrayPicture(4, 1, new byte[] {0, 10, (byte) 200, (byte) 255});
        GrayPicture b = new GrayPicture(4, 1, new byte[] {10, 10, 0, (byte) 255});
        GrayPicture mean = GrayPicture.mean(List.of(a, b));
        assertThat(mean.at(0, 0)).isEqualTo(5);
        assertThat(mean.at(2, 0)).isEqualTo(100);
        assertThat(mean.at(3, 0)).isEqualTo(255);
        GrayPicture part = a.across(0.25, 0.75);
        assertThat(part.width()).isEqualTo(2);
        assertThat(part.at(1, 0)).isEqualTo(200);
        assertThat(a.across(1, 1).width()).isEqualTo(1);
    }

    @Test
    void fullContrastKeepsTheOrderOfBrightness() {
        byte[] faint = new byte[200];
        for (int i = 0; i < faint.length; i++) {
            faint[i] = (byte) (100 + i % 20);
        }
        GrayPicture stretched = new GrayPicture(20, 10, faint).contrasted();
        assertThat(stretched.at(0, 0)).isZero();
        assertThat(stretched.at(19, 0)).isEqualTo(255);
        assertThat(stretched.at(10, 3)).isBetween(120, 150);
        GrayPicture flat = new GrayPicture(2, 1, new byte[] {50, 52});
        assertThat(flat.contrasted()).isSameAs(flat);
    }

    private static org.assertj.core.data.Offset<Long> within(long ms) {
        return org.assertj.core.api.Assertions.within(ms);
    }

    @Test
    void aVariableRateKeepsEveryFramesOwnTime() throws Exception {
        Random random = new Random(5);
        long[] us = new long[120];
        for (int i = 1; i < us.length; i++) {
            us[i] = us[i - 1] + 1000L * (10 + random.nextInt(90));
        }
        Path path = TestFilm.h264().gop(30).times(us).write(folder.resolve("v.mkv"), us.length);
        try (FilmFile film = FilmFile.open(path)) {
            assertThat(film.info().variableRate()).isTrue();
            assertThat(film.info().frames()).isEqualTo(us.length);
            for (int n = us.length - 1; n >= 0; n--) {
                assertThat(film.timeOf(n).ms()).isCloseTo(us[n] / 1000, within(1));
                assertThat(TestFilm.shown(film, n)).isEqualTo(n);
            }
        }
    }

    @Test
    void fullHdAndSoundAreOrdinary() throws Exception {
        Path path = TestFilm.h264().size(1920, 1080).withSound().gop(12).write(folder.resolve("hd.mp4"), 60);
        try (FilmFile film = FilmFile.open(path)) {
            assertThat(film.info().width()).isEqualTo(1920);
            assertThat(film.info().audio()).isTrue();
            for (int n = 59; n >= 0; n--) {
                assertThat(TestFilm.shown(film, n)).isEqualTo(n);
            }
        }
    }

    @Test
    void aTruncatedFilmShowsWhatIsThereAndSaysSo() throws Exception {
        // Matroska can be read up to where it was cut off
        Path whole = TestFilm.h264().gop(25).write(folder.resolve("w.mkv"), 400);
        byte[] bytes = Files.readAllBytes(whole);
        Path cut = Files.write(folder.resolve("cut.mkv"), Arrays.copyOf(bytes, bytes.length / 2));
        try (FilmFile film = FilmFile.open(cut)) {
            assertThat(film.info().truncated()).isTrue();
            int frames = film.info().frames();
            assertThat(frames).isBetween(50, 350);
            assertThat(TestFilm.shown(film, frames - 5)).isEqualTo(frames - 5);
            assertThat(TestFilm.shown(film, 3)).isEqualTo(3);
        }
    }

    @Test
    void aTruncatedMp4IsRefusedInOneSentence() throws Exception {
        Path whole = TestFilm.h264().write(folder.resolve("w.mp4"), 100);
        byte[] bytes = Files.readAllBytes(whole);
        Path cut = Files.write(folder.resolve("cut.mp4"), Arrays.copyOf(bytes, bytes.length / 2));
        assertThatExceptionOfType(FilmException.class)
                .isThrownBy(() -> FilmFile.open(cut))
                .withMessageContaining("cut.mp4")
                .withMessageContaining("cut off before it was finished")
                .withMessageContaining("Nothing was changed");
        assertThat(Files.size(cut)).isEqualTo(bytes.length / 2);
    }

    @Test
    void damageInTheMiddleCostsOnlyThatPlace() throws Exception {
        Path whole = TestFilm.h264().gop(25).write(folder.resolve("w.mkv"), 200);
        byte[] bytes = Files.readAllBytes(whole);
        Arrays.fill(bytes, bytes.length / 2, bytes.length / 2 + 600, (byte) 0x5a);
        Path bad = Files.write(folder.resolve("bad.mkv"), bytes);
        try (FilmFile film = FilmFile.open(bad)) {
            int last = film.info().frames() - 1;
            assertThat(TestFilm.shown(film, 10)).isEqualTo(10);
            long lastMs = film.timeOf(last).ms();
            assertThat(TestFilm.shown(film, last)).isEqualTo((int) Math.round(lastMs * 30 / 1000.0));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "this is a diary, not a film", "\u0000\u0000\u0000\u0018ftypmp42"})
    void whatIsNoFilmIsRefused(String content) throws Exception {
        Path file = Files.writeString(folder.resolve("diary.mp4"), content);
        assertThatExceptionOfType(FilmException.class)
                .isThrownBy(() -> FilmFile.open(file))
                .withMessageContaining("diary.mp4")
                .withMessageContaining("choose another file");
    }

    @Test
    void aMissingFilmAndACancelledOneAreSaid() throws Exception {
        assertThatExceptionOfType(FilmException.class)
                .isThrownBy(() -> FilmFile.open(folder.resolve("gone.mp4")))
                .withMessageContaining("is not there")
                .withMessageContaining("tags are kept");
        Path path = TestFilm.h264().write(folder.resolve("a.mp4"), 300);
        assertThatExceptionOfType(FilmException.class)
                .isThrownBy(() -> FilmFile.open(path, () -> true))
                .withMessageContaining("cancelled");
    }

    @Test
    void theIndexNumbersFramesByPresentationTimeNotByPacketOrder() {
        // packets of a group with pictures shown later than they are decoded
        FrameIndex index = new FrameIndex(
                new long[] {0, 120, 40, 80, 240, 160, 200},
                new boolean[] {true, false, false, false, true, false, false},
                1);
        assertThat(LongStream.range(0, 7).map(i -> index.ms((int) i)))
                .containsExactly(0L, 40L, 80L, 120L, 160L, 200L, 240L);
        assertThat(index.keyBefore(5)).isZero();
        assertThat(index.keyBefore(6)).isEqualTo(6);
        assertThat(index.at(119)).isEqualTo(2);
        assertThat(index.at(120)).isEqualTo(3);
        assertThat(index.at(9999)).isEqualTo(6);
        assertThat(index.frame(1)).isEqualTo(3);
        assertThat(index.packet(3)).isEqualTo(1);
        assertThat(index.frame(7)).isEqualTo(-1);
        assertThat(index.durationMs()).isEqualTo(280);
    }
}
