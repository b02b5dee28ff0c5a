package farglass.print;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.match.Span;
import farglass.tendency.Evidence;
import java.io.IOException;

/** A match as a small line: how good the athlete's place was, over match time. */
final class TideDrawing {
    private TideDrawing() {}

    static void draw(PaperPage page, Evidence.Seen seen, Lexicon lexicon, double x, double y, double w, double h)
            throws IOException {
        MatchRecord r = seen.record();
        page.fill(x, y, w, h / 2, Ink.thin(Ink.THEIRS_WASH, 0.45));
        page.fill(x, y + h / 2, w, h / 2, Ink.thin(Ink.RULE, 0.3));
        double length = Math.max(1, Math.max(r.details().lengthMs(), r.end().ms()));
        Span before = null;
        double last = 0;
        for (Span s : seen.line().spans()) {
            double v = PositionLine.standing(s, r, lexicon) * (seen.corner() == Corner.A ? 1 : -1);
            double at = y + h / 2 - v * (h / 2 - 1.5);
            double from = x + w * s.from().ms() / length;
            double to = x + w * s.to().ms() / length;
            if (before != null && before.to().equals(s.from())) {
                page.line(from, last, from, at, Ink.INK, 0.7);
            }
            page.line(from, at, to, at, Ink.INK, 0.9);
            before = s;
            last = at;
        }
    }
}
