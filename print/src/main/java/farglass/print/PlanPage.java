package farglass.print;

import farglass.plan.Fork;
import farglass.plan.PinnedClaim;
import farglass.plan.Plan;
import farglass.text.CoreWords;
import farglass.type.Typeface;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/**
 * A plan on A4, lying: the forks from left to right, below them what they rest on. Openings that have no room in
 * readable type go on on further pages; nothing is cut.
 */
public final class PlanPage {
    private static final PDRectangle A4_LYING = new PDRectangle(PDRectangle.A4.getHeight(), PDRectangle.A4.getWidth());
    private static final double MARGIN = 36;
    private static final double FOOT = 44;
    private static final double TITLE = 24;
    private static final int CLAIMS = 9;
    /** Type in which all forks stay on one page, of the usual. */
    private static final double SMALLEST = 0.65;

    private static final double STEP = 0.05;
    private static final double SHRINK = 0.95;
    private static final double LEAST = 0.2;
    private static final int ANY = Integer.MAX_VALUE;
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
        PaperFile.write(target, plan.title(), document -> draw(new PaperPage(document, A4_LYING)));
    }

    private void draw(PaperPage first) throws IOException {
        PaperPage page = first;
        double top = head(page);
        double bottom = claims(page) - 12;
        double scale = 1;
        while (scale > SMALLEST && high(drawing(page, scale)) > bottom - top) {
            scale -= STEP;
        }
        double y = top;
        for (Fork f : plan.openings()) {
            ForkDrawing forks = drawing(page, scale);
            if (y > top && y + forks.height(f) > bottom) {
                page = page.next();
                top = head(page);
                bottom = page.height() - FOOT;
                y = top;
            }
            // what is higher than a page by itself is set as small as it must be
            while (y + forks.height(f) > bottom && scale > LEAST) {
                scale *= SHRINK;
                forks = drawing(page, scale);
            }
            forks.draw(page, f, MARGIN, y);
            y += forks.height(f);
        }
        page.close();
    }

    private ForkDrawing drawing(PaperPage page, double scale) {
        int depth = plan.openings().stream().mapToInt(Fork::depth).max().orElse(1);
        return new ForkDrawing(page, page.width() - 2 * MARGIN, Math.max(3, depth), scale);
    }

    private double high(ForkDrawing forks) throws IOException {
        double sum = 0;
        for (Fork f : plan.openings()) {
            sum += forks.height(f);
        }
        return sum;
    }

    /** Title and occasion at the head, caution at the foot; gives the y below the head. */
    private double head(PaperPage page) throws IOException {
        double width = page.width() - 2 * MARGIN;
        double y = 52 - TITLE;
        for (String line : page.wrapped(plan.title(), width, Typeface.SERIF_SEMIBOLD, 21, ANY)) {
            y += TITLE;
            page.text(line, MARGIN, y, Typeface.SERIF_SEMIBOLD, 21, Ink.INK);
        }
        y += 5;
        String who = PrintWords.of("plan.who", us, them, occasion);
        for (String line : page.wrapped(who, width, Typeface.SANS, 10, ANY)) {
            y += 13;
            page.text(line, MARGIN, y, Typeface.SANS, 10, Ink.SOFT);
        }
        List<String> care = page.wrapped(caution, width, Typeface.SANS, 7.5, ANY);
        for (int i = 0; i < care.size(); i++) {
            page.text(
                    care.get(i),
                    MARGIN,
                    page.height() - 16 - 8.5 * (care.size() - 1 - i),
                    Typeface.SANS,
                    7.5,
                    Ink.SOFT);
        }
        return y + 16;
    }

    /** The pinned claims at the foot; gives the y at which they begin. */
    private double claims(PaperPage page) throws IOException {
        List<PinnedClaim> shown = plan.pinned().stream().limit(CLAIMS).toList();
        double right = page.width() - MARGIN;
        List<List<String>> sentences = new ArrayList<>();
        double high = 0;
        for (PinnedClaim c : shown) {
            double w = page.textWidth(number(c), Typeface.CONDENSED_MEDIUM, 9.5);
            List<String> lines = page.wrapped(c.sentence(), right - w - MARGIN - 16, Typeface.SERIF, 10.5, ANY);
            sentences.add(lines);
            high += CLAIM_LINE + 12 * (lines.size() - 1);
        }
        double y = page.height() - FOOT - high;
        double top = y - 16;
        page.rule(MARGIN, right, top, Ink.RULE);
        String heading = plan.pinned().size() > shown.size()
                ? PrintWords.of("plan.rests.some", shown.size(), plan.pinned().size())
                : PrintWords.of("plan.rests");
        page.text(heading, MARGIN, y - 3, Typeface.CONDENSED_SEMIBOLD, 8.5, Ink.SOFT);
        for (int i = 0; i < shown.size(); i++) {
            y += CLAIM_LINE;
            String number = number(shown.get(i));
            double w = page.textWidth(number, Typeface.CONDENSED_MEDIUM, 9.5);
            page.text(number, right - w, y - 4, Typeface.CONDENSED_MEDIUM, 9.5, Ink.SOFT);
            for (String line : sentences.get(i)) {
                page.text(line, MARGIN, y - 4, Typeface.SERIF, 10.5, Ink.INK);
                y += 12;
            }
            y -= 12;
        }
        return top;
    }

    private static String number(PinnedClaim c) {
        return c.number() + "  " + c.counts() + ", "
                + CoreWords.code(c.grade().name().toLowerCase(Locale.ROOT));
    }
}
