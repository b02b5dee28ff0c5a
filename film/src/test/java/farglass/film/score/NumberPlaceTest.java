package farglass.film.score;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.film.Box;
import farglass.film.GrayPicture;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

class NumberPlaceTest {
    private static final int WIDTH = 200;
    private static final int HEIGHT = 160;
    /** The line that was found: its middle at 100, 80. */
    private static final Box FOUND = new Box(75, 60, 50, 40);

    private static final int GROUND = 30;
    private static final int DIGIT = 220;

    @Test
    void whatFitsStaysWhereItIs() {
        assertThat(set(nought(92, 67, 16, 26, DIGIT, GROUND))).isEqualTo(FOUND);
    }

    @Test
    void aTallDigitGetsItsRoom() {
        Box set = set(nought(90, 55, 20, 50, DIGIT, GROUND));
        assertThat(set.y()).isLessThan(50);
        assertThat(set.y() + set.height()).isGreaterThan(110);
        assertThat(set.x() + set.width() / 2.0).isCloseTo(100, within(1.5));
        assertThat(set.width()).isBetween(30, 45);
    }

    @Test
    void aDigitBesideTheMiddleGetsThere() {
        Box set = set(nought(105, 67, 16, 26, DIGIT, GROUND));
        assertThat(set.x() + set.width() / 2.0).isCloseTo(113, within(1.5));
        assertThat(set.height()).isEqualTo(FOUND.height());
    }

    @Test
    void aDarkDigitWhoseStrokesFillTheBoxIsNotTakenForItsHole() {
        byte[] pixels = ground(DIGIT);
        fill(pixels, 88, 56, 24, 48, GROUND);
        fill(pixels, 96, 62, 8, 36, DIGIT);
        Box set = set(new GrayPicture(WIDTH, HEIGHT, pixels));
        assertThat(set.height()).isCloseTo(67, within(3));
    }

    @Test
    void segmentsThatDoNotTouchAreOneDigit() {
        byte[] pixels = ground(GROUND);
        fill(pixels, 92, 55, 16, 4, DIGIT);
        fill(pixels, 88, 61, 4, 17, DIGIT);
        fill(pixels, 108, 61, 4, 17, DIGIT);
        fill(pixels, 88, 82, 4, 17, DIGIT);
        fill(pixels, 108, 82, 4, 17, DIGIT);
        fill(pixels, 92, 101, 16, 4, DIGIT);
        assertThat(set(new GrayPicture(WIDTH, HEIGHT, pixels)).height()).isCloseTo(69, within(3));
    }

    @Test
    void aFlatPictureAndTooFewSayNothing() {
        GrayPicture tall = nought(90, 55, 20, 50, DIGIT, GROUND);
        assertThat(set(new GrayPicture(WIDTH, HEIGHT, ground(GROUND)))).isEqualTo(FOUND);
        Box area = NumberPlace.around(FOUND, WIDTH, HEIGHT);
        GrayPicture part = part(tall, area);
        assertThat(NumberPlace.set(FOUND, area, List.of(part, part))).isEqualTo(FOUND);
    }

    private static Box set(GrayPicture picture) {
        Box area = NumberPlace.around(FOUND, WIDTH, HEIGHT);
        return NumberPlace.set(FOUND, area, Collections.nCopies(5, part(picture, area)));
    }

    private static GrayPicture nought(int x, int y, int width, int height, int digit, int ground) {
        byte[] pixels = ground(ground);
        fill(pixels, x, y, width, height, digit);
        fill(pixels, x + 4, y + 4, width - 8, height - 8, ground);
        return new GrayPicture(WIDTH, HEIGHT, pixels);
    }

    private static byte[] ground(int ground) {
        byte[] pixels = new byte[WIDTH * HEIGHT];
        Arrays.fill(pixels, (byte) ground);
        return pixels;
    }

    private static void fill(byte[] pixels, int x, int y, int width, int height, int value) {
        for (int v = y; v < y + height; v++) {
            Arrays.fill(pixels, v * WIDTH + x, v * WIDTH + x + width, (byte) value);
        }
    }

    private static GrayPicture part(GrayPicture p, Box b) {
        byte[] pixels = new byte[b.width() * b.height()];
        for (int y = 0; y < b.height(); y++) {
            System.arraycopy(p.pixels(), (b.y() + y) * WIDTH + b.x(), pixels, y * b.width(), b.width());
        }
        return new GrayPicture(b.width(), b.height(), pixels);
    }
}
