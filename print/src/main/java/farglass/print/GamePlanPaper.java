package farglass.print;

import farglass.matchup.gameplan.GamePage;
import farglass.matchup.gameplan.GamePage.Heading;
import farglass.type.Typeface;
import java.awt.Color;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/**
 * The game plan on a page of A4, standing: the drawing above two columns, in the largest type in which they fit. A
 * drawing that would leave too little room stands on a page after them, and what does not fit in the smallest type goes
 * on on a second page. Nothing is cut.
 */
public final class GamePlanPaper {
    private static final double MARGIN = 40;
    private static final double GUTTER = 22;
    private static final double FOOT = 40;
    /** Where the columns begin, below title and occasion. */
    private static final double HEAD = 22;

    /** Between title and occasion. */
    private static final double GAP = 4;

    private static final double LARGEST = 11;
    private static final double SMALLEST = 7.5;
    private static final double STEP = 0.25;
    /** In smaller type the drawing would be dear: it stands on a page of its own. */
    private static final double READABLE = 8.25;
    /** Below the drawing. */
    private static final double UNDER = 6;

    private static final int ANY = Integer.MAX_VALUE;
    private static final Map<Heading, Color> COLOURS =
            Map.of(Heading.WEAPONS, Ink.THEIRS, Heading.REFUSE, Ink.ALARM, Heading.LEARN, Ink.RULE);

    private final GamePage game;
    private final String title;
    private final String occasion;
    private final String caution;

    /**
     * @param title whom it is against
     * @param occasion event, date, rules
     * @param caution at the foot of the page
     */
    public GamePlanPaper(GamePage game, String title, String occasion, String caution) {
        this.game = game;
        this.title = title;
        this.occasion = occasion;
        this.caution = caution;
    }

    /** Nothing half-written is left when it fails. */
    public void write(Path target) throws IOException {
        PaperFile.write(target, title, document -> draw(document).close());
    }

    /** Draws it; the last page is still open. */
    PaperPage draw(PDDocument document) throws IOException {
        PaperPage page = new PaperPage(document, PDRectangle.A4);
        PhaseDrawing drawing = new PhaseDrawing(page, game.drawing(), page.width() - 2 * MARGIN);
        double top = top(page);
        double room = drawing.height() + UNDER;
        double size = size(page, top + room);
        boolean above = size >= READABLE;
        if (!above) {
            size = size(page, top);
        }
        double y = head(page);
        if (above) {
            drawing.draw(page, MARGIN, y);
            y += room;
        }
        page = columns(page, size, y);
        if (!above) {
            page = page.next();
            drawing.draw(page, MARGIN, head(page));
        }
        return page;
    }

    /** The largest type in which all of it fits below a line, or the smallest. */
    private double size(PaperPage page, double top) throws IOException {
        double size = LARGEST;
        while (size > SMALLEST && !fits(blocks(page, size), top, page.height() - FOOT)) {
            size -= STEP;
        }
        return size;
    }

    /** Sets both columns from a line down, on further pages from their head; returns the last page. */
    private PaperPage columns(PaperPage first, double size, double below) throws IOException {
        PaperPage page = first;
        double top = below;
        double y = top;
        int column = 0;
        for (Block b : blocks(page, size)) {
            if (y + b.needs() > page.height() - FOOT && y > top) {
                column++;
                if (column % 2 == 0) {
                    page = page.next();
                    top = head(page);
                }
                y = top;
            }
            double x = MARGIN + (column % 2) * (width(page) + GUTTER);
            for (Row r : b.rows()) {
                y += r.step();
                page.text(r.text(), x + r.indent(), y, r.face(), r.size(), r.ink());
                if (r.mark() != null) {
                    page.fill(x, y - 0.72 * r.size(), 2.5, 0.85 * r.size(), r.mark());
                }
            }
        }
        return page;
    }

    /** Where the columns begin. */
    private double top(PaperPage page) throws IOException {
        double full = page.width() - 2 * MARGIN;
        int titles = page.wrapped(title, full, Typeface.SERIF_SEMIBOLD, 21, ANY).size();
        int occasions = page.wrapped(occasion, full, Typeface.SANS, 9.5, ANY).size();
        return 28 + 24 * titles + GAP + 12 * occasions + HEAD - 14;
    }

