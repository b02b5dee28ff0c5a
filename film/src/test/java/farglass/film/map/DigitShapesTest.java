package farglass.film.map;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.film.GrayPicture;
import farglass.film.studio.Lettering;
import farglass.type.Typeface;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** A clock's own digits tell what it shows, also where its minutes were misread all the time. */
class DigitShapesTest {
    private static final int WIDE = 64;
    private static final int HIGH = 26;
    private static final double[] AT = {11, 33, 48};
    private static final Lettering LETTERS = new Lettering(Typeface.SANS_SEMIBOLD);

    private final Random noise = new Random(5);

    /** @param lift pixels by which each digit stands higher than the one before it */
    private GrayPicture picture(int minutes, int seconds, double lift) {
        BufferedImage image = new BufferedImage(WIDE, HIGH, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D g = image.createGraphics();
        int[] digits = {minutes, seconds / 10, seconds % 10};
        g.setColor(new Color(235, 235, 235));
        for (int i = 0; i < digits.length; i++) {
            LETTERS.draw(g, Integer.toString(digits[i]), (int) AT[i] - 6, (int) (21 - lift * i), 20);
        }
        g.dispose();
        byte[] pixels = new byte[WIDE * HIGH];
        for (int i = 0; i < pixels.length; i++) {
            int v = image.getRaster().getSample(i % WIDE, i / WIDE, 0) + noise.nextInt(24);
            pixels[i] = (byte) Math.min(255, v);
        }
        return new GrayPicture(WIDE, HIGH, pixels);
    }

    private DigitShapes.Sample sample(int minutes, int seconds, String read, double lift) {
        return new DigitShapes.Sample(picture(minutes, seconds, lift), read, List.of(AT[0], AT[1], AT[2]));
    }

    /** A minute of the clock, its minutes read as noughts. */
    private List<DigitShapes.Sample> minute(double lift) {
        List<DigitShapes.Sample> samples = new ArrayList<>();
        for (int s = 0; s < 60; s++) {
            samples.add(sample(7, s, String.format("0%02d", s), lift));
        }
        return samples;
    }

    @Test
    void secondsAndMinutesAreToldByTheDigitsOfTheSeconds() {
        for (double lift : new double[] {0, 1}) {
            DigitShapes shapes = DigitShapes.of(minute(lift)).orElseThrow();
            for (int seconds : new int[] {0, 17, 38, 59}) {
                for (int minutes = 1; minutes < 9; minutes++) {
                    DigitShapes.Told told =
                            shapes.read(picture(minutes, seconds, lift)).orElseThrow();
                    assertThat(told.seconds()).isEqualTo(seconds);
                    assertThat(told.digits()).isEqualTo(3);
                    assertThat(told.minutes()).isIn(minutes, -1);
                }
            }
            assertThat(shapes.read(picture(4, 21, lift)).orElseThrow().minutes())
                    .isEqualTo(4);
        }
    }

    @Test
    void theSameMinutesLookTheSame() {
        DigitShapes shapes = DigitShapes.of(minute(0)).orElseThrow();
        DigitShapes.Told seven = shapes.read(picture(7, 12, 0)).orElseThrow();
        assertThat(seven.sameMinutes(shapes.read(picture(7, 45, 0)).orElseThrow()))
                .isTrue();
        assertThat(seven.sameMinutes(shapes.read(picture(8, 12, 0)).orElseThrow()))
                .isFalse();
    }

    @Test
    void anotherPictureSaysNothing() {
        DigitShapes shapes = DigitShapes.of(minute(0)).orElseThrow();
        byte[] pixels = new byte[WIDE * HIGH];
        noise.nextBytes(pixels);
        assertThat(shapes.read(new GrayPicture(WIDE, HIGH, pixels))).isEmpty();
        assertThat(shapes.read(new GrayPicture(WIDE, HIGH, new byte[WIDE * HIGH])))
                .isEmpty();
    }

    @Test
    void fewDisplaysOrMisreadOnesGiveNoShapes() {
        assertThat(DigitShapes.of(minute(0).subList(0, 5))).isEmpty();
        List<DigitShapes.Sample> misread = new ArrayList<>();
        for (int s = 0; s < 60; s++) {
            misread.add(sample(7, s, String.format("0%02d", noise.nextInt(60)), 0));
        }
        assertThat(DigitShapes.of(misread)).isEmpty();
    }
}
