package farglass.desk.tide;

import farglass.desk.shell.Look;
import farglass.desk.shell.Words;
import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.time.Clock;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;

/** Draws a tide line into a rectangle: steps of standing value, marks of attempts, gaps, and where the film stands. */
final class TidePainter {
    static final double MARK = 5.5;
    private static final double MARK_AWAY = 13;
    /** How strong a draft is drawn of which nothing is sure, and one of which all is. */
    private static final double FAINTEST = 0.15;

    private static final double FAINT = 0.7;

    private final GraphicsContext g;
    private final MatchRecord record;
    private final Lexicon lexicon;
    private final Corner top;
    private final double x;
    private final double y;
    private final double w;
    private final double h;
    private final long lengthMs;
    private final PositionLine line;

    /** Where a mark was drawn. */
    record Mark(int tag, double x, double y) {}

    /** @param top the corner whose better places are drawn upwards, in amber */
    TidePainter(
            GraphicsContext g,
            MatchRecord record,
            Lexicon lexicon,
            Corner top,
            double x,
            double y,
            double w,
            double h) {
        this.g = g;
        this.record = record;
        this.lexicon = lexicon;
        this.top = top;
        this.x = x;
        this.y = y;
        this.w = w;
        this.h = h;
        this.lengthMs = Math.max(record.details().lengthMs(), record.end().ms());
        this.line = PositionLine.of(record, lexicon);
    }

    double at(MatchTime t) {
        return x + w * t.ms() / lengthMs;
    }

    MatchTime timeAt(double px) {
        double share = Math.max(0, Math.min(1, (px - x) / w));
        return MatchTime.ofMs(Math.round(share * lengthMs));
    }

    private double height(Span s) {
        double v = PositionLine.standing(s, record, lexicon);
        return y + h / 2 - (top == Corner.A ? v : -v) * (h / 2 - 6);
    }

    void ground(boolean rules) {
        g.setFill(Look.oursWash());
        g.fillRect(x, y, w, h / 2);
        g.setFill(Look.theirsWash());
        g.fillRect(x, y + h / 2, w, h / 2);
        if (!rules) {
            return;
        }
        g.setStroke(Look.rule().deriveColor(0, 1, 1, 0.7));
        g.setLineWidth(1);
        for (double v : new double[] {-0.75, -0.4, 0.4, 0.75}) {
            double at = Math.round(y + h / 2 - v * (h / 2 - 6)) + 0.5;
            g.strokeLine(x, at, x + w, at);
        }
    }

    /** Hatches match time that a replay shows again or that no film shows. */
    void gaps() {
        for (Segment s : record.clock().segments()) {
            if (s.kind() == Segment.Kind.REPLAY) {
                hatch(at(s.at()), at(s.matchEnd()), Words.of("tide.replay"));
            }
        }
        record.filmGaps().forEach(gap -> hatch(at(gap.from()), at(gap.to()), Words.of("tide.gap")));
    }

    private void hatch(double from, double to, String word) {
        g.save();
        g.beginPath();
        g.rect(from, y, to - from, h);
        g.clip();
        g.setStroke(Look.soft().deriveColor(0, 1, 1, 0.35));
        g.setLineWidth(1);
        for (double d = from - h; d < to; d += 6) {
            g.strokeLine(d, y + h, d + h, y);
        }
        g.restore();
        g.setFill(Look.soft());
        g.setFont(Font.font(Look.CONDENSED, 11));
        g.setTextAlign(TextAlignment.CENTER);
        g.fillText(word, (from + to) / 2, y + h + 12);
    }

    void steps(double width, Color colour) {
        g.setStroke(colour);
        g.setLineWidth(width);
        g.beginPath();
        Span previous = null;
        for (Span s : line.spans()) {
            double at = height(s);
            if (previous == null || !previous.to().equals(s.from())) {
                g.moveTo(at(s.from()), at);
            } else {
                g.lineTo(at(s.from()), at);
            }
            g.lineTo(at(s.to()), at);
            previous = s;
        }
        g.stroke();
    }

