package farglass.print;

import farglass.plan.Fork;
import farglass.plan.PinnedClaim;
import farglass.text.CoreWords;
import farglass.type.Typeface;
import java.awt.Color;
import java.io.IOException;
import java.util.List;
import java.util.Locale;

/** Forks from left to right; a box is as high as its words need, nothing is cut. */
final class ForkDrawing {
    private static final double GAP = 34;
    private static final double TEXT = 10;
    private static final double NOTE = 8;
    private static final double LINE = 1.18;
    private static final double PAD = 5;
    private static final double BETWEEN = 7;
    private static final double INSET = 14;
    private static final int ANY = Integer.MAX_VALUE;

    private final PaperPage measure;
    private final double column;
    private final double scale;

    /**
     * @param measure where words are measured
     * @param width of the whole drawing
     * @param depth columns of it
     * @param scale of its type, 1 for the usual one
     */
    ForkDrawing(PaperPage measure, double width, int depth, double scale) {
        this.measure = measure;
        this.column = (width + GAP) / depth;
        this.scale = scale;
    }

    private double width() {
        return column - GAP;
    }

    /** What a fork takes with all that follows it. */
    double height(Fork f) throws IOException {
        double next = 0;
        for (Fork n : f.next()) {
            next += height(n);
        }
        return Math.max(box(f) + BETWEEN * scale, next);
    }

    private double box(Fork f) throws IOException {
        return scale * (2 * PAD + LINE * (TEXT * text(f).size() + NOTE * note(f).size()));
    }

    private List<String> text(Fork f) throws IOException {
        return measure.wrapped(f.text(), width() - INSET, Typeface.SANS_SEMIBOLD, TEXT * scale, ANY);
    }

    private List<String> note(Fork f) throws IOException {
        String note = f.note().isBlank() ? restsOn(f) : f.note();
        return measure.wrapped(note, width() - INSET, Typeface.SANS, NOTE * scale, ANY);
    }

    /** Draws a fork and what follows it with its upper left corner at a point of a page. */
    void draw(PaperPage page, Fork f, double x, double y) throws IOException {
        double middle = y + height(f) / 2;
        double all = 0;
        for (Fork n : f.next()) {
            all += height(n);
        }
        double childY = y + (height(f) - all) / 2;
        for (Fork n : f.next()) {
            double childMiddle = childY + height(n) / 2;
            page.curve(x + width(), middle, x + column, childMiddle, wash(n), 4);
            draw(page, n, x + column, childY);
            childY += height(n);
        }
        double h = box(f);
        double top = middle - h / 2;
        Color colour = f.ours() ? Ink.OURS : Ink.THEIRS;
        page.fill(x, top, width(), h, Color.WHITE);
        page.frame(x, top, width(), h, colour, 1);
        page.fill(x, top, 3.5, h, colour);
        double at = top + PAD * scale;
        for (String line : text(f)) {
            at += LINE * TEXT * scale;
            page.text(line, x + 9, at - 2 * scale, Typeface.SANS_SEMIBOLD, TEXT * scale, Ink.INK);
        }
        for (String line : note(f)) {
            at += LINE * NOTE * scale;
            page.text(line, x + 9, at - 2 * scale, Typeface.SANS, NOTE * scale, Ink.SOFT);
        }
    }

    private static Color wash(Fork f) {
        return f.ours() ? Ink.OURS_WASH : Ink.THEIRS_WASH;
    }

    private static String restsOn(Fork f) {
        if (f.claims().isEmpty()) {
            return PrintWords.of("fork.bare");
        }
        PinnedClaim best = f.claims().get(0);
        String grade = CoreWords.code(best.grade().name().toLowerCase(Locale.ROOT));
        int more = f.claims().size() - 1;
        return more == 0
                ? PrintWords.of("fork.rests", grade, best.counts())
                : PrintWords.of("fork.rests.more", grade, best.counts(), more);
    }
}
