package farglass.print;

import farglass.type.Typeface;
import java.awt.Color;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** One page being drawn; y runs down from the top edge, in points. */
final class Page implements AutoCloseable {
    private final PDDocument document;
    private final PDRectangle size;
    private final PDPageContentStream out;
    private final Map<Typeface, PDFont> fonts = new EnumMap<>(Typeface.class);

    Page(PDDocument document, PDRectangle size) throws IOException {
        this.document = document;
        this.size = size;
        PDPage page = new PDPage(size);
        document.addPage(page);
        this.out = new PDPageContentStream(document, page);
    }

    double width() {
        return size.getWidth();
    }

    double height() {
        return size.getHeight();
    }

    private PDFont font(Typeface face) throws IOException {
        PDFont font = fonts.get(face);
        if (font == null) {
            try (InputStream in = face.open()) {
                font = PDType0Font.load(document, in, true);
            }
            fonts.put(face, font);
        }
        return font;
    }

    /** Letters the typeface lacks become question marks rather than an error. */
    private String drawable(PDFont font, String text) {
        StringBuilder kept = new StringBuilder();
        text.codePoints().forEach(c -> {
            String s = Character.toString(c);
            try {
                font.encode(s);
                kept.append(s);
            } catch (IOException | IllegalArgumentException e) {
                kept.append('?');
            }
        });
        return kept.toString();
    }

    void text(String text, double x, double y, Typeface face, double points, Color colour) throws IOException {
        PDFont font = font(face);
        out.beginText();
        out.setFont(font, (float) points);
        out.setNonStrokingColor(colour);
        out.newLineAtOffset((float) x, (float) (size.getHeight() - y));
        out.showText(drawable(font, text));
        out.endText();
    }

    double textWidth(String text, Typeface face, double points) throws IOException {
        PDFont font = font(face);
        return font.getStringWidth(drawable(font, text)) / 1000 * points;
    }

    /** Breaks text into lines no wider than {@code width}; at most {@code lines}, the last one ending in three dots. */
    List<String> wrapped(String text, double width, Typeface face, double points, int lines) throws IOException {
        List<String> done = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : text.replaceAll("\\s+", " ").strip().split(" ")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (!line.isEmpty() && textWidth(longer, face, points) > width) {
                done.add(line.toString());
                line.setLength(0);
                line.append(word);
            } else {
                line.setLength(0);
                line.append(longer);
            }
        }
        done.add(line.toString());
        if (done.size() <= lines) {
            return done;
        }
        List<String> cut = new ArrayList<>(done.subList(0, lines));
        cut.set(lines - 1, cut.get(lines - 1) + " ...");
        return cut;
    }

    void fill(double x, double y, double w, double h, Color colour) throws IOException {
        out.setNonStrokingColor(colour);
        out.addRect((float) x, (float) (size.getHeight() - y - h), (float) w, (float) h);
        out.fill();
    }

    void frame(double x, double y, double w, double h, Color colour, double thick) throws IOException {
        out.setStrokingColor(colour);
        out.setLineWidth((float) thick);
        out.addRect((float) x, (float) (size.getHeight() - y - h), (float) w, (float) h);
        out.stroke();
    }

    /** A line that leaves and arrives level. */
    void curve(double x1, double y1, double x2, double y2, Color colour, double thick) throws IOException {
        float h = size.getHeight();
        float middle = (float) ((x1 + x2) / 2);
        out.setStrokingColor(colour);
        out.setLineWidth((float) thick);
        out.moveTo((float) x1, h - (float) y1);
        out.curveTo(middle, h - (float) y1, middle, h - (float) y2, (float) x2, h - (float) y2);
        out.stroke();
    }

    void rule(double x1, double x2, double y, Color colour) throws IOException {
        fill(x1, y, x2 - x1, 0.7, colour);
    }

    @Override
    public void close() throws IOException {
        out.close();
    }
}
