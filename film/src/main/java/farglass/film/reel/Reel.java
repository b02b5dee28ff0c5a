package farglass.film.reel;

import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.FilmInfo;
import farglass.film.Mp4Writer;
import farglass.film.studio.Lettering;
import farglass.match.Drawing;
import farglass.time.FilmTime;
import farglass.type.Typeface;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.nio.ByteBuffer;
import java.nio.file.Path;
import java.util.List;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;

/** Clips one after the other as one film: before each a card, under the picture a line that says what it is. */
public final class Reel {
    private static final int USUAL_WIDTH = 960;
    private static final int USUAL_HEIGHT = 540;
    private static final double RATE = 25;
    /** Bits a second for every thousand points of a picture. */
    private static final int BITS = 3500;

    private static final long CARD_MS = 1800;
    private static final Color PAPER = new Color(0xf4efe3);
    private static final Color INK = new Color(0x1b2a34);
    private static final Color SOFT = new Color(0x5b6a72);
    private static final double MARGIN = 60;

    private final int width;
    private final int height;
    private final List<Clip> clips;
    private final DrawingPainter drawings;
    private final Lettering serif = new Lettering(Typeface.SERIF_SEMIBOLD);
    private final Lettering sans = new Lettering(Typeface.SANS);

    /** @param painter draws the clips' drawings */
    public Reel(List<Clip> clips, DrawingPainter painter) {
        this(clips, painter, USUAL_WIDTH, USUAL_HEIGHT);
    }

    /** @param width, height of the picture, even and positive */
    public Reel(List<Clip> clips, DrawingPainter painter, int width, int height) {
        this.width = width;
        this.height = height;
        this.clips = List.copyOf(clips);
        this.drawings = painter;
    }

    /** How long the whole reel is, ms. */
    public long durationMs() {
        return clips.stream().mapToLong(c -> CARD_MS + c.shownMs()).sum();
    }

    /**
     * @param progress told the share done, 0..1
     * @param cancelled asked at every picture; when true nothing is left behind
     * @return whether it was finished
     * @throws FilmException when a film cannot be read or the reel cannot be written; nothing is left behind
     */
    public boolean write(Path target, DoubleConsumer progress, BooleanSupplier cancelled) throws FilmException {
        try (Painter painter = new Painter()) {
            return new Mp4Writer(width, height, RATE, width * height / 1000 * BITS, (int) RATE)
                    .write(
                            target,
                            (int) (durationMs() * RATE / 1000),
                            (image, i) -> painter.draw(image, Math.round(i * 1000 / RATE)),
                            progress,
                            cancelled);
        }
    }

    /** Draws the reel at any moment; keeps the film of the present clip open. */
    private final class Painter implements AutoCloseable {
        private FilmFile film;
        private BufferedImage frame;
        private ByteBuffer pixels;

        void draw(BufferedImage image, long ms) throws FilmException {
            long left = ms;
            for (int i = 0; i < clips.size(); i++) {
                Clip c = clips.get(i);
                if (left < CARD_MS) {
                    card(image, c, i);
                    return;
                }
                left -= CARD_MS;
                if (left < c.shownMs() || i == clips.size() - 1) {
                    picture(image, c, Math.min(left, c.shownMs() - 1));
                    return;
                }
                left -= c.shownMs();
            }
        }

        private void card(BufferedImage image, Clip c, int index) {
            Graphics2D g = graphics(image);
            g.setColor(PAPER);
            g.fillRect(0, 0, width, height);
            g.setColor(SOFT);
            if (clips.size() > 1) {
                sans.draw(g, (index + 1) + " of " + clips.size(), MARGIN, MARGIN + 10, 18);
            }
            g.setColor(INK);
            double top = height / 2.0 - 20;
            List<Cards.Line> lines = Cards.lines(serif, c.title(), 36, width - 2 * MARGIN);
            lines.forEach(l -> serif.draw(g, l.text(), MARGIN, top + l.below(), 36));
            g.setColor(SOFT);
            sans.draw(g, c.line(), MARGIN, top + lines.get(lines.size() - 1).below() + 46, 20);
            g.dispose();
        }

        private void picture(BufferedImage image, Clip c, long shownMs) throws FilmException {
            if (film == null || !film.path().equals(c.film())) {
                close();
                film = FilmFile.openForward(c.film(), () -> false);
            }
            FilmInfo info = film.info();
            double scale = Math.min((double) width / info.shownWidth(), (double) height / info.shownHeight());
            int w = Math.max(2, (int) (info.shownWidth() * scale));
            int h = Math.max(2, (int) (info.shownHeight() * scale));
            FilmTime now = c.at(shownMs);
            if (frame == null || frame.getWidth() != w || frame.getHeight() != h) {
                frame = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
                pixels = ByteBuffer.allocateDirect(4 * w * h);
            }
            Still.into(film, film.nearest(film.frameAt(now)), frame, pixels);
            Graphics2D g = graphics(image);
            g.setColor(INK);
            g.fillRect(0, 0, width, height);
            g.drawImage(frame, (width - w) / 2, (height - h) / 2, null);
            for (Drawing d : c.drawings()) {
                if (d.shownAt(now)) {
                    drawings.paint(g, d.marks(), (width - w) / 2.0, (height - h) / 2.0, w, h);
                }
            }
            g.setColor(INK);
            double wide = sans.width(c.line(), 17);
            g.fillRect(12, 12, (int) wide + 20, 30);
            g.setColor(PAPER);
            sans.draw(g, c.line(), 22, 33, 17);
            g.dispose();
        }

        private Graphics2D graphics(BufferedImage image) {
            Graphics2D g = image.createGraphics();
            g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
            return g;
        }

        @Override
        public void close() {
            if (film != null) {
                film.close();
                film = null;
            }
        }
    }
}
