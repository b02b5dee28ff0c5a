package farglass.film.reel;

import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.Mp4Writer;
import farglass.film.Samples;
import farglass.film.studio.Lettering;
import farglass.talk.Talk;
import farglass.type.Typeface;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;

/** A spoken breakdown as a film: its cue on a card, then what was shown while it was said, with the voice. */
public final class TalkReel {
    private static final int WIDTH = 960;
    private static final int HEIGHT = 540;
    private static final double RATE = 25;
    private static final int BITRATE = 1_800_000;
    private static final long CARD_MS = 2500;
    private static final Color PAPER = new Color(0xf4efe3);
    private static final Color INK = new Color(0x1b2a34);

    private final Talk talk;
    private final Path film;
    private final short[] voice;
    private final DrawingPainter drawings;
    private final Lettering serif = new Lettering(Typeface.SERIF_SEMIBOLD);

    /** @param voice what was said, {@link Samples#RATE} samples a second */
    public TalkReel(Talk talk, Path film, short[] voice, DrawingPainter drawings) {
        this.talk = talk;
        this.film = film;
        this.voice = voice.clone();
        this.drawings = drawings;
    }

    private long cardMs() {
        return talk.cue().isBlank() ? 0 : CARD_MS;
    }

    public long durationMs() {
        return cardMs() + talk.lengthMs();
    }

    /**
     * @param progress told the share done, 0..1
     * @param cancelled asked at every picture; when true nothing is left behind
     * @return whether it was finished
     * @throws FilmException when the film cannot be read or the new one cannot be written; nothing is left behind
     */
    public boolean write(Path target, DoubleConsumer progress, BooleanSupplier cancelled) throws FilmException {
        try (FilmFile opened = FilmFile.open(film, cancelled)) {
            return new Mp4Writer(WIDTH, HEIGHT, RATE, BITRATE, (int) RATE)
                    .write(
                            target,
                            (int) Math.ceil(durationMs() * RATE / 1000),
                            (image, i) -> draw(image, opened, Math.round(i * 1000 / RATE)),
                            this::speak,
                            progress,
                            cancelled);
        }
    }

    private void draw(BufferedImage image, FilmFile opened, long ms) throws FilmException {
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        if (ms < cardMs()) {
            g.setColor(PAPER);
            g.fillRect(0, 0, WIDTH, HEIGHT);
            g.setColor(INK);
            Cards.lines(serif, talk.cue(), 34, WIDTH - 120)
                    .forEach(l -> serif.draw(g, l.text(), 60, HEIGHT / 2.0 - 20 + l.below(), 34));
        } else {
            Talk.Shown shown = talk.at(ms - cardMs());
            double scale = Math.min(
                    (double) WIDTH / opened.info().shownWidth(),
                    (double) HEIGHT / opened.info().shownHeight());
            int w = Math.max(2, (int) (opened.info().shownWidth() * scale));
            int h = Math.max(2, (int) (opened.info().shownHeight() * scale));
            g.setColor(INK);
            g.fillRect(0, 0, WIDTH, HEIGHT);
            int x = (WIDTH - w) / 2;
            int y = (HEIGHT - h) / 2;
            g.drawImage(Still.of(opened, opened.nearest(opened.frameAt(shown.film())), w, h), x, y, null);
            drawings.paint(g, shown.marks(), x, y, w, h);
        }
        g.dispose();
    }

    private void speak(short[] samples, long first) {
        long from = first - cardMs() * Samples.RATE / 1000;
        for (int i = 0; i < samples.length; i++) {
            long n = from + i;
            samples[i] = n >= 0 && n < voice.length ? voice[(int) n] : 0;
        }
    }
}
