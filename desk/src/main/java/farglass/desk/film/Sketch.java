package farglass.desk.film;

import farglass.desk.player.FilmView;
import farglass.desk.player.Marks;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Look;
import farglass.desk.shell.Words;
import farglass.film.reel.DrawingPainter;
import farglass.match.Corner;
import farglass.match.Drawing;
import farglass.match.Drawings;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.time.FilmTime;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import javafx.geometry.Point2D;
import javafx.geometry.Rectangle2D;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.paint.Color;

/**
 * Drawings over the film. A tool is taken by its key and draws one mark: with the main button in the colour of the
 * athlete drawn amber, with the other in the other's. Marks belong to the frame on screen and are shown again when it
 * is played.
 */
final class Sketch extends Marks implements KeyPointer.Target {
    /** Radius of the ring that shows where the keyboard stands, share of the width. */
    private static final double POINTER = 0.008;

    private final Desk desk;
    private final FilmView film;
    private final Angles angles;
    private final Runnable back;
    private final DrawingPainter painter;
    private Drawing.Kind tool;
    private String words;
    private Drawing.Mark begun;
    private KeyPointer keys;
    private Drawing.Mark pointer;

    /** @param back gives the keyboard back to the station */
    Sketch(Desk desk, FilmView film, Angles angles, Runnable back) {
        this(desk, film, angles, new DrawingPainter(who -> colour(desk, who)), back);
    }

    private Sketch(Desk desk, FilmView film, Angles angles, DrawingPainter painter, Runnable back) {
        super(film, painter);
        this.painter = painter;
        this.angles = angles;
        this.desk = desk;
        this.film = film;
        this.back = back;
        setId("sketch");
        setOnMousePressed(e -> press(new Point2D(e.getX(), e.getY()), e.getButton() == MouseButton.PRIMARY));
        setOnMouseDragged(e -> drag(new Point2D(e.getX(), e.getY())));
        setOnMouseReleased(e -> release(new Point2D(e.getX(), e.getY())));
        setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                putAway();
                e.consume();
            } else if (keys != null) {
                keys.handle(e, film.pictureBounds());
            }
        });
        widthProperty().addListener((o, was, is) -> draw());
        heightProperty().addListener((o, was, is) -> draw());
    }

    DrawingPainter painter() {
        return painter;
    }

    /** @param text the words of a text mark */
    void take(Drawing.Kind kind, String text) {
        if (film.player() == null || film.moment().get() == null) {
            desk.notices().problem(Words.of("clock.no-film"));
            return;
        }
        if (kind == Drawing.Kind.TEXT && text.isBlank()) {
            desk.notices().done(Words.of("draw.words"));
            return;
        }
        film.player().pause();
        tool = kind;
        words = kind == Drawing.Kind.TEXT ? text.strip() : null;
        keys = new KeyPointer(film.pictureBounds(), this);
        setMouseTransparent(false);
        getStyleClass().add("sketching");
        requestFocus();
        desk.notices().done(Words.of("draw.how"));
    }

    private void putAway() {
        tool = null;
        begun = null;
        keys = null;
        pointer = null;
        setMouseTransparent(true);
        getStyleClass().remove("sketching");
        draw();
        back.run();
    }

    /** Takes away what is drawn on the frame on screen. */
    void clear() {
        FilmView.Moment m = film.moment().get();
        if (m != null) {
            change(f -> Drawings.clear(f, m.time()));
        }
    }

    /** Shows what is drawn on the frame on screen for longer or shorter. */
    void hold(long byMs) {
        FilmView.Moment m = film.moment().get();
        MatchRecord r = desk.openRecord().get();
        if (m == null || r == null || r.films().isEmpty()) {
            return;
        }
        change(f -> Drawings.held(f, m.time(), byMs));
        Drawings.of(angles.film(desk.openRecord().get())).stream()
                .filter(d -> d.shownAt(m.time()))
                .findFirst()
                .ifPresent(d -> desk.notices().done(Words.of("draw.held", d.heldMs() / 1000.0)));
    }

    @Override
    public void press(Point2D at, boolean main) {
        pointer = null;
        MatchRecord r = desk.openRecord().get();
        Corner amber = desk.amber(r);
        Corner who = main ? amber : amber.other();
        begun = new Drawing.Mark(
                tool,
                who,
                share(at.getX(), true),
                share(at.getY(), false),
                share(at.getX(), true),
                share(at.getY(), false),
                words);
        draw();
    }

    /** The keyboard's pointer, which no cursor shows: a small ring. */
    @Override
    public void hover(Point2D at) {
        double x = share(at.getX(), true);
        double y = share(at.getY(), false);
        pointer = new Drawing.Mark(
                Drawing.Kind.RING, desk.amber(desk.openRecord().get()), x, y, Math.min(1, x + POINTER), y, null);
        draw();
    }

    @Override
    public void drag(Point2D at) {
        if (begun != null) {
            begun = new Drawing.Mark(
                    begun.kind(),
                    begun.who(),
                    begun.x1(),
                    begun.y1(),
                    share(at.getX(), true),
                    share(at.getY(), false),
                    words);
            draw();
        }
    }

    @Override
    public void release(Point2D at) {
        drag(at);
        Drawing.Mark mark = begun;
        FilmView.Moment m = film.moment().get();
        putAway();
        boolean small = mark == null
                || (mark.kind() != Drawing.Kind.TEXT
                        && Math.hypot(mark.x2() - mark.x1(), mark.y2() - mark.y1()) < 0.01);
        if (!small && m != null) {
            change(f -> Drawings.add(f, m.time(), mark));
        }
    }

    private void change(UnaryOperator<FilmRef> change) {
        MatchRecord r = desk.openRecord().get();
        FilmRef before = angles.film(r);
        FilmRef after = change.apply(before);
        if (!after.equals(before)) {
            desk.edit(angles.put(r, after));
        }
    }

    private double share(double at, boolean across) {
        Rectangle2D p = film.pictureBounds();
        double v = across ? (at - p.getMinX()) / p.getWidth() : (at - p.getMinY()) / p.getHeight();
        return Math.max(0, Math.min(1, v));
    }

    /** What is drawn on the moment on screen. */
    List<Drawing.Mark> marks() {
        MatchRecord r = desk.openRecord().get();
        FilmView.Moment m = film.moment().get();
        return r == null || m == null || r.films().isEmpty() ? List.of() : marksAt(angles.film(r), m.time());
    }

    /** Draws what belongs to the moment on screen. */
    final void draw() {
        List<Drawing.Mark> marks = new ArrayList<>(marks());
        if (begun != null) {
            marks.add(begun);
        }
        if (pointer != null) {
            marks.add(pointer);
        }
        show(marks);
    }

    private static List<Drawing.Mark> marksAt(FilmRef film, FilmTime f) {
        return Drawings.of(film).stream()
                .filter(d -> d.shownAt(f))
                .flatMap(d -> d.marks().stream())
                .toList();
    }

    private static java.awt.Color colour(Desk desk, Corner who) {
        Color c = who == null ? Look.alarm() : desk.colour(desk.openRecord().get(), who);
        return new java.awt.Color((float) c.getRed(), (float) c.getGreen(), (float) c.getBlue());
    }
}
