package farglass.print;

import farglass.type.Typeface;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.image.JPEGFactory;

/** One page being drawn; y runs down from the top edge, in points. */
final class PaperPage implements AutoCloseable {
    /** Control points of a quarter circle. */
    private static final double ARC = 0.5523;
    /** Of pictures, 0 to 1. */
    private static final float QUALITY = 0.85f;

    private final PDDocument document;
    private final PDRectangle size;
    private final PDPageContentStream out;
    private final Faces faces;

    /** The first page of a document. */
    PaperPage(PDDocument document, PDRectangle size) throws IOException {
        this(document, size, new Faces(document));
    }

    private PaperPage(PDDocument document, PDRectangle size, Faces faces) throws IOException {
        this.document = document;
        this.size = size;
        this.faces = faces;
        PDPage page = new PDPage(size);
        document.addPage(page);
        this.out = new PDPageContentStream(document, page);
    }

    /** A page after this one, with the same typefaces; this one is finished. */
    PaperPage next() throws IOException {
        close();
        return new PaperPage(document, size, faces);
    }

    double width() {
        return size.getWidth();
    }

    double height() {
        return size.getHeight();
    }

    void text(String text, double x, double y, Typeface face, double points, Color colour) throws IOException {
        out.beginText();
        out.setNonStrokingColor(colour);
        out.newLineAtOffset((float) x, (float) (size.getHeight() - y));
        for (Faces.Run r : faces.runs(text, face)) {
            out.setFont(r.font(), (float) points);
            out.showText(r.text());
        }
        out.endText();
    }

    double textWidth(String text, Typeface face, double points) throws IOException {
        double width = 0;
        for (Faces.Run r : faces.runs(text, face)) {
            width += r.font().getStringWidth(r.text()) / 1000 * points;
        }
        return width;
    }

    /** Breaks text into lines no wider than {@code width}; at most {@code lines}, the last one ending in three dots. */
    List<String> wrapped(String text, double width, Typeface face, double points, int lines) throws IOException {
        List<String> done = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : words(text, width, face, points)) {
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

    /** Words; one that is wider than a line by itself is cut where the line ends. */
    private List<String> words(String text, double width, Typeface face, double points) throws IOException {
        List<String> words = new ArrayList<>();
        for (String word : text.replaceAll("\\s+", " ").strip().split(" ")) {
            String left = word;
            while (left.length() > 1 && textWidth(left, face, points) > width) {
                int most = left.length() - 1;
                while (most > 1 && textWidth(left.substring(0, most), face, points) > width) {
                    most = most > 20 ? most * 3 / 4 : most - 1;
                }
                most = Character.isHighSurrogate(left.charAt(most - 1)) && most > 1 ? most - 1 : most;
                words.add(left.substring(0, most));
                left = left.substring(most);
            }
            words.add(left);
        }
        return words;
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

    /** A circle, filled or as a ring. */
    void circle(double x, double y, double r, Color colour, boolean filled) throws IOException {
        float cx = (float) x;
        float cy = (float) (size.getHeight() - y);
        float a = (float) r;
        float k = (float) (r * ARC);
        out.moveTo(cx - a, cy);
        out.curveTo(cx - a, cy + k, cx - k, cy + a, cx, cy + a);
        out.curveTo(cx + k, cy + a, cx + a, cy + k, cx + a, cy);
        out.curveTo(cx + a, cy - k, cx + k, cy - a, cx, cy - a);
        out.curveTo(cx - k, cy - a, cx - a, cy - k, cx - a, cy);
        if (filled) {
            out.setNonStrokingColor(colour);
            out.fill();
        } else {
            out.setStrokingColor(colour);
            out.setLineWidth(0.8f);
            out.stroke();
        }
    }

    void line(double x1, double y1, double x2, double y2, Color colour, double thick) throws IOException {
        out.setStrokingColor(colour);
        out.setLineWidth((float) thick);
        out.moveTo((float) x1, size.getHeight() - (float) y1);
        out.lineTo((float) x2, size.getHeight() - (float) y2);
        out.stroke();
    }

    /** A bow through a control point. */
    void bow(double x1, double y1, double cx, double cy, double x2, double y2, Color colour, double thick)
            throws IOException {
        float h = size.getHeight();
        out.setStrokingColor(colour);
        out.setLineWidth((float) thick);
        out.moveTo((float) x1, h - (float) y1);
        // a quadratic curve as a cubic one
        out.curveTo(
                (float) (x1 + 2 * (cx - x1) / 3),
                h - (float) (y1 + 2 * (cy - y1) / 3),
                (float) (x2 + 2 * (cx - x2) / 3),
                h - (float) (y2 + 2 * (cy - y2) / 3),
                (float) x2,
                h - (float) y2);
        out.stroke();
    }

    /** A filled triangle. */
    void triangle(double[] xs, double[] ys, Color colour) throws IOException {
        float h = size.getHeight();
        out.setNonStrokingColor(colour);
        out.moveTo((float) xs[0], h - (float) ys[0]);
        out.lineTo((float) xs[1], h - (float) ys[1]);
        out.lineTo((float) xs[2], h - (float) ys[2]);
        out.closePath();
        out.fill();
    }

    void picture(BufferedImage image, double x, double y, double w, double h) throws IOException {
        out.drawImage(
                JPEGFactory.createFromImage(document, image, QUALITY),
                (float) x,
                (float) (size.getHeight() - y - h),
                (float) w,
                (float) h);
    }

    void rule(double x1, double x2, double y, Color colour) throws IOException {
        fill(x1, y, x2 - x1, 0.7, colour);
    }

    @Override
    public void close() throws IOException {
        out.close();
    }
}
