package farglass.desk.tide;

import farglass.desk.shell.Look;
import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.time.MatchTime;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;

/** Two records of one match on one tide line: the first in ink, the second in the colour of alarm. */
public final class TwoTides extends Region {
    private static final double LEFT = 74;
    private static final double RIGHT = 14;
    private static final double TOP = 24;
    private static final double BOTTOM = 30;

    private final Canvas canvas = new Canvas();
    private final Lexicon lexicon;
    private MatchRecord first;
    private MatchRecord second;
    private Corner top = Corner.A;
    private MatchTime now;

    public TwoTides(Lexicon lexicon) {
        this.lexicon = lexicon;
        canvas.setManaged(false);
        getChildren().add(canvas);
        setMinHeight(130);
    }

    /** @param topCorner the athlete drawn upwards */
    public void show(MatchRecord one, MatchRecord other, Corner topCorner) {
        first = one;
        second = other;
        top = topCorner;
        draw();
    }

    /** Marks a moment. */
    public void now(MatchTime t) {
        now = t;
        draw();
    }

    @Override
    protected void layoutChildren() {
        canvas.setWidth(getWidth());
        canvas.setHeight(getHeight());
        draw();
    }

    private void draw() {
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, canvas.getWidth(), canvas.getHeight());
        double w = canvas.getWidth() - LEFT - RIGHT;
        double h = canvas.getHeight() - TOP - BOTTOM;
        if (first == null || w < 10 || h < 10) {
            return;
        }
        TidePainter one = new TidePainter(g, first, lexicon, top, LEFT, TOP, w, h);
        one.ground(true);
        new TidePainter(g, second.withFilms(first.films()), lexicon, top, LEFT, TOP, w, h).steps(4, Look.alarm());
        one.steps(1.6, Look.ink());
        one.axis();
        one.names();
        if (now != null) {
            one.head(now);
        }
    }
}
