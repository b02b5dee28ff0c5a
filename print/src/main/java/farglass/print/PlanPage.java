package farglass.print;

import farglass.plan.Fork;
import farglass.plan.PinnedClaim;
import farglass.plan.Plan;
import farglass.type.Typeface;
import java.awt.Color;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** A plan on one page of A4, lying: the forks from left to right, below them what they rest on. */
public final class PlanPage {
    private static final PDRectangle A4_LYING = new PDRectangle(PDRectangle.A4.getHeight(), PDRectangle.A4.getWidth());
    private static final double MARGIN = 36;
    private static final double TOP = 86;
    private static final double ROW = 50;
    private static final double GAP = 34;
    private static final int CLAIMS = 9;
    private static final double CLAIM_LINE = 15;

    private final Plan plan;
    private final String us;
    private final String them;
    private final String occasion;
    private final String caution;

    /**
     * @param us name of our athlete
     * @param them name of the opponent
     * @param occasion event, date, rules
     * @param caution line at the foot of the page
     */
    public PlanPage(Plan plan, String us, String them, String occasion, String caution) {
        this.plan = plan;
        this.us = us;
        this.them = them;
        this.occasion = occasion;
        this.caution = caution;
    }

    /** Nothing half-written is left when it fails. */
    public void write(Path target) throws IOException {
        PaperFile.write(target, plan.title(), document -> {
            try (PaperPage page = new PaperPage(document, A4_LYING)) {
                draw(page);
            }
        });
    }

    private void draw(PaperPage page) throws IOException {
        page.text(plan.title(), MARGIN, 52, Typeface.SERIF_SEMIBOLD, 21, Ink.INK);
        page.text(us + " against " + them + ". " + occasion, MARGIN, 70, Typeface.SANS, 10, Ink.SOFT);
        double bottom = claims(page);
        forks(page, bottom - 12);
        page.text(caution, MARGIN, page.height() - 22, Typeface.SANS, 7.5, Ink.SOFT);
    }

    private void forks(PaperPage page, double bottom) throws IOException {
        int depth = plan.openings().stream().mapToInt(Fork::depth).max().orElse(1);
        int leaves = plan.openings().stream().mapToInt(PlanPage::leaves).sum();
        double column = (page.width() - 2 * MARGIN + GAP) / Math.max(3, depth);
        double row = Math.min(ROW + 8, (bottom - TOP) / Math.max(1, leaves));
        double y = TOP;
        for (Fork f : plan.openings()) {
            fork(page, f, MARGIN, y, column, row);
            y += leaves(f) * row;
        }
    }

    private static int leaves(Fork f) {
        return Math.max(1, f.next().stream().mapToInt(PlanPage::leaves).sum());
    }

    private void fork(PaperPage page, Fork f, double x, double y, double column, double row) throws IOException {
        double w = column - GAP;
        double h = Math.min(ROW, row - 6);
        double middle = y + leaves(f) * row / 2;
        double childY = y;
        for (Fork next : f.next()) {
            double childMiddle = childY + leaves(next) * row / 2;
            page.curve(x + w, middle, x + column, childMiddle, next.ours() ? Ink.OURS_WASH : Ink.THEIRS_WASH, 4);
            fork(page, next, x + column, childY, column, row);
            childY += leaves(next) * row;
        }
        double top = middle - h / 2;
        page.fill(x, top, w, h, Color.WHITE);
        page.frame(x, top, w, h, f.ours() ? Ink.OURS : Ink.THEIRS, 1);
        page.fill(x, top, 3.5, h, f.ours() ? Ink.OURS : Ink.THEIRS);
        int lines = h >= 44 ? 2 : 1;
        double baseline = top + 14;
        for (String line : page.wrapped(f.text(), w - 14, Typeface.SANS_SEMIBOLD, 10, lines)) {
            page.text(line, x + 9, baseline, Typeface.SANS_SEMIBOLD, 10, Ink.INK);
            baseline += 11.5;
        }
        String below = f.note().isBlank() ? restsOn(f) : f.note();
        if (baseline <= top + h - 2) {
            String line = page.wrapped(below, w - 14, Typeface.SANS, 8, 1).get(0);
            page.text(line, x + 9, baseline, Typeface.SANS, 8, Ink.SOFT);
        }
    }

    private static String restsOn(Fork f) {
        if (f.claims().isEmpty()) {
            return "rests on no claim";
        }
        PinnedClaim best = f.claims().get(0);
        String more = f.claims().size() > 1 ? ", and " + (f.claims().size() - 1) + " more" : "";
        return best.grade().name().toLowerCase(java.util.Locale.ROOT) + ": " + best.counts() + more;
    }

    /** The pinned claims at the foot; gives the y at which they begin. */
    private double claims(PaperPage page) throws IOException {
        List<PinnedClaim> shown = plan.pinned().stream().limit(CLAIMS).toList();
        double y = page.height() - 44 - shown.size() * CLAIM_LINE;
        double top = y - 16;
        page.rule(MARGIN, page.width() - MARGIN, top, Ink.RULE);
        String heading = plan.pinned().size() > shown.size()
                ? "WHAT IT RESTS ON (" + shown.size() + " OF " + plan.pinned().size() + " CLAIMS)"
                : "WHAT IT RESTS ON";
        page.text(heading, MARGIN, y - 3, Typeface.CONDENSED_SEMIBOLD, 8.5, Ink.SOFT);
        for (PinnedClaim c : shown) {
            y += CLAIM_LINE;
            double right = page.width() - MARGIN;
            String number =
                    c.number() + "  " + c.counts() + ", " + c.grade().name().toLowerCase(java.util.Locale.ROOT);
            double w = page.textWidth(number, Typeface.CONDENSED_MEDIUM, 9.5);
            page.text(number, right - w, y - 4, Typeface.CONDENSED_MEDIUM, 9.5, Ink.SOFT);
            String sentence = page.wrapped(c.sentence(), right - w - MARGIN - 16, Typeface.SERIF, 10.5, 1)
                    .get(0);
            page.text(sentence, MARGIN, y - 4, Typeface.SERIF, 10.5, Ink.INK);
        }
        return top;
    }
}
