package farglass.print;

import farglass.chart.ChartPlan;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.match.PersonName;
import farglass.match.Result;
import farglass.profile.Claim;
import farglass.profile.ClaimWriter;
import farglass.tendency.Evidence;
import farglass.tendency.Flows;
import farglass.text.CoreWords;
import farglass.time.Dates;
import farglass.type.Typeface;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/**
 * What is known of an athlete, to be read on paper: the report with its stills and the game, where they are given; then
 * the evidence, which is the chosen claims with their bars, dots and stills, the chart, all matches as tide lines, and
 * the sources. Ten claims from a dozen matches fill two pages of A4.
 */
public final class Dossier {
    /** Claims that fill two pages. */
    public static final int USUAL_CLAIMS = 10;

    private static final double MARGIN = 42;
    private static final double BOTTOM = 38;
    private static final double CHART = 205;
    private static final double STILL = 150;
    private static final double SENTENCE = 12.2;
    private static final double GAME = 330;
    private static final double GAME_ROW = 66;
    private static final double TIDE_WIDTH = 94;
    private static final double TIDE_HEIGHT = 20;
    private static final int TIDES = 30;
    private static final double SOURCE_LINE = 9.2;
    private static final int ONE_COLUMN = 24;

    private final String athlete;
    private final String basis;
    private final List<Row> rows;
    private final Evidence evidence;
    private final Flows flows;
    private final ClaimWriter writer;
    private final Color colour;
    /** What stands before the claims; null for the claims alone. */
    private DossierReport report;

    private PaperPage page;
    private double y;
    private int number = 1;

    /**
     * A claim to print.
     *
     * @param sentence its own or the analyst's words
     * @param doubt why the analyst doubts it, or empty
     * @param remark the analyst's remark, or empty
     * @param still one of its moments, or null
     * @param caption of the still
     */
    public record Row(Claim claim, String sentence, String doubt, String remark, BufferedImage still, String caption) {}

    /**
     * @param athlete displayed name
     * @param basis what was counted: filter, matches, time, date
     * @param ours whether it is our own athlete, who has the other colour
     */
    public Dossier(String athlete, String basis, List<Row> rows, Evidence evidence, ClaimWriter writer, boolean ours) {
        this.athlete = athlete;
        this.basis = basis;
        this.rows = List.copyOf(rows);
        this.evidence = evidence;
        this.flows = Flows.of(evidence);
        this.writer = writer;
        this.colour = ours ? Ink.OURS : Ink.THEIRS;
    }

    /** The same with the report before the claims, on pages of its own. */
    public Dossier reporting(DossierReport told) {
        report = told;
        return this;
    }

    /** Nothing half-written is left when it fails. */
    public void write(Path target) throws IOException {
        PaperFile.write(target, athlete, this::draw);
    }

    private void draw(PDDocument document) throws IOException {
        page = new PaperPage(document, PDRectangle.A4);
        try {
            head();
            if (report != null) {
                report();
                game();
                next();
            }
            claims();
            chart();
            tides();
            sources();
            foot();
        } finally {
            page.close();
        }
    }

    private double width() {
        return page.width() - 2 * MARGIN;
    }

    private String surname() {
        return PersonName.last(athlete);
    }

    private void head() throws IOException {
        page.text(athlete, MARGIN, 58, Typeface.SERIF_SEMIBOLD, 23, Ink.INK);
        y = 74;
        for (String line : page.wrapped(basis, width(), Typeface.SANS, 9.5, 3)) {
            page.text(line, MARGIN, y, Typeface.SANS, 9.5, Ink.SOFT);
            y += 12;
        }
        y += 4;
    }

    /** Begins a page when less than {@code height} is left. */
    private void need(double height) throws IOException {
        if (y + height > page.height() - BOTTOM) {
            next();
        }
    }

    private void next() throws IOException {
        foot();
        page = page.next();
        number++;
        y = MARGIN;
    }

