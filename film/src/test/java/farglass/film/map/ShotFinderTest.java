package farglass.film.map;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.film.GrayPicture;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Scenes of random shapes, filmed by a camera that may move, with the light changed in every way but a cut. */
class ShotFinderTest {
    private static final int WIDTH = 48;
    private static final int HEIGHT = 27;
    private static final int MARGIN = 60;
    private static final long FRAME = 40;

    private final List<GrayPicture> film = new ArrayList<>();

    /** What light does to a pixel of a picture at a place of the film. */
    private interface Light {
        double of(double value, int x, int y, int frame);
    }

    private static double[][] scene(long seed) {
        Random random = new Random(seed);
        double[][] v = new double[HEIGHT + 2 * MARGIN][WIDTH + 2 * MARGIN];
        for (int shape = 0; shape < 260; shape++) {
            int w = 2 + random.nextInt(14);
            int h = 2 + random.nextInt(10);
            int left = random.nextInt(v[0].length - w);
            int top = random.nextInt(v.length - h);
            double bright = 20 + 200 * random.nextDouble();
            for (int y = top; y < top + h; y++) {
                for (int x = left; x < left + w; x++) {
                    v[y][x] = bright;
                }
            }
        }
        return v;
    }

    private static GrayPicture picture(double[][] scene, double dx, double dy, int frame, Light light) {
        Random noise = new Random(frame);
        byte[] pixels = new byte[WIDTH * HEIGHT];
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < WIDTH; x++) {
                double v = light.of(at(scene, x + dx, y + dy), x, y, frame) + 0.6 * noise.nextGaussian();
                pixels[y * WIDTH + x] = (byte) Math.max(0, Math.min(255, Math.round(v)));
            }
        }
        return new GrayPicture(WIDTH, HEIGHT, pixels);
    }

    private static double at(double[][] scene, double x, double y) {
        int left = MARGIN + (int) Math.floor(x);
        int top = MARGIN + (int) Math.floor(y);
        double fx = x - Math.floor(x);
        double fy = y - Math.floor(y);
        return (scene[top][left] * (1 - fx) + scene[top][left + 1] * fx) * (1 - fy)
                + (scene[top + 1][left] * (1 - fx) + scene[top + 1][left + 1] * fx) * fy;
    }

    private void shot(long seed, int frames, double panPerFrame, Light light) {
        double[][] scene = scene(seed);
        for (int i = 0; i < frames; i++) {
            double sway = panPerFrame * (i - frames / 2.0);
            film.add(picture(scene, sway, sway / 3, film.size(), light));
        }
    }

    private List<Integer> found() {
        long[] ms = new long[film.size()];
        for (int i = 0; i < ms.length; i++) {
            ms[i] = FRAME * i;
        }
        return ShotFinder.of(film, ms);
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 0.3, 0.9})
    void cutsAreFoundToThePicture(double pan) {
        for (int i = 0; i < 8; i++) {
            shot(i, 60, pan, (v, x, y, frame) -> v);
        }
        assertThat(found()).containsExactly(60, 120, 180, 240, 300, 360, 420);
    }

    @Test
    void lightIsNoCut() {
        shot(1, 400, 0.1, (v, x, y, frame) -> {
            boolean spot = frame % 120 >= 60;
            double rim = spot && Math.hypot(x - 24, y - 13) > 9 ? 0.25 : 1;
            double fade = 0.6 + 0.4 * Math.cos(frame / 15.0);
            return frame % 90 < 2 ? 250 : v * rim * fade;
        });
        assertThat(found()).isEmpty();
    }

    @Test
    void aFreezeAndItsEndAreNoCuts() {
        shot(2, 50, 0.4, (v, x, y, frame) -> v);
        GrayPicture still = film.get(49);
        for (int i = 0; i < 40; i++) {
            film.add(still);
        }
        double[][] scene = scene(2);
        for (int i = 0; i < 50; i++) {
            film.add(picture(scene, 10 + 0.4 * i, (10 + 0.4 * i) / 3, film.size(), (v, x, y, frame) -> v));
        }
        assertThat(found()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(ints = {12, 25, 38})
    void aDissolveIsOneBoundaryInItsMiddle(int frames) {
        double[][] a = scene(3);
        double[][] b = scene(4);
        shot(3, 60, 0, (v, x, y, frame) -> v);
        for (int i = 1; i <= frames; i++) {
            double w = (double) i / (frames + 1);
            film.add(picture(a, 0, 0, film.size(), (v, x, y, frame) -> v * (1 - w) + w * b[MARGIN + y][MARGIN + x]));
        }
        shot(4, 60, 0, (v, x, y, frame) -> v);
        assertThat(found()).hasSize(1);
        assertThat(found().get(0)).isBetween(60 + frames / 2 - 12, 60 + frames / 2 + 12);
    }

    @Test
    void throughBlackIsABoundaryOnlyIntoAnotherScene() {
        shot(5, 40, 0, (v, x, y, frame) -> v);
        shot(5, 10, 0, (v, x, y, frame) -> 3);
        shot(5, 40, 0, (v, x, y, frame) -> v);
        assertThat(found()).isEmpty();
        shot(5, 10, 0, (v, x, y, frame) -> 3);
        shot(6, 40, 0, (v, x, y, frame) -> v);
        assertThat(found()).containsExactly(100);
    }

    @Test
    void nothingIsFoundWhereThereIsNothing() {
        assertThat(found()).isEmpty();
        shot(7, 1, 0, (v, x, y, frame) -> v);
        assertThat(found()).isEmpty();
    }
}