    private double head(PaperPage page) throws IOException {
        double full = page.width() - 2 * MARGIN;
        double y = 28;
        for (String line : page.wrapped(title, full, Typeface.SERIF_SEMIBOLD, 21, ANY)) {
            y += 24;
            page.text(line, MARGIN, y, Typeface.SERIF_SEMIBOLD, 21, Ink.INK);
        }
        y += GAP;
        for (String line : page.wrapped(occasion, full, Typeface.SANS, 9.5, ANY)) {
            y += 12;
            page.text(line, MARGIN, y, Typeface.SANS, 9.5, Ink.SOFT);
        }
        double foot = page.height() - 16;
        List<String> care = page.wrapped(caution, full, Typeface.SANS, 7, ANY);
        for (int i = 0; i < care.size(); i++) {
            page.text(care.get(i), MARGIN, foot - 8.5 * (care.size() - 1 - i), Typeface.SANS, 7, Ink.SOFT);
        }
        return top(page);
    }

    private double width(PaperPage page) {
        return (page.width() - 2 * MARGIN - GUTTER) / 2;
    }

    private static boolean fits(List<Block> blocks, double top, double bottom) {
        int column = 0;
        double y = top;
        for (Block b : blocks) {
            if (y + b.needs() > bottom && y > top) {
                column++;
                y = top;
            }
            y += b.height();
        }
        return column < 2;
    }

    /** @param mark colour of the bar before it, or null */
    private record Row(String text, double step, double indent, Typeface face, double size, Color ink, Color mark) {}

    /**
     * Rows that stay together.
     *
     * @param needs room that must be left for it, with what must follow in the same column
     */
    private record Block(List<Row> rows, double needs) {
        double height() {
            return rows.stream().mapToDouble(Row::step).sum();
        }
    }

    private List<Block> blocks(PaperPage page, double size) throws IOException {
        List<Block> all = new ArrayList<>();
        for (GamePage.Part part : game.parts()) {
            List<Block> lines = new ArrayList<>();
            for (GamePage.Line l : part.lines()) {
                GamePage.Line said = part.heading() == Heading.CALLS ? call(l) : l;
                lines.add(line(page, said, COLOURS.getOrDefault(part.heading(), Ink.OURS), size));
            }
            Row heading = new Row(
                    part.title().toUpperCase(java.util.Locale.ROOT),
                    1.75 * size,
                    0,
                    Typeface.CONDENSED_SEMIBOLD,
                    0.85 * size,
                    Ink.SOFT,
                    null);
            // a heading never stands alone at the foot of a column
            all.add(new Block(List.of(heading), heading.step() + lines.get(0).height()));
            all.addAll(lines);
        }
        return all;
    }

    /** A call with its situation, in one line. */
    private static GamePage.Line call(GamePage.Line l) {
        String text = l.notes().isEmpty()
                ? l.text()
                : PrintWords.of("page.call", l.text(), l.notes().get(0));
        return new GamePage.Line(text, List.of(), List.of(), false);
    }

    private Block line(PaperPage page, GamePage.Line l, Color colour, double size) throws IOException {
        List<Row> rows = new ArrayList<>();
        boolean strong = !l.notes().isEmpty();
        Typeface face = strong ? Typeface.SANS_SEMIBOLD : Typeface.SANS;
        double indent = strong ? 7 : 0;
        boolean first = true;
        for (String text : page.wrapped(l.text(), width(page) - indent, face, size, ANY)) {
            rows.add(new Row(
                    text, (first ? 1.5 : 1.22) * size, indent, face, size, Ink.INK, first && strong ? colour : null));
            first = false;
        }
        double small = 0.86 * size;
        for (String text : strong
                ? page.wrapped(String.join(" ", l.notes()), width(page) - indent, Typeface.SANS, small, ANY)
                : List.<String>of()) {
            rows.add(new Row(text, 1.22 * small, indent, Typeface.SANS, small, Ink.SOFT, null));
        }
        return new Block(rows, rows.stream().mapToDouble(Row::step).sum());
    }
}