    /** Draws what is proposed: the surer the stronger, and what is no attempt as a short stroke at the edge. */
    List<Mark> drafts(List<DraftMark> drafts) {
        List<Mark> drawn = new ArrayList<>();
        for (int i = 0; i < drafts.size(); i++) {
            DraftMark d = drafts.get(i);
            boolean up = d.who() == null || d.who() == top;
            Color full = d.who() == null ? Look.soft() : up ? Look.ours() : Look.theirs();
            Color colour = full.deriveColor(0, 1, 1, FAINTEST + (FAINT - FAINTEST) * d.confidence());
            Shape shape = d.family() == null ? null : Shape.of(d.family());
            double level = line.at(d.t()).map(this::height).orElse(y + h / 2);
            double my = up ? Math.max(y + 6, level - MARK_AWAY) : Math.min(y + h - 6, level + MARK_AWAY);
            if (shape == null) {
                my = up ? y + 5 : y + h - 5;
                g.setStroke(colour);
                g.setLineWidth(2);
                g.strokeLine(at(d.t()), my - 4, at(d.t()), my + 4);
            } else {
                g.setLineDashes(2.2, 2.2);
                shape.draw(g, at(d.t()), my, MARK, 0, colour);
                g.setLineDashes();
            }
            if (d.inHand()) {
                g.setStroke(Look.alarm());
                g.setLineWidth(1.5);
                g.strokeOval(at(d.t()) - 9, my - 9, 18, 18);
            }
            drawn.add(new Mark(i, at(d.t()), my));
        }
        return drawn;
    }

    /** Draws every attempt; shape = family, fill = how far it got, colour = who. */
    List<Mark> marks(int selected) {
        List<Mark> marks = new ArrayList<>();
        for (int i = 0; i < record.tags().size(); i++) {
            if (record.tags().get(i) instanceof Tag.Action a && Shape.of(lexicon.familyOf(a.technique())) != null) {
                boolean up = a.by() == top;
                double level = line.at(a.t()).map(this::height).orElse(y + h / 2);
                double my = up ? Math.max(y + 6, level - MARK_AWAY) : Math.min(y + h - 6, level + MARK_AWAY);
                Mark mark = new Mark(i, at(a.t()), my);
                marks.add(mark);
                int reached = a.reached() == null ? 0 : a.reached();
                Color colour = up ? Look.ours() : Look.theirs();
                Shape.of(lexicon.familyOf(a.technique())).draw(g, mark.x(), mark.y(), MARK, reached, colour);
                if (i == selected) {
                    g.setStroke(Look.alarm());
                    g.setLineWidth(1.5);
                    g.strokeOval(mark.x() - 9, mark.y() - 9, 18, 18);
                }
            }
        }
        return marks;
    }

    void axis() {
        g.setFont(Font.font(Look.CONDENSED, 12));
        g.setFill(Look.soft());
        g.setTextAlign(TextAlignment.CENTER);
        for (long left = lengthMs / 60_000 * 60_000; left >= 0; left -= 60_000) {
            double at = at(MatchTime.ofMs(lengthMs - left));
            g.setStroke(Look.rule());
            g.strokeLine(at, y + h, at, y + h + 4);
            g.fillText(Clock.seconds(left), at, y + h + 26);
        }
    }

    void names() {
        g.setFont(Font.font(Look.CONDENSED_MEDIUM, 13));
        g.setTextAlign(TextAlignment.RIGHT);
        g.setFill(Look.oursText());
        g.fillText(record.athlete(top).surname(), x - 8, y + 16);
        g.setFill(Look.theirs());
        g.fillText(record.athlete(top.other()).surname(), x - 8, y + h - 6);
    }

    void head(MatchTime t) {
        double at = Math.round(at(t)) + 0.5;
        g.setStroke(Look.alarm());
        g.setLineWidth(1.5);
        g.strokeLine(at, y - 4, at, y + h + 4);
        String clock = Clock.countdown(record.details().lengthMs() - t.ms());
        g.setFill(Look.alarm());
        g.fillRoundRect(at - 22, y - 21, 44, 17, 4, 4);
        g.setFill(Look.paper());
        g.setFont(Font.font(Look.CONDENSED_MEDIUM, 13));
        g.setTextAlign(TextAlignment.CENTER);
        g.fillText(clock, at, y - 8);
    }
}
