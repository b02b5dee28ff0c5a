package farglass.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import farglass.film.reel.Still;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.bytedeco.ffmpeg.global.avcodec;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * A frame is shown under its own number in every container, whatever the order in which its pictures lie in the file.
 */
class FrameNumbersTest {
    private static final int FRAMES = 90;

    @TempDir
    private Path folder;

    @ParameterizedTest
    @CsvSource({
        "mp4, H264, 0, 25",
        "mkv, H264, 0, 25",
        "mov, H264, 0, 25",
        "ts, H264, 0, 25",
        "m2ts, H264, 0, 200",
        "avi, H264, 0, 25",
        "mp4, MPEG4, 2, 24",
        "mkv, MPEG4, 2, 24",
        "mov, MPEG4, 3, 24",
        "avi, MPEG4, 0, 24",
        "avi, MPEG4, 2, 24",
        "ts, MPEG2VIDEO, 2, 15",
        "ts, MPEG2VIDEO, 2, 200",
        "mpg, MPEG2VIDEO, 0, 15",
        "mpg, MPEG2VIDEO, 2, 15",
        "mpg, MPEG2VIDEO, 2, 200",
        "mkv, MPEG2VIDEO, 2, 15",
        "webm, VP8, 0, 30",
        "webm, VP9, 0, 30"
    })
    void isExactInEveryContainer(String ending, String codecName, int between, int gop) throws Exception {
        int codec = avcodec.class.getField("AV_CODEC_ID_" + codecName).getInt(null);
        Path path = TestFilm.of(codec).rate(25).between(between).gop(gop).write(folder.resolve("f." + ending), FRAMES);
        try (FilmFile film = FilmFile.open(path)) {
            assertThat(film.info().frames()).isEqualTo(FRAMES);
            Random random = new Random(3);
            for (int i = 0; i < 60; i++) {
                int n = i < 20 ? FRAMES - 1 - i : random.nextInt(FRAMES);
                assertThat(TestFilm.shown(film, n)).as("frame %d", n).isEqualTo(n);
                assertThat(film.timeOf(n).ms()).as("time of frame %d", n).isBetween(n * 40L - 2, n * 40L + 2);
            }
        }
        for (int n : new int[] {0, 1, 10, 25, 49, 89}) {
            try (FilmFile film = FilmFile.openForward(path, () -> false)) {
                assertThat(TestFilm.shown(film, n))
                        .as("frame %d first of all", n)
                        .isEqualTo(n);
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"0", "1", "2", "3"})
    void aTurnedFilmStandsUprightEverywhere(int quarters) throws Exception {
        Path path = TestFilm.turned(TestFilm.h264().gop(10).write(folder.resolve("t.mp4"), 20), quarters);
        try (FilmFile film = FilmFile.open(path)) {
            assertThat(film.info().rotation()).isEqualTo(90 * quarters);
            BufferedImage still = Still.of(film, 5);
            assertThat(still.getWidth()).isEqualTo(quarters % 2 == 0 ? 320 : 180);
            assertThat(still.getHeight()).isEqualTo(quarters % 2 == 0 ? 180 : 320);
            // 5 is 101 in blocks from the stored picture's left: light, dark, light
            for (int bit = 0; bit < 3; bit++) {
                int along = bit * 20 + 10;
                int x = new int[] {along, 90, 319 - along, 90}[quarters];
                int y = new int[] {90, along, 90, 319 - along}[quarters];
                int light = still.getRGB(x, y) & 0xff;
                assertThat(light > 127).as("block %d", bit).isEqualTo(bit != 1);
                GrayPicture gray = film.gray(5, new Box(x - 2, y - 2, 4, 4));
                assertThat((gray.pixels()[5] & 0xff) > 127).isEqualTo(bit != 1);
            }
            GrayPicture small = film.thumbnail(5, still.getWidth(), still.getHeight());
            assertThat(small.width()).isEqualTo(still.getWidth());
        }
    }

    @Test
    void aFrameThatIsDamagedIsNotReplacedByAnother() throws Exception {
        Path path = TestFilm.of(avcodec.AV_CODEC_ID_MPEG2VIDEO).rate(25).gop(1).write(folder.resolve("d.ts"), 60);
        byte[] bytes = Files.readAllBytes(path);
        java.util.Arrays.fill(bytes, bytes.length / 3, bytes.length * 2 / 3, (byte) 0);
        Files.write(path, bytes);
        List<Integer> shown = new ArrayList<>();
        int refused = 0;
        try (FilmFile film = FilmFile.open(path)) {
            for (int n = 0; n < film.info().frames(); n++) {
                try {
                    shown.add(TestFilm.shown(film, n));
                } catch (FilmException e) {
                    refused++;
                    assertThat(e).hasMessageContaining("cannot be shown");
                    assertThat(film.nearest(n)).isNotEqualTo(n);
                }
            }
        }
        assertThat(refused).isPositive();
        assertThat(shown)
                .as("no picture stands in for another")
                .doesNotHaveDuplicates()
                .isSorted();
        assertThat(shown).hasSizeGreaterThan(30);
    }

    @Test
    void anAddressOrAListIsNoFilm() throws Exception {
        Path film = TestFilm.h264().write(folder.resolve("12:30.mp4"), 10);
        try (FilmFile opened = FilmFile.open(film)) {
            assertThat(opened.info().frames()).isEqualTo(10);
        }
        Path list = Files.writeString(
                folder.resolve("list.mp4"), "ffconcat version 1.0\nfile '" + film.getFileName() + "'\n");
        Path playlist = Files.writeString(
                folder.resolve("list.m3u8"),
                "#EXTM3U\n#EXT-X-TARGETDURATION:1\n#EXTINF:1,\n" + film.toUri() + "\n#EXT-X-ENDLIST\n");
        for (Path p : new Path[] {list, playlist, folder}) {
            assertThatExceptionOfType(FilmException.class).isThrownBy(() -> FilmFile.open(p));
        }
    }
}
