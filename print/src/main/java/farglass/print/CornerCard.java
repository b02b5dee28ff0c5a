package farglass.print;

import farglass.matchup.advise.Decision;
import farglass.matchup.advise.DecisionWriter;
import farglass.matchup.advise.Decisions;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.Proposal;
import farglass.type.Typeface;
import java.awt.Color;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/**
 * What the corner holds: one page, read at two metres. What is decided, their weapons, what is not accepted, what was
 * promised, and a few words to call. The same on A5 and A4, the type larger on A4.
 */
public final class CornerCard {
    private static final double MARGIN = 26;
    private static final int DECISIONS = 5;
    private static final int WEAPONS = 3;
    private static final int PROMISED = 3;
    /** Room kept for the caution at the foot. */
    private static final double FOOT = 26;

    /** Sizes it comes in. */
    public enum Paper {
        A5,
        A4
    }

    private final Proposal proposal;
    private final MeetingWriter writer;
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
    public CornerCard(
            Proposal proposal,
            MeetingWriter writer,
            String title,
            String occasion,
            String caution,
            List<String> conduct) {
        this.proposal = proposal;
        this.writer = writer;
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

        Setting(PaperPage page, double scale) {
            this.page = page;
            this.scale = scale;
        }

        void set() throws IOException {
            y = (MARGIN + 14) * scale;
            page.text(title, MARGIN * scale, y, Typeface.SERIF_SEMIBOLD, 19 * scale, Ink.INK);
            y += 14 * scale;
            page.text(occasion, MARGIN * scale, y, Typeface.SANS, 8 * scale, Ink.SOFT);
            DecisionWriter decided = writer.decisions();
            List<Decision> decisions = proposal.decisions().valued().stream()
                    .map(Decisions.Valued::decision)
                    .toList();
            heading("card.plan");
            decisions.stream().limit(DECISIONS).forEach(d -> lines.add(new Line(decided.sentence(d), Ink.OURS, true)));
            flush();
            heading("card.weapons");
            proposal.weapons().stream()
                    .limit(WEAPONS)
                    .forEach(w -> lines.add(new Line(decided.threat(w), Ink.THEIRS, false)));
            flush();
            if (!proposal.refuse().isEmpty()) {
                heading("card.refuse");
                proposal.refuse().forEach(r -> lines.add(new Line(decided.place(r), Ink.ALARM, false)));
                flush();
            }
            int promised = Math.min(PROMISED, conduct.size());
            if (promised > 0) {
                heading("card.promised");
                conduct.stream().limit(promised).forEach(c -> lines.add(new Line(c, Ink.OURS, false)));
                flush();
            }
            heading("card.calls");
            line(String.join(" \u00b7 ", decided.calls(decisions)), Ink.INK, true);
            List<String> care = page.wrapped(caution, page.width() - 2 * MARGIN * scale, Typeface.SANS, 6 * scale, 2);
            for (int i = 0; i < care.size(); i++) {
                double foot = page.height() - (12 + 7.5 * (care.size() - 1 - i)) * scale;
                page.text(care.get(i), MARGIN * scale, foot, Typeface.SANS, 6 * scale, Ink.SOFT);
            }
        }

        private record Line(String text, Color colour, boolean strong) {}

        private final List<Line> lines = new ArrayList<>();

        private void flush() throws IOException {
            for (Line l : lines) {
                line(l.text(), l.colour(), l.strong());
            }
            lines.clear();
        }

        private void heading(String key) throws IOException {
            y += 20 * scale;
            if (room(12)) {
                page.text(PrintWords.of(key), MARGIN * scale, y, Typeface.CONDENSED_SEMIBOLD, 9 * scale, Ink.SOFT);
            }
        }

        private void line(String text, Color colour, boolean strong) throws IOException {
            Typeface face = strong ? Typeface.SANS_SEMIBOLD : Typeface.SANS;
            double size = (strong ? 16.5 : 15) * scale;
            double width = page.width() - 2 * MARGIN * scale - 8 * scale;
            boolean first = true;
            for (String part : page.wrapped(text, width, face, size, 2)) {
                double step = size * (first ? 1.32 : 1.15);
                if (!room(step / scale)) {
                    return;
                }
                y += step;
                if (first) {
                    page.fill(MARGIN * scale, y - size * 0.78, 3 * scale, size * 0.9, colour);
                }
                page.text(part, (MARGIN + 8) * scale, y, face, size, Ink.INK);
                first = false;
            }
        }

        private boolean room(double more) {
            return y + more * scale <= page.height() - FOOT * scale;
        }
    }
}
