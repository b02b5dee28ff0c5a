package farglass.print;

import farglass.type.Typeface;
import java.awt.Color;
import java.io.IOException;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** Text set down a page and on to the next, with the same words at the foot of each. */
final class Sheets implements AutoCloseable {
    static final double MARGIN = 46;
    private static final double BOTTOM = 56;
    private static final int FOOT_LINES = 3;

    private final String foot;
    private PaperPage page;
    private double y = MARGIN;

    Sheets(PDDocument document, String foot) throws IOException {
        this.page = new PaperPage(document, PDRectangle.A4);
        this.foot = foot;
    }

    PaperPage page() {
        return page;
    }

    double y() {
        return y;
    }

    double width() {
        return page.width() - 2 * MARGIN;
    }

    void skip(double points) {
        y += points;
    }

    /** Goes on to the next page when there is no room for something so high. */
    void need(double height) throws IOException {
        if (y + height > page.height() - BOTTOM) {
            turn();
        }
    }

    void turn() throws IOException {
        drawFoot();
        page = page.next();
        y = MARGIN;
    }

    private void drawFoot() throws IOException {
        double at = page.height() - 36;
        for (String line : page.wrapped(foot, width(), Typeface.SANS, 7.5, FOOT_LINES)) {
            page.text(line, MARGIN, at, Typeface.SANS, 7.5, Ink.SOFT);
            at += 9.5;
        }
    }

    void title(String text, String below) throws IOException {
        for (String line : page.wrapped(text, width(), Typeface.SERIF_SEMIBOLD, 20, 2)) {
            y += 18;
            page.text(line, MARGIN, y, Typeface.SERIF_SEMIBOLD, 20, Ink.INK);
            y += 4;
        }
        y += 13;
        page.text(below, MARGIN, y, Typeface.SANS, 9.5, Ink.SOFT);
        y += 12;
    }

    void heading(String text) throws IOException {
        need(40);
        page.rule(MARGIN, page.width() - MARGIN, y, Ink.RULE);
        y += 13;
        page.text(text, MARGIN, y, Typeface.CONDENSED_SEMIBOLD, 9, Ink.SOFT);
        y += 6;
    }

    /** A paragraph of at most eight lines. */
    void text(String text, Typeface face, double points, Color colour) throws IOException {
        text(text, face, points, colour, 0);
    }

    void text(String text, Typeface face, double points, Color colour, double indent) throws IOException {
        for (String line : page.wrapped(text, width() - indent, face, points, 8)) {
            need(points * 1.4);
            y += points * 1.3;
            page.text(line, MARGIN + indent, y, face, points, colour);
        }
    }

    @Override
    public void close() throws IOException {
        drawFoot();
        page.close();
    }
}