    /** Sentences at the left, stills at the right. */
    private void report() throws IOException {
        double picture = report.stills().isEmpty() ? 0 : STILL;
        double column = width() - (picture == 0 ? 0 : picture + 16);
        double top = y + 2;
        double x = page.width() - MARGIN - picture;
        for (DossierReport.Still s : report.stills()) {
            double high = picture * s.image().getHeight() / s.image().getWidth();
            page.picture(s.image(), x, top, picture, high);
            top += high + 9;
            for (String line : page.wrapped(s.caption(), picture, Typeface.CONDENSED, 7.5, 2)) {
                page.text(line, x, top, Typeface.CONDENSED, 7.5, Ink.SOFT);
                top += 9;
            }
            top += 7;
        }
        for (DossierReport.Part p : report.parts()) {
            need(2 * SENTENCE + 14);
            page.text(p.heading(), MARGIN, y + 10, Typeface.CONDENSED_SEMIBOLD, 8.5, Ink.SOFT);
            y += 14;
            for (String sentence : p.sentences()) {
                for (String line : page.wrapped(sentence, column, Typeface.SERIF, 10, 4)) {
                    need(SENTENCE);
                    page.text(line, MARGIN, y + 9, Typeface.SERIF, 10, Ink.INK);
                    y += SENTENCE;
                }
                y += 1.5;
            }
            y += 3;
        }
    }

    private void game() throws IOException {
        next();
        if (!report.figure().boxes().isEmpty()) {
            heading(PrintWords.of("dossier.game", surname().toUpperCase(Locale.ROOT)));
            double high = Math.min(GAME, report.figure().columns() * GAME_ROW);
            new GameDrawing(report.figure(), report.writer(), report.lexicon(), colour)
                    .draw(page, MARGIN, y + 4, width(), high);
            y += high + 16;
            page.text(PrintWords.of("dossier.game.legend"), MARGIN, y, Typeface.CONDENSED, 8, Ink.SOFT);
            y += 16;
        }
        if (!report.sides().isEmpty()) {
            heading(PrintWords.of("dossier.sides"));
            for (String line : report.sides()) {
                page.text(line, MARGIN, y + 9, Typeface.SERIF, 10, Ink.INK);
                y += SENTENCE + 1;
            }
            y += 6;
        }
        numbers();
    }

    /** One line a claim: what, how much, how sure, how often, and what is usual. */
    private void numbers() throws IOException {
        if (report.numbers().isEmpty()) {
            return;
        }
        need(18 + report.numbers().size() * (SENTENCE + 1));
        heading(PrintWords.of("dossier.numbers"));
        double[] at = {MARGIN, MARGIN + 0.5 * width(), MARGIN + 0.57 * width(), MARGIN + 0.68 * width()};
        double others = MARGIN + 0.91 * width();
        for (Claim c : report.numbers()) {
            page.text(writer.sentence(c), at[0], y + 9, Typeface.SERIF, 9, Ink.INK);
            page.text(writer.number(c), at[1], y + 9, Typeface.CONDENSED_SEMIBOLD, 10, colour);
            page.text(writer.interval(c), at[2], y + 9, Typeface.CONDENSED, 8.5, Ink.SOFT);
            page.text(writer.counts(c), at[3], y + 9, Typeface.CONDENSED, 8.5, Ink.SOFT);
            String usual = ClaimWriter.value(c.unit(), c.estimate().baseline());
            page.text(PrintWords.of("dossier.others", usual), others, y + 9, Typeface.CONDENSED, 8.5, Ink.SOFT);
            y += SENTENCE + 1;
        }
    }

    private void foot() throws IOException {
        String words = PrintWords.of("dossier.reading");
        page.text(words, MARGIN, page.height() - 20, Typeface.CONDENSED, 7.5, Ink.SOFT);
        String n = athlete + ", " + number;
        double w = page.textWidth(n, Typeface.CONDENSED, 7.5);
        page.text(n, page.width() - MARGIN - w, page.height() - 20, Typeface.CONDENSED, 7.5, Ink.SOFT);
    }

    private void heading(String text) throws IOException {
        page.rule(MARGIN, page.width() - MARGIN, y, Ink.RULE);
        page.text(text, MARGIN, y + 12, Typeface.CONDENSED_SEMIBOLD, 8.5, Ink.SOFT);
        y += 18;
    }

