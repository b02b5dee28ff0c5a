package farglass.film.studio;

import farglass.film.GrayPicture;
import farglass.type.Typeface;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.io.RandomAccessReadBufferedFile;

/** Draws letters as outlines of a shipped typeface, without any font system. */
public final class Lettering {
    private static final int PICTURE_SIZE = 48;

    private final TrueTypeFont font;
    private final double unit;
    private final Map<Integer, Path2D> outlines = new HashMap<>();

    public Lettering(Typeface face) {
        this(parsed(face));
    }

    private Lettering(TrueTypeFont font) {
        this.font = font;
        try {
            unit = 1.0 / font.getUnitsPerEm();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static TrueTypeFont parsed(Typeface face) {
        try (InputStream in = face.open()) {
            return new TTFParser().parse(new RandomAccessReadBuffer(in));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * Letters of another typeface.
     *
     * @param file TrueType outlines
     * @throws IOException when it holds none that can be read
     */
    public static Lettering of(Path file) throws IOException {
        return new Lettering(new TTFParser().parse(new RandomAccessReadBufferedFile(file.toFile())));
    }

    /** A short text, light on dark, as a picture of its brightness: what a score bar would show of it. */
    public static GrayPicture picture(Typeface face, String text) {
        Lettering letters = new Lettering(face);
        int width = (int) Math.ceil(letters.width(text, PICTURE_SIZE)) + 16;
        BufferedImage image = new BufferedImage(width, PICTURE_SIZE + 16, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setColor(Color.WHITE);
        letters.draw(g, text, 8, PICTURE_SIZE, PICTURE_SIZE);
        g.dispose();
        byte[] pixels = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        return new GrayPicture(width, image.getHeight(), pixels.clone());
    }

    /** Draws text with its baseline at y and gives the x after it. */
    public double draw(Graphics2D g, String text, double x, double y, double size) {
        double pen = x;
        AffineTransform before = g.getTransform();
        for (int c : text.codePoints().toArray()) {
            g.translate(pen, y);
            g.scale(size * unit, -size * unit);
            g.fill(outline(c));
            g.setTransform(before);
            pen += advance(c) * size;
        }
        return pen;
    }

    /** Width of a text at a size, in the same unit. */
    public double width(String text, double size) {
        return text.codePoints().mapToDouble(this::advance).sum() * size;
    }

    /** Whether the typeface draws every one of these characters. */
    public boolean has(String characters) {
        return characters.codePoints().noneMatch(c -> outline(c).getCurrentPoint() == null);
    }

    private double advance(int c) {
        try {
            return font.getAdvanceWidth(font.getUnicodeCmapLookup().getGlyphId(c)) * unit;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Path2D outline(int c) {
        return outlines.computeIfAbsent(c, code -> {
            try {
                int glyph = font.getUnicodeCmapLookup().getGlyphId(code);
                return glyph == 0 || font.getGlyph().getGlyph(glyph) == null
                        ? new Path2D.Double()
                        : font.getGlyph().getGlyph(glyph).getPath();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }
}
