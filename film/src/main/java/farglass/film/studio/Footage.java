package farglass.film.studio;

import farglass.film.FilmException;
import farglass.film.Mp4Writer;
import farglass.film.sound.HallSound;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.time.ClockMap;
import farglass.time.FilmTime;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;

/** Draws a match record as film. */
public final class Footage {
    private static final int BITRATE = 50_000;
    private static final int KEY_EVERY = 50;

    private final int width;
    private final int height;
    private final double rate;

    /** Footage of the demo: 640x360 at 25 frames a second, about half a megabyte a minute. */
    public static Footage standard() {
        return new Footage(640, 360, 25);
    }

    /**
     * @param width pixels, even
     * @param height pixels, even
     * @param rate frames per second, 24 to 60
     */
    public Footage(int width, int height, double rate) {
        this.width = width;
        this.height = height;
        this.rate = rate;
    }

    /**
     * Renders and encodes a film, beside the target first and then moved into place.
     *
     * @param map what the film shows when; not empty
     * @param progress told the share done, 0..1
     * @param cancelled asked at every frame; when true nothing is left behind
     * @return whether the film was finished
     * @throws FilmException when it cannot be encoded or written
     */
    public boolean make(
            MatchRecord record,
            ClockMap map,
            Lexicon lexicon,
            Path target,
            DoubleConsumer progress,
            BooleanSupplier cancelled)
            throws FilmException {
        Scene scene = new Scene(record, map.segments(), lexicon);
        long durationMs = map.segments().get(map.segments().size() - 1).to().ms();
        int frames = (int) Math.floor(durationMs * rate / 1000);
        return new Mp4Writer(width, height, rate, BITRATE, KEY_EVERY)
                .write(
                        target,
                        frames,
                        (image, i) -> scene.draw(image, FilmTime.ofMs(Math.round(i * 1000 / rate))),
                        new HallSound(record, map)::fill,
                        progress,
                        cancelled);
    }

    /** One picture of the film, without encoding: what {@link #make} would show at {@code f}. */
    public BufferedImage still(MatchRecord record, ClockMap map, Lexicon lexicon, FilmTime f) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
        new Scene(record, map.segments(), lexicon).draw(image, f);
        return image;
    }
}
