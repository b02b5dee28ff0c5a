package farglass.print;

import farglass.matchup.gameplan.GamePage;
import farglass.matchup.gameplan.GamePage.Heading;
import farglass.type.Typeface;
import java.awt.Color;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/**
 * What the corner holds: one page, read at two metres. What is decided, their weapons, what is not accepted, what was
 * promised, and a few words to call. The same on A5 and A4, the type larger on A4.
 */
public final class CornerCard {
    private static final double MARGIN = 26;
    private static final int DECISIONS = 5;
    private static final int WEAPONS = 3;
    private static final String BETWEEN_CALLS = " \u00b7 ";
    private static final int PROMISED = 3;
    private static final double HEADING = 20;
    /** Room kept for the caution at the foot. */
    private static final double FOOT = 26;

    /** Sizes it comes in. */
    public enum Paper {
        A5,
        A4
    }

    private final GamePage game;
    private final String title;
    private final String occasion;
    private final String caution;
    private final List<String> conduct;

    /**
     * @param title whom it is against
     * @param occasion event, date, rules
     * @param caution line at the foot of the page
     * @param conduct clauses as written
     */
    public CornerCard(GamePage game, String title, String occasion, String caution, List<String> conduct) {
        this.game = game;
        this.title = title;
        this.occasion = occasion;
        this.caution = caution;
        this.conduct = List.copyOf(conduct);
    }

    /** Nothing half-written is left when it fails. */
    public void write(Path target, Paper paper) throws IOException {
        PDRectangle size = paper == Paper.A4 ? PDRectangle.A4 : PDRectangle.A5;
        PaperFile.write(target, title, document -> {
            try (PaperPage page = new PaperPage(document, size)) {
                new Setting(page, size.getWidth() / PDRectangle.A5.getWidth()).set();
            }
        });
    }

    /** One page being set; lines that find no room any more are left out, the last ones first. */
    private final class Setting {
        private final PaperPage page;
        private final double scale;
        private double y;
        /** Below it nothing more is set. */
        private double floor;

        Setting(PaperPage page, double scale) {
            this.page = page;
            this.scale = scale;
        }

        void set() throws IOException {
            List<String> calls = lines(Heading.CALLS)
                    .map(GamePage.Line::text)
                    .reduce((a, b) -> a + BETWEEN_CALLS + b)
                    .map(List::of)
                    .orElse(List.of());
            y = (MARGIN - 8) * scale;
            for (String part : rows(title, Typeface.SERIF_SEMIBOLD, 19 * scale)) {
                y += 22 * scale;
                page.text(part, MARGIN * scale, y, Typeface.SERIF_SEMIBOLD, 19 * scale, Ink.INK);
            }
            y += 4 * scale;
            for (String part : rows(occasion, Typeface.SANS, 8 * scale)) {
                y += 11 * scale;
                page.text(part, MARGIN * scale, y, Typeface.SANS, 8 * scale, Ink.SOFT);
            }
            floor = page.height() - FOOT * scale;
            // the calls stand last, and nothing before them takes their room
            for (String call : calls) {
                floor -= HEADING * scale + height(call, true);
            }
            List<GamePage.Line> decided = Stream.of(Heading.DECISIONS, Heading.SCORE)
                    .flatMap(this::lines)
                    // what is said of all of them together rests on nothing of its own
                    .filter(l -> !l.notes().isEmpty())
                    .limit(DECISIONS)
                    .toList();
            part("card.plan", decided, Ink.OURS, true);
            part("card.weapons", lines(Heading.WEAPONS).limit(WEAPONS).toList(), Ink.THEIRS, false);
            part(
                    "card.refuse",
                    lines(Heading.REFUSE).filter(l -> !l.notes().isEmpty()).toList(),
                    Ink.ALARM,
                    false);
            if (!conduct.isEmpty()) {
                heading("card.promised");
                for (String c : conduct.subList(0, Math.min(PROMISED, conduct.size()))) {
                    line(c, Ink.OURS, false);
                }
            }
            floor = page.height() - FOOT * scale;
            heading("card.calls");
            for (String call : calls) {
                line(call, Ink.INK, true);
            }
            List<String> care = page.wrapped(caution, page.width() - 2 * MARGIN * scale, Typeface.SANS, 6 * scale, 2);
            for (int i = 0; i < care.size(); i++) {
                double foot = page.height() - (12 + 7.5 * (care.size() - 1 - i)) * scale;
                page.text(care.get(i), MARGIN * scale, foot, Typeface.SANS, 6 * scale, Ink.SOFT);
            }
        }

        private Stream<GamePage.Line> lines(Heading heading) {
            return game.part(heading).stream().flatMap(p -> p.lines().stream());
        }

        private void part(String key, List<GamePage.Line> lines, Color colour, boolean strong) throws IOException {
            if (lines.isEmpty()) {
                return;
            }
            heading(key);
            for (GamePage.Line l : lines) {
                line(l.likely() ? PrintWords.of("card.likely", l.text()) : l.text(), colour, strong);
            }
        }

        private void heading(String key) throws IOException {
            y += HEADING * scale;
            if (y <= floor) {
                page.text(PrintWords.of(key), MARGIN * scale, y, Typeface.CONDENSED_SEMIBOLD, 9 * scale, Ink.SOFT);
            }
        }

        private List<String> rows(String text, Typeface face, double size) throws IOException {
            double width = page.width() - 2 * MARGIN * scale - 8 * scale;
            return page.wrapped(text, width, face, size, Integer.MAX_VALUE);
        }

        private Typeface face(boolean strong) {
            return strong ? Typeface.SANS_SEMIBOLD : Typeface.SANS;
        }

        private double size(boolean strong) {
            return (strong ? 16.5 : 15) * scale;
        }

        private double height(String text, boolean strong) throws IOException {
            int more = rows(text, face(strong), size(strong)).size() - 1;
            return size(strong) * (1.32 + 1.15 * more);
        }

        /** A line, whole or not at all. */
        private void line(String text, Color colour, boolean strong) throws IOException {
            if (y + height(text, strong) > floor) {
                return;
            }
            double size = size(strong);
            boolean first = true;
            for (String part : rows(text, face(strong), size)) {
                y += size * (first ? 1.32 : 1.15);
                if (first) {
                    page.fill(MARGIN * scale, y - size * 0.78, 3 * scale, size * 0.9, colour);
                }
                page.text(part, (MARGIN + 8) * scale, y, face(strong), size, Ink.INK);
                first = false;
            }
        }
    }
}
