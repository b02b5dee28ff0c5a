package farglass.film.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import farglass.film.Box;
import farglass.film.FilmException;
import farglass.film.GrayPicture;
import farglass.film.studio.Lettering;
import farglass.type.Typeface;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.nio.ByteBuffer;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class TextReaderTest {
    private static TextReader reader;
    private static TextFinder finder;

    @BeforeAll
    static void open() throws FilmException {
        reader = TextReader.open();
        finder = TextFinder.open();
    }

    @AfterAll
    static void close() {
        reader.close();
        finder.close();
    }

    private static GrayPicture changed(GrayPicture p, double gain, double lift, double noise) {
        Random random = new Random(4);
        byte[] pixels = new byte[p.pixels().length];
        for (int i = 0; i < pixels.length; i++) {
            double v = (p.pixels()[i] & 0xff) * gain + lift + noise * random.nextGaussian();
            pixels[i] = (byte) Math.max(0, Math.min(255, Math.round(v)));
        }
        return new GrayPicture(p.width(), p.height(), pixels);
    }

    private static GrayPicture smaller(GrayPicture p, int height) {
        int width = p.width() * height / p.height();
        byte[] pixels = new byte[width * height];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                int sum = 0;
                int n = 0;
                for (int v = y * p.height() / height; v < Math.max(y + 1, (y + 1) * p.height() / height); v++) {
                    for (int u = x * p.width() / width; u < Math.max(x + 1, (x + 1) * p.width() / width); u++) {
                        sum += p.at(Math.min(u, p.width() - 1), Math.min(v, p.height() - 1));
                        n++;
                    }
                }
                pixels[y * width + x] = (byte) (sum / n);
            }
        }
        return new GrayPicture(width, height, pixels);
    }

    @ParameterizedTest
    @EnumSource(Typeface.class)
    void clocksOfEveryShippedFaceAreRead(Typeface face) throws FilmException {
        for (String clock : List.of("4:32", "0:07", "10:58", "6:11")) {
            TextLine line = reader.read(Lettering.picture(face, clock), TextReader.Kind.CLOCK);
            assertThat(line.text()).isEqualTo(clock);
            assertThat(line.confidence()).isBetween(0.7, 1.0);
        }
    }

    /** Dark on light, hardly apart from its ground, noisy, small. */
    @ParameterizedTest
    @CsvSource({"1, 0, 0, 40", "-0.8, 230, 0, 40", "0.25, 90, 4, 40", "0.8, 20, 25, 40", "0.9, 10, 3, 16"})
    void poorPicturesAreReadToo(double gain, double lift, double noise, int height) throws FilmException {
        GrayPicture sharp = Lettering.picture(Typeface.SANS_SEMIBOLD, "3:49");
        GrayPicture poor = changed(smaller(sharp, height), gain, lift, noise);
        assertThat(reader.read(poor, TextReader.Kind.CLOCK).text()).isEqualTo("3:49");
    }

    @Test
    void namesAreReadAndPlacesOfCharactersRiseFromLeftToRight() throws FilmException {
        TextLine line = reader.read(Lettering.picture(Typeface.SANS_SEMIBOLD, "KELLIVAR 5:21"), TextReader.Kind.ANY);
        assertThat(line.text().replace(" ", "")).isEqualTo("KELLIVAR5:21");
        assertThat(line.at()).hasSize(line.text().length()).isSorted();
        assertThat(line.at().get(line.at().size() - 1)).isCloseTo(0.95, within(0.06));
    }

    @Test
    void onlyDigitsStandInAClock() throws FilmException {
        GrayPicture name = Lettering.picture(Typeface.SANS_SEMIBOLD, "TOLENDT");
        assertThat(reader.read(name, TextReader.Kind.CLOCK).text()).matches("[0-9:.]*");
        TextLine none = reader.read(changed(name, 0, 80, 1), TextReader.Kind.ANY);
        assertThat(none.text()).isEmpty();
        assertThat(none.confidence()).isZero();
    }

    @ParameterizedTest
    @ValueSource(ints = {360, 540})
    void linesAreFoundWhereTheyStand(int height) throws FilmException {
        int width = height * 16 / 9;
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = image.createGraphics();
        g.setColor(new Color(70, 90, 80));
        g.fillRect(0, 0, width, height);
        g.setColor(Color.WHITE);
        new Lettering(Typeface.SANS_SEMIBOLD).draw(g, "4:32", 40, height - 40, 24);
        new Lettering(Typeface.SANS_SEMIBOLD).draw(g, "ANSA KELLIVAR", width / 2.0, 60, 24);
        g.dispose();
        ByteBuffer bgra = ByteBuffer.allocate(4 * width * height);
        for (int argb : image.getRGB(0, 0, width, height, null, 0, width)) {
            bgra.put((byte) argb)
                    .put((byte) (argb >> 8))
                    .put((byte) (argb >> 16))
                    .put((byte) 255);
        }
        List<Box> lines = finder.find(bgra, width, height);
        assertThat(lines).hasSize(2);
        assertThat(lines).anyMatch(b -> holds(b, 45, height - 48) && b.height() < 60);
        assertThat(lines).anyMatch(b -> holds(b, width / 2 + 20, 52) && holds(b, width / 2 + 150, 52));
    }

    private static boolean holds(Box b, int x, int y) {
        return x >= b.x() && x < b.x() + b.width() && y >= b.y() && y < b.y() + b.height();
    }

    @Test
    void aMissingOrDamagedModelIsOneClearMessage() {
        TextModel.Shipped none = new TextModel.Shipped("none.onnx", "00");
        assertThatExceptionOfType(FilmException.class)
                .isThrownBy(() -> TextModel.open(none))
                .withMessageContaining("is missing")
                .withMessageContaining("Everything else works");
        assertThatExceptionOfType(FilmException.class)
                .isThrownBy(() -> TextModel.of(TextModel.READ, new byte[] {1, 2, 3}))
                .withMessageContaining("is damaged")
                .withMessageContaining("Install Far Glass again");
    }
}
