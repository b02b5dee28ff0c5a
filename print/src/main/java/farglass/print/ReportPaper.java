package farglass.print;

import farglass.profile.Report;
import farglass.stats.Trial;
import farglass.type.Typeface;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Function;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** An athlete's own report as a page to hand over: every fault beside where it was done right, then what went well. */
public final class ReportPaper {
    private static final double MARGIN = 42;
    private static final double BOTTOM = 46;
    private static final double STILL_WIDTH = 112;
    private static final double STILL_HEIGHT = 63;
    private static final int MOMENTS = 6;

    private final Report report;
    private final String basis;
    private final Function<Trial, String> where;
    private final Function<Trial, BufferedImage> stills;
    private final Function<String, String> techniques;
    private PaperPage page;
    private double y;

    /**
     * @param basis match or period, date
     * @param where words for a moment: match and time
     * @param stills the picture of a moment, or null
     * @param techniques name of a technique's code
     */
    public ReportPaper(
            Report report,
            String basis,
            Function<Trial, String> where,
            Function<Trial, BufferedImage> stills,
            Function<String, String> techniques) {
        this.report = report;
        this.basis = basis;
        this.where = where;
        this.stills = stills;
        this.techniques = techniques;
    }

    /** Nothing half-written is left when it fails. */
    public void write(Path target) throws IOException {
        PaperFile.write(target, PrintWords.of("report.title", report.name()), this::draw);
    }

    private void draw(PDDocument document) throws IOException {
        page = new PaperPage(document, PDRectangle.A4);
        try {
            page.text(PrintWords.of("report.title", report.name()), MARGIN, 58, Typeface.SERIF_SEMIBOLD, 22, Ink.INK);
            page.text(basis, MARGIN, 74, Typeface.SANS, 9.5, Ink.SOFT);
            y = 88;
            heading(PrintWords.of("report.faults"));
            if (report.faults().isEmpty()) {
                line(PrintWords.of("report.no-faults"), Typeface.SERIF, 12, Ink.SOFT, 16);
            }
            for (Report.Fault f : report.faults()) {
                fault(f);
            }
            if (report.faults().stream().anyMatch(f -> f.unpunished() > 0)) {
                line(PrintWords.of("report.free"), Typeface.SANS_SEMIBOLD, 9.5, Ink.INK, 18);
            }
            need(40);
            heading(PrintWords.of("report.praise"));
            if (report.praise().isEmpty()) {
                line(PrintWords.of("report.no-praise"), Typeface.SERIF, 12, Ink.SOFT, 16);
            }
            for (Report.Praise p : report.praise()) {
                need(34);
                line(p.subject() + " (" + p.trials().size() + "\u00d7)", Typeface.SERIF, 12, Ink.INK, 13);
                line(moments(p.trials()), Typeface.CONDENSED, 8.5, Ink.SOFT, 17);
            }
            foot();
        } finally {
            page.close();
        }
    }

    private double width() {
        return page.width() - 2 * MARGIN;
    }

    private void need(double height) throws IOException {
        if (y + height > page.height() - BOTTOM) {
            foot();
            page = page.next();
            y = MARGIN + 10;
        }
    }

    private void foot() throws IOException {
        double at = page.height() - 28;
        for (String line : page.wrapped(PrintWords.of("report.caution"), width(), Typeface.SANS, 7.5, 2)) {
            page.text(line, MARGIN, at, Typeface.SANS, 7.5, Ink.SOFT);
            at += 9.5;
        }
    }

    private void heading(String text) throws IOException {
        page.rule(MARGIN, page.width() - MARGIN, y, Ink.RULE);
        page.text(text, MARGIN, y + 13, Typeface.CONDENSED_SEMIBOLD, 9, Ink.SOFT);
        y += 32;
    }

    private void line(String text, Typeface face, double points, Color colour, double down) throws IOException {
        for (String part : page.wrapped(text, width(), face, points, 2)) {
            page.text(part, MARGIN, y, face, points, colour);
            y += down;
        }
    }

    private String moments(List<Trial> trials) {
        StringBuilder text = new StringBuilder();
        trials.stream().limit(MOMENTS).forEach(t -> {
            text.append(text.isEmpty() ? "" : "; ").append(where.apply(t));
        });
        return text + (trials.size() > MOMENTS ? "; +" + (trials.size() - MOMENTS) : "");
    }

    /** Words at the left; at the right the fault and beside it the example, where there is film of them. */
    private void fault(Report.Fault f) throws IOException {
        need(STILL_HEIGHT + 26);
        double top = y - 10;
        double text = width() - 2 * STILL_WIDTH - 24;
        put(f.subject(), text, Typeface.SERIF, 13, Ink.INK, 15);
        put(
                PrintWords.of("report.counts", f.trials().size(), f.punished(), f.unpunished(), f.untold()),
                text,
                Typeface.SANS_SEMIBOLD,
                9.5,
                f.punished() > 0 ? Ink.ALARM : Ink.INK,
                12);
        put(moments(f.trials()), text, Typeface.CONDENSED, 8.5, Ink.SOFT, 11);
        double right = page.width() - MARGIN - 2 * STILL_WIDTH - 8;
        f.trials().stream()
                .map(stills)
                .filter(java.util.Objects::nonNull)
                .findFirst()
                .ifPresent(i -> picture(i, right, top));
        if (!f.instead().isEmpty()) {
            String instead =
                    f.example().map(e -> techniques.apply(e.technique())).orElse(f.instead());
            put(PrintWords.of("report.instead", instead), text, Typeface.SANS_SEMIBOLD, 10, Ink.THEIRS, 12);
            if (f.example().isEmpty()) {
                put(PrintWords.of("report.no-example"), text, Typeface.CONDENSED, 8.5, Ink.SOFT, 11);
            } else {
                Report.Example e = f.example().get();
                String at = where.apply(e.trial());
                put(
                        e.own()
                                ? PrintWords.of("report.own-example", at)
                                : PrintWords.of("report.example", e.who(), at),
                        text,
                        Typeface.CONDENSED,
                        8.5,
                        Ink.SOFT,
                        11);
                BufferedImage image = stills.apply(e.trial());
                if (image != null) {
                    picture(image, right + STILL_WIDTH + 8, top);
                }
            }
        }
        y = Math.max(y, top + STILL_HEIGHT + 10) + 10;
    }

    private void picture(BufferedImage image, double x, double top) {
        try {
            page.picture(image, x, top, STILL_WIDTH, STILL_HEIGHT);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private void put(String text, double width, Typeface face, double points, Color colour, double down)
            throws IOException {
        for (String part : page.wrapped(text, width, face, points, 3)) {
            page.text(part, MARGIN, y, face, points, colour);
            y += down;
        }
    }
}
