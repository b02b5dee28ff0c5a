package farglass.print;

import farglass.profile.Claim;
import farglass.profile.ClaimWriter;
import farglass.profile.Scale;
import farglass.stats.Estimate;
import farglass.stats.Grade;
import farglass.stats.Trial;
import farglass.type.Typeface;
import java.awt.Color;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;

/** A claim on paper: sentence, bar, number, dots, counts, and a still where there is one. */
final class ClaimBlock {
    private static final double BAR = 130;
    private static final double STILL_WIDTH = 96;
    private static final double STILL_HEIGHT = 54;
    private static final double LEADING = 14;
    private static final double DOT = 2.1;
    private static final int DOTS = 90;

    private final Dossier.Row row;
    private final ClaimWriter writer;
    private final Color colour;

    ClaimBlock(Dossier.Row row, ClaimWriter writer, Color colour) {
        this.row = row;
        this.writer = writer;
        this.colour = colour;
    }

    private double textWidth(double width) {
        return row.still() == null ? width : width - STILL_WIDTH - 12;
    }

    private List<String> sentence(PaperPage page, double width) throws IOException {
        return page.wrapped(row.sentence(), textWidth(width), Typeface.SERIF, 12, 3);
    }

    private List<String> notes(PaperPage page, double width) throws IOException {
        List<String> notes = new ArrayList<>(List.of(writer.counts(row.claim())));
        notes.addAll(writer.notes(row.claim()));
        if (!row.doubt().isEmpty()) {
            notes.add(PrintWords.of("dossier.doubted", row.doubt()));
        }
        if (!row.remark().isEmpty()) {
            notes.add(PrintWords.of("dossier.remark", row.remark()));
        }
        return page.wrapped(String.join(" \u00b7 ", notes), textWidth(width), Typeface.CONDENSED, 8.5, 3);
    }

    double height(PaperPage page, double width) throws IOException {
        double text =
                sentence(page, width).size() * LEADING + 16 + notes(page, width).size() * 10 + 8;
        return Math.max(text, row.still() == null ? 0 : STILL_HEIGHT + 18) + 6;
    }

    void draw(PaperPage page, double x, double top, double width) throws IOException {
        double y = top + 11;
        for (String line : sentence(page, width)) {
            page.text(line, x, y, Typeface.SERIF, 12, Ink.INK);
            y += LEADING;
        }
        y += 1;
        bar(page, x, y);
        double at = x + BAR + 8;
        String number = writer.number(row.claim());
        page.text(number, at, y + 3.5, Typeface.SANS_SEMIBOLD, 11, Ink.INK);
        at += page.textWidth(number, Typeface.SANS_SEMIBOLD, 11) + 5;
        String interval = writer.interval(row.claim());
        page.text(interval, at, y + 3.5, Typeface.CONDENSED, 9, Ink.SOFT);
        at += page.textWidth(interval, Typeface.CONDENSED, 9) + 6;
        Grade grade = row.claim().estimate().grade();
        page.text(
                writer.grade(grade),
                at,
                y + 3.5,
                Typeface.CONDENSED_SEMIBOLD,
                9,
                grade == Grade.THIN ? Ink.ALARM : Ink.INK);
        at += page.textWidth(writer.grade(grade), Typeface.CONDENSED_SEMIBOLD, 9) + 8;
        dots(page, at, y, x + textWidth(width));
        y += 15;
        for (String line : notes(page, width)) {
            page.text(line, x, y, Typeface.CONDENSED, 8.5, Ink.SOFT);
            y += 10;
        }
        if (row.still() != null) {
            double left = x + width - STILL_WIDTH;
            page.picture(row.still(), left, top + 2, STILL_WIDTH, STILL_HEIGHT);
            String caption = page.wrapped(row.caption(), STILL_WIDTH, Typeface.CONDENSED, 6.5, 1)
                    .get(0);
            page.text(caption, left, top + STILL_HEIGHT + 9, Typeface.CONDENSED, 6.5, Ink.SOFT);
        }
    }

    private void bar(PaperPage page, double x, double y) throws IOException {
        Claim c = row.claim();
        Estimate e = c.estimate();
        if (c.unit() == Claim.Unit.COUNT) {
            return;
        }
        Scale scale = Scale.of(c.unit(), e);
        page.line(x, y, x + BAR, y, Ink.RULE, 0.8);
        for (int i = 0; i <= 4; i++) {
            page.line(x + BAR * i / 4, y - 2.5, x + BAR * i / 4, y + 2.5, Ink.RULE, 0.8);
        }
        double strength = e.grade() == Grade.STRONG ? 0.6 : e.grade() == Grade.FAIR ? 0.4 : 0.22;
        double lo = x + BAR * scale.at(e.lo());
        double hi = x + BAR * scale.at(c.unit() == Claim.Unit.TIMES_EXPECTED ? scale.to() : e.hi());
        page.fill(lo, y - 3, Math.max(2, hi - lo), 6, Ink.thin(colour, strength));
        double average = c.unit() == Claim.Unit.DIFFERENCE ? 0 : e.baseline();
        if (Double.isFinite(average)) {
            double tick = x + BAR * scale.at(average);
            page.line(tick, y - 5, tick, y + 5, Ink.INK, 0.9);
        }
        if (Double.isFinite(e.mean())) {
            page.circle(x + BAR * scale.at(e.mean()), y, 3, colour, true);
        }
    }

    private void dots(PaperPage page, double from, double y, double end) throws IOException {
        double at = from + DOT;
        String match = null;
        int drawn = 0;
        for (Trial t : row.claim().trials()) {
            if (match != null && !match.equals(t.tag().match())) {
                at += 3;
            }
            match = t.tag().match();
            if (at + DOT > end - 18 || drawn == DOTS) {
                page.text("+" + (row.claim().trials().size() - drawn), at, y + 2.8, Typeface.CONDENSED, 7.5, Ink.SOFT);
                return;
            }
            page.circle(at, y, DOT, colour, t.worked());
            drawn++;
            at += 2 * DOT + 1.4;
        }
    }
}
