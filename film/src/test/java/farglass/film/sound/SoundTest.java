package farglass.film.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import farglass.film.FilmException;
import farglass.film.Mp4Writer;
import farglass.film.Samples;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SoundTest {
    private static final int SECONDS = 4;
    private static final double TONE = 440;

    @TempDir
    Path folder;

    /** Four seconds of a black picture with a tone of 440 Hz in the second half, silence in the first. */
    private Path film(boolean sound) throws FilmException {
        Path film = folder.resolve(sound ? "tone.mp4" : "mute.mp4");
        new Mp4Writer(64, 64, 25, 20_000, 25)
                .write(film, SECONDS * 25, (image, i) -> {}, sound ? SoundTest::tone : null, x -> {}, () -> false);
        return film;
    }

    private static void tone(short[] samples, long first) {
        for (int i = 0; i < samples.length; i++) {
            double t = (double) (first + i) / Samples.RATE;
            samples[i] = t < SECONDS / 2.0 ? 0 : (short) (12_000 * Math.sin(2 * Math.PI * TONE * t));
        }
    }

    private static short[] all(SoundReader reader) throws FilmException {
        List<Short> all = new ArrayList<>();
        for (short[] s = reader.next(); s != null; s = reader.next()) {
            for (short x : s) {
                all.add(x);
            }
        }
        short[] flat = new short[all.size()];
        for (int i = 0; i < flat.length; i++) {
            flat[i] = all.get(i);
        }
        return flat;
    }

    /** Strength of a frequency (Goertzel 1958). */
    private static double strength(short[] s, int from, double hz) {
        double w = 2 * Math.cos(2 * Math.PI * hz / Samples.RATE);
        double a = 0;
        double b = 0;
        for (int i = from; i < s.length; i++) {
            double c = s[i] + w * a - b;
            b = a;
            a = c;
        }
        return a * a + b * b - w * a * b;
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.125, 0.5, 1, 2})
    void atEverySpeedItLastsAsLongAsThePictureAndKeepsItsPitch(double speed) throws Exception {
        try (SoundReader reader = new SoundReader(film(true))) {
            reader.from(SECONDS * 500, speed);
            short[] heard = all(reader);
            assertThat(heard.length / (double) Samples.RATE)
                    .isCloseTo(SECONDS / 2.0 / speed, within(0.25 / Math.min(1, speed)));
            int middle = heard.length / 2;
            assertThat(strength(heard, middle, TONE))
                    .isGreaterThan(20 * strength(heard, middle, TONE * speed * (speed == 1 ? 1.5 : 1)));
        }
    }

    @Test
    void fromABeginningItIsSilentWhereTheFilmIs() throws Exception {
        try (SoundReader reader = new SoundReader(film(true))) {
            reader.from(0, 1);
            short[] first = reader.next();
            assertThat(strength(first, 0, TONE)).isLessThan(1e7);
        }
    }

    @Test
    void aFilmWithoutSoundSaysSo() throws Exception {
        Path silent = film(false);
        assertThatThrownBy(() -> new SoundReader(silent))
                .isInstanceOf(FilmException.class)
                .hasMessageContaining("no sound");
    }

    /** A line that remembers. */
    private static final class Heard implements SoundLine {
        private final List<short[]> written = new ArrayList<>();
        private final CountDownLatch loud = new CountDownLatch(1);
        private final CountDownLatch closed = new CountDownLatch(1);

        @Override
        public synchronized void write(short[] samples) {
            written.add(samples);
            for (short s : samples) {
                if (Math.abs(s) > 6000) {
                    loud.countDown();
                }
            }
        }

        @Override
        public void drop() {
            // what was written stays, for the test to see
        }

        @Override
        public void close() {
            closed.countDown();
        }
    }

    @Test
    void playsFromWhereItIsToldAndMutedItIsStill() throws Exception {
        Path film = film(true);
        Heard heard = new Heard();
        try (SoundPlayer player = new SoundPlayer(film, () -> heard)) {
            player.play(2500, 1);
            assertThat(heard.loud.await(20, TimeUnit.SECONDS)).isTrue();
        }
        assertThat(heard.closed.await(20, TimeUnit.SECONDS)).isTrue();
        Heard muted = new Heard();
        SoundPlayer player = new SoundPlayer(film, () -> muted);
        player.mute(true);
        player.play(2500, 1);
        assertThat(muted.loud.await(300, TimeUnit.MILLISECONDS)).isFalse();
        player.close();
    }

    @Test
    void theMadeUpVoiceSpeaksAndPauses() {
        short[] said = Voice.MadeUp.syllables(3000);
        assertThat(said).hasSize(3 * Samples.RATE);
        assertThat(said).contains((short) 0);
        assertThat(strength(said, 0, 120)).isGreaterThan(10 * strength(said, 0, 75));
        assertThat(Samples.shorts(Samples.bytes(said), 2 * said.length)).isEqualTo(said);
    }
}
