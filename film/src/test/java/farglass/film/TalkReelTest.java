package farglass.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import farglass.film.reel.DrawingPainter;
import farglass.film.reel.Still;
import farglass.film.reel.TalkReel;
import farglass.film.sound.SoundReader;
import farglass.film.sound.WaveFile;
import farglass.match.Corner;
import farglass.match.Drawing;
import farglass.talk.Talk;
import farglass.time.FilmTime;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Breakdowns written as films, voices as files, films known by what is in them. */
class TalkReelTest {
    private static final Drawing.Mark RING = new Drawing.Mark(Drawing.Kind.RING, Corner.A, 0.3, 0.3, 0.7, 0.7, null);
    private static final Drawing.Mark ANGLE = new Drawing.Mark(Drawing.Kind.ANGLE, Corner.A, 0.5, 0.8, 0.8, 0.5, null);

    @TempDir
    private Path folder;

    private Path film() throws Exception {
        return TestFilm.h264().rate(25).write(folder.resolve("film.mp4"), 100);
    }

    private static Talk talk(String cue) {
        return new Talk(
                "t",
                "m",
                "film.mp4",
                cue,
                2000,
                List.of(
                        new Talk.Shown(0, FilmTime.ofMs(1000), List.of()),
                        new Talk.Shown(1000, FilmTime.ofMs(1000), List.of(RING)),
                        new Talk.Shown(1500, FilmTime.ofMs(3000), List.of())));
    }

    /** Silence for a second, then loud. */
    private static short[] voice() {
        short[] said = new short[2 * Samples.RATE];
        for (int i = Samples.RATE; i < said.length; i++) {
            said[i] = (short) (9000 * Math.sin(i * 2 * Math.PI * 300 / Samples.RATE));
        }
        return said;
    }

    private static long red(BufferedImage image) {
        long n = 0;
        for (int y = 0; y < image.getHeight(); y += 2) {
            for (int x = 0; x < image.getWidth(); x += 2) {
                int c = image.getRGB(x, y);
                n += (c >> 16 & 0xff) > 180 && (c >> 8 & 0xff) < 90 && (c & 0xff) < 90 ? 1 : 0;
            }
        }
        return n;
    }

    @Test
    void whatWasShownIsShownAgainWithTheVoiceAfterTheCue() throws Exception {
        Path target = folder.resolve("talk.mp4");
        TalkReel reel = new TalkReel(talk("watch the elbow"), film(), voice(), new DrawingPainter(who -> Color.RED));
        assertThat(reel.durationMs()).isEqualTo(4500);
        assertThat(reel.write(target, x -> {}, () -> false)).isTrue();
        try (FilmFile written = FilmFile.open(target)) {
            assertThat(written.info().durationMs()).isCloseTo(4500, within(100L));
            assertThat(written.info().audio()).isTrue();
            BufferedImage card = Still.of(written, written.frameAt(FilmTime.ofMs(1000)));
            assertThat(card.getRGB(900, 500) & 0xff).as("a card of paper").isBetween(200, 245);
            assertThat(red(Still.of(written, written.frameAt(FilmTime.ofMs(3000)))))
                    .as("before the ring")
                    .isZero();
            assertThat(red(Still.of(written, written.frameAt(FilmTime.ofMs(3700)))))
                    .as("the ring")
                    .isGreaterThan(200);
            assertThat(red(Still.of(written, written.frameAt(FilmTime.ofMs(4300)))))
                    .as("moved on")
                    .isZero();
        }
        assertThat(loudest(target, 0, 3000)).as("the cue and a silent second").isLessThan(1500);
        assertThat(loudest(target, 3700, 4400)).isGreaterThan(6000);
    }

    private static int loudest(Path film, long fromMs, long toMs) throws FilmException {
        try (SoundReader reader = new SoundReader(film)) {
            reader.from(fromMs, 1);
            long wanted = (toMs - fromMs) * Samples.RATE / 1000;
            long heard = 0;
            int most = 0;
            for (short[] s = reader.next(); s != null && heard < wanted; s = reader.next()) {
                for (int i = 0; i < s.length && heard < wanted; i++, heard++) {
                    most = Math.max(most, Math.abs(s[i]));
                }
            }
            return most;
        }
    }

    @Test
    void withoutACueItBeginsAtOnceAndCancelledItLeavesNothing() throws Exception {
        TalkReel reel = new TalkReel(talk(" "), film(), voice(), new DrawingPainter(who -> Color.RED));
        assertThat(reel.durationMs()).isEqualTo(2000);
        int[] asked = {0};
        Path target = folder.resolve("none.mp4");
        assertThat(reel.write(target, x -> {}, () -> asked[0]++ > 5)).isFalse();
        assertThat(target).doesNotExist();
        assertThatExceptionOfType(FilmException.class)
                .isThrownBy(() -> new TalkReel(
                                talk(""), folder.resolve("gone.mp4"), voice(), new DrawingPainter(who -> Color.RED))
                        .write(target, x -> {}, () -> false));
    }

    @Test
    void anAngleIsDrawnWithItsDegrees() {
        BufferedImage image = new BufferedImage(400, 400, BufferedImage.TYPE_INT_RGB);
        var g = image.createGraphics();
        new DrawingPainter(who -> Color.RED).paint(g, List.of(ANGLE), 0, 0, 400, 400);
        g.dispose();
        assertThat(red(image)).isGreaterThan(50);
        // one leg is upright: red right above the corner, none below it
        assertThat(image.getRGB(200, 280) >> 16 & 0xff).isGreaterThan(150);
        assertThat(image.getRGB(260, 390) & 0xffffff).isZero();
    }

    @Test
    void aVoiceSurvivesItsFileAndWhatIsNoneSaysSo() throws Exception {
        Path file = folder.resolve("v.wav");
        WaveFile.write(voice(), file);
        assertThat(WaveFile.read(file)).isEqualTo(voice());
        assertThat(folder.resolve("v.wav.part")).doesNotExist();
        Path broken = Files.writeString(folder.resolve("x.wav"), "not a voice");
        assertThatThrownBy(() -> WaveFile.read(broken))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("x.wav");
    }

    @Test
    void aFilmIsKnownByWhatIsInIt() throws Exception {
        Path a = Files.writeString(folder.resolve("a"), "abc");
        List<Double> shares = new ArrayList<>();
        assertThat(Digest.of(a, shares::add, () -> false))
                .contains("ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad");
        assertThat(shares).endsWith(1.0);
        assertThat(Digest.of(a, x -> {}, () -> true)).isEqualTo(Optional.empty());
        assertThatExceptionOfType(FilmException.class)
                .isThrownBy(() -> Digest.of(folder.resolve("gone"), x -> {}, () -> false))
                .withMessageContaining("Nothing was changed");
    }

    @Test
    void whatIsCutOffIsNotWhole() throws Exception {
        Path film = film();
        Whole.check(film, 100);
        assertThatThrownBy(() -> Whole.check(film, 101))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("100 of 101");
        byte[] bytes = Files.readAllBytes(film);
        Path half = Files.write(folder.resolve("half.mp4"), java.util.Arrays.copyOf(bytes, bytes.length / 2));
        assertThatThrownBy(() -> Whole.check(half, 100)).isInstanceOf(IOException.class);
    }
}
