package farglass.print;

import farglass.chart.ChartPlan;
import farglass.match.Situation;
import farglass.stats.Grade;
import farglass.tendency.Flows;
import farglass.type.Typeface;
import java.awt.Color;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;

/** The chart on paper: the same places as on screen, the strongest flows. */
final class ChartDrawing {
    private static final int FLOWS = 26;
    private static final double WIDEST = 5;

    private final ChartPlan plan;
    private final Flows flows;
    private final Color colour;

    ChartDrawing(ChartPlan plan, Flows flows, Color colour) {
        this.plan = plan;
        this.flows = flows;
        this.colour = colour;
    }

    void draw(PaperPage page, double x, double y, double w, double h) throws IOException {
        page.line(x, y + h / 2, x + w, y + h / 2, Ink.RULE, 0.8);
        double left = x + 24;
        double wide = w - 48;
        for (Flows.Flow f : flows.flows().stream().limit(FLOWS).toList()) {
            double[] from = plan.at(f.from(), f.role());
            double[] to = plan.at(f.to(), f.toRole());
            flow(page, f, left + wide * from[0], y + h * from[1], left + wide * to[0], y + h * to[1]);
        }
        Map<Situation, Double> widest = new LinkedHashMap<>();
        for (Flows.Flow f : flows.flows().stream().limit(FLOWS).toList()) {
            widest.put(new Situation(f.to(), f.toRole()), 1.0);
        }
        for (Flows.Stop s : flows.stops()) {
            double[] spot = plan.at(s.position(), s.role());
            double share = Double.isFinite(s.share().mean()) ? s.share().mean() : 0;
            double r = 2.5 + 14 * Math.sqrt(share);
            page.circle(left + wide * spot[0], y + h * spot[1], r, Color.WHITE, true);
            page.circle(left + wide * spot[0], y + h * spot[1], r, colour, false);
            widest.put(new Situation(s.position(), s.role()), r);
        }
        for (Map.Entry<Situation, Double> e : widest.entrySet()) {
            String position = e.getKey().position();
            double[] spot = plan.at(position, e.getKey().role());
            label(page, position, left + wide * spot[0], y + h * spot[1], e.getValue());
        }
    }

    /** In the ring where it fits, else beside it. */
    private static void label(PaperPage page, String code, double x, double y, double r) throws IOException {
        double width = page.textWidth(code, Typeface.CONDENSED_MEDIUM, 7);
        boolean inside = width < 2 * r - 1.5;
        page.text(code, inside ? x - width / 2 : x + r + 1.5, y + 2.4, Typeface.CONDENSED_MEDIUM, 7, Ink.INK);
    }

    private void flow(PaperPage page, Flows.Flow f, double x1, double y1, double x2, double y2) throws IOException {
        double length = Math.hypot(x2 - x1, y2 - y1);
        if (length < 1) {
            return;
        }
        double bend = 0.16 * length;
        double cx = (x1 + x2) / 2 - (y2 - y1) / length * bend;
        double cy = (y1 + y2) / 2 + (x2 - x1) / length * bend;
        double shade = f.grade() == Grade.STRONG ? 0.8 : f.grade() == Grade.FAIR ? 0.5 : 0.28;
        Color tint = Ink.thin(colour, shade);
        page.bow(x1, y1, cx, cy, x2, y2, tint, Math.min(WIDEST, 0.5 + 1.3 * f.perTenMinutes()));
        // the head sits two thirds along, where no ring covers it
        double t = 2.0 / 3;
        double hx = (1 - t) * (1 - t) * x1 + 2 * t * (1 - t) * cx + t * t * x2;
        double hy = (1 - t) * (1 - t) * y1 + 2 * t * (1 - t) * cy + t * t * y2;
        double angle =
                Math.atan2(2 * (1 - t) * (cy - y1) + 2 * t * (y2 - cy), 2 * (1 - t) * (cx - x1) + 2 * t * (x2 - cx));
        double[] xs = new double[3];
        double[] ys = new double[3];
        for (int i = 0; i < 3; i++) {
            double turn = angle + (i == 0 ? 0 : i == 1 ? 2.5 : -2.5);
            xs[i] = hx + 3.6 * Math.cos(turn);
            ys[i] = hy + 3.6 * Math.sin(turn);
        }
        page.triangle(xs, ys, tint);
    }
}
