package farglass.print;

import farglass.matchup.gameplan.PhaseFigure;
import farglass.matchup.gameplan.PhaseFigure.Box;
import farglass.matchup.gameplan.PhaseFigure.Phase;
import farglass.matchup.gameplan.PhaseFigure.Whose;
import farglass.matchup.gameplan.PhaseLayout;
import farglass.matchup.gameplan.PhaseText;
import farglass.type.Typeface;
import java.awt.Color;
import java.io.IOException;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** A match under the plan, drawn by phases; boxes grow with their words, nothing is cut. */
final class PhaseDrawing {
    private static final double NAME = 8.5;
    private static final double NOTE = 7;
    private static final double LINE = 1.2;
    private static final double PAD = 4;
    private static final double BETWEEN = 7;
    private static final double HEAD = 14;
    private static final double WASH = 0.22;
    private static final int ANY = Integer.MAX_VALUE;

    private final PaperPage measure;
    private final PhaseText text;
    private final double width;
    private final PhaseLayout layout;
    private final Map<PhaseFigure.Key, Words> words = new HashMap<>();

    private record Words(List<String> name, List<String> note) {
        double height() {
            return 2 * PAD + LINE * (NAME * name.size() + NOTE * note.size());
        }
    }

    /** @param measure where its words are measured */
    PhaseDrawing(PaperPage measure, PhaseText text, double width) throws IOException {
        this.measure = measure;
        this.text = text;
        this.width = width;
        double inner = PhaseLayout.boxWidth(width) - 2 * PAD;
        for (Box b : text.figure().boxes()) {
            words.put(
                    b.key(),
                    new Words(
                            measure.wrapped(text.name(b), inner, Typeface.CONDENSED_SEMIBOLD, NAME, ANY),
                            measure.wrapped(text.note(b), inner, Typeface.CONDENSED, NOTE, ANY)));
        }
        layout = PhaseLayout.of(text.figure(), width, b -> words.get(b.key()).height(), BETWEEN);
    }

    /** With its headings and its legend. */
    double height() throws IOException {
        return HEAD + layout.height() + BETWEEN + LINE * NOTE * legend().size();
    }

    private List<String> legend() throws IOException {
        return measure.wrapped(text.legend(), width, Typeface.CONDENSED, NOTE, ANY);
    }

    /** Draws it with its upper left corner at a point of a page. */
    void draw(PaperPage page, double x, double y) throws IOException {
        double top = y + HEAD;
        List<PhaseLayout.Band> bands = layout.bands().stream()
                .sorted(Comparator.comparingDouble(PhaseLayout.Band::thick).reversed())
                .toList();
        for (PhaseLayout.Band b : bands) {
            Color tint = Ink.thin(colour(b.link().to().whose()), WASH);
            page.curve(x + b.x1(), top + b.y1(), x + b.x2(), top + b.y2(), tint, Math.max(0.6, b.thick()));
        }
        double column = 0;
        for (Phase p : Phase.values()) {
            page.text(text.phase(p), x + column, y + NAME, Typeface.CONDENSED_SEMIBOLD, NAME, Ink.SOFT);
            column += (width - PhaseLayout.boxWidth(width)) / (Phase.values().length - 1);
        }
        for (Box b : text.figure().boxes()) {
            box(page, b, x, top);
        }
        double at = top + layout.height() + BETWEEN;
        for (String line : legend()) {
            at += LINE * NOTE;
            page.text(line, x, at, Typeface.CONDENSED, NOTE, Ink.SOFT);
        }
    }

    private void box(PaperPage page, Box b, double x, double top) throws IOException {
        PhaseLayout.Spot s = layout.spots().get(b.key());
        page.fill(x + s.x(), top + s.y(), s.w(), s.h(), Color.WHITE);
        page.frame(x + s.x(), top + s.y(), s.w(), s.h(), colour(b.key().whose()), 0.9);
        double at = top + s.y() + PAD;
        for (String line : words.get(b.key()).name()) {
            at += LINE * NAME;
            page.text(line, x + s.x() + PAD, at - 1.5, Typeface.CONDENSED_SEMIBOLD, NAME, Ink.INK);
        }
        for (String line : words.get(b.key()).note()) {
            at += LINE * NOTE;
            page.text(line, x + s.x() + PAD, at - 1.5, Typeface.CONDENSED, NOTE, Ink.SOFT);
        }
    }

    private static Color colour(Whose w) {
        return switch (w) {
            case OURS -> Ink.OURS;
            case THEIRS -> Ink.THEIRS;
            case NOBODY -> Ink.SOFT;
        };
    }
}