    private void claims() throws IOException {
        heading(PrintWords.of("dossier.claims", surname().toUpperCase(Locale.ROOT)));
        if (rows.isEmpty()) {
            page.text(PrintWords.of("dossier.no-claims"), MARGIN, y + 11, Typeface.SERIF, 12, Ink.SOFT);
            y += 22;
        }
        for (Row row : rows) {
            ClaimBlock block = new ClaimBlock(row, writer, colour);
            double height = block.height(page, width());
            need(height);
            block.draw(page, MARGIN, y, width());
            y += height;
        }
    }

    private void chart() throws IOException {
        if (flows.flows().isEmpty()) {
            return;
        }
        need(CHART + 42);
        heading(PrintWords.of("dossier.chart", surname().toUpperCase(Locale.ROOT)));
        new ChartDrawing(new ChartPlan(evidence.lexicon()), flows, colour).draw(page, MARGIN, y + 4, width(), CHART);
        y += CHART + 16;
        page.text(PrintWords.of("dossier.chart.legend", surname()), MARGIN, y, Typeface.CONDENSED, 8, Ink.SOFT);
        y += 10;
    }

    private void tides() throws IOException {
        List<Evidence.Seen> all = evidence.matches();
        List<Evidence.Seen> shown = all.subList(Math.max(0, all.size() - TIDES), all.size());
        if (shown.isEmpty()) {
            return;
        }
        int columns = (int) ((width() + 8) / (TIDE_WIDTH + 8));
        need(18 + TIDE_HEIGHT + 12);
        heading(PrintWords.of("dossier.tides", surname().toUpperCase(Locale.ROOT)));
        for (int i = 0; i < shown.size(); i++) {
            int column = i % columns;
            if (column == 0 && i > 0) {
                y += TIDE_HEIGHT + 13;
                need(TIDE_HEIGHT + 13);
            }
            double x = MARGIN + column * (TIDE_WIDTH + 8);
            TideDrawing.draw(page, shown.get(i), evidence.lexicon(), x, y, TIDE_WIDTH, TIDE_HEIGHT);
            MatchRecord r = shown.get(i).record();
            String date = r.details().date() == null
                    ? r.id()
                    : Dates.words(r.details().date());
            page.text(
                    (all.size() - shown.size() + i + 1) + "  " + date,
                    x,
                    y + TIDE_HEIGHT + 8,
                    Typeface.CONDENSED,
                    7,
                    Ink.SOFT);
        }
        y += TIDE_HEIGHT + 16;
    }

    /** One line each; in two columns where there are many. */
    private void sources() throws IOException {
        List<Evidence.Seen> all = evidence.matches();
        if (all.isEmpty()) {
            return;
        }
        int columns = all.size() > ONE_COLUMN ? 2 : 1;
        int left = (all.size() + columns - 1) / columns;
        need(18 + Math.min(left, 6) * SOURCE_LINE);
        heading(PrintWords.of("dossier.sources"));
        y += 7;
        double column = width() / columns;
        for (int i = 0; i < left; i++) {
            need(SOURCE_LINE);
            for (int c = 0; c < columns && i + c * left < all.size(); c++) {
                source(i + c * left, all.get(i + c * left), MARGIN + c * column, column - 8);
            }
            y += SOURCE_LINE;
        }
    }

    private void source(int index, Evidence.Seen seen, double x, double width) throws IOException {
        MatchRecord r = seen.record();
        List<String> parts = new ArrayList<>();
        if (r.details().date() != null) {
            parts.add(Dates.words(r.details().date()));
        }
        if (r.details().event() != null) {
            parts.add(r.details().event());
        }
        parts.add("v " + r.athlete(seen.corner().other()).name());
        parts.add(result(r));
        parts.add(
                r.films().isEmpty()
                        ? PrintWords.of("dossier.no-film")
                        : r.films().stream().map(FilmRef::file).collect(Collectors.joining(", ")));
        String text = (index + 1) + "  " + String.join(", ", parts);
        page.text(page.wrapped(text, width, Typeface.CONDENSED, 7.5, 1).get(0), x, y, Typeface.CONDENSED, 7.5, Ink.INK);
    }

    private static String result(MatchRecord r) {
        Result result = r.details().result();
        if (result == null) {
            return PrintWords.of("dossier.result.open");
        }
        return result.winner() == null
                ? PrintWords.of("dossier.result.draw")
                : PrintWords.of(
                        "dossier.result",
                        r.athlete(result.winner()).surname(),
                        CoreWords.code(result.method().code()));
    }
}
