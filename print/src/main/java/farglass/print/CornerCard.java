package farglass.print;

import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.Proposal;
import farglass.matchup.solve.Option;
import farglass.type.Typeface;
import java.awt.Color;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/**
 * What the corner holds: one page, read at arm's length. How it opens, what follows, where never, what to do at which
 * score, and a few words to shout. The same on A5 and A4, the type larger on A4.
 */
public final class CornerCard {
    private static final double MARGIN = 26;
    private static final int FOLLOWS = 4;
    private static final int ADVICE = 6;
    private static final int PLACES = 3;
    private static final int PROMISED = 3;
    private static final int SHOUTS = 4;
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
            Proposal.Node root = proposal.root();
            heading("card.open");
            line(writer.option(root.option()), Ink.OURS, true);
            heading("card.then");
            root.next().stream().limit(FOLLOWS).forEach(n -> lines.add(new Line(then(n), colour(n), false)));
            flush();
            heading("card.never");
            proposal.avoid().stream()
                    .limit(PLACES)
                    .forEach(w -> lines.add(new Line(writer.place(w.place()), Ink.ALARM, false)));
            flush();
            int promised = Math.min(PROMISED, conduct.size());
            if (promised > 0) {
                heading("card.promised");
                conduct.stream().limit(promised).forEach(c -> lines.add(new Line(c, Ink.OURS, false)));
                flush();
            }
            heading("card.clock");
            // the page is one page: what is promised takes the room of the weakest advice
            proposal.guide().stream()
                    .limit(ADVICE - promised)
                    .forEach(g -> lines.add(new Line(writer.guide(g), Ink.INK, false)));
            flush();
            heading("card.shout");
            line(shouts(), Ink.INK, true);
            page.text(
                    page.wrapped(caution, page.width() - 2 * MARGIN * scale, Typeface.SANS, 6 * scale, 1)
                            .get(0),
                    MARGIN * scale,
                    page.height() - 12 * scale,
                    Typeface.SANS,
                    6 * scale,
                    Ink.SOFT);
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
            double size = (strong ? 15 : 12.5) * scale;
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

    private static Color colour(Proposal.Node n) {
        return Boolean.TRUE.equals(n.ours()) ? Ink.OURS : n.ours() == null ? Ink.SOFT : Ink.THEIRS;
    }

    /** "Brisa: guard pull, Brisa's lasso guard (48%): press the back take". */
    private String then(Proposal.Node n) {
        String where = n.won() == null ? ", " + writer.place(n.place()) : "";
        String what = writer.way(n) + where + " (" + writer.percent(n.chance()) + ")";
        return n.option().kind() == Option.Kind.NATURAL ? what : what + ": " + writer.option(n.option());
    }

    /** The techniques that are pressed most, as words to call out. */
    private String shouts() {
        List<String> words = new ArrayList<>();
        for (Proposal.Guide g : proposal.guide()) {
            String word = g.option().kind() == Option.Kind.PRESS
                    ? writer.technique(g.option().technique())
                    : writer.option(g.option());
            String loud = word.toUpperCase(Locale.ENGLISH);
            if (!words.contains(loud) && words.size() < SHOUTS) {
                words.add(loud);
            }
        }
        return String.join(" / ", words);
    }
}
