package farglass.desk.tide;

import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.time.MatchTime;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import java.util.function.IntFunction;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.util.Duration;

/** The tide line of one match. Large, it is the scrubber; small, a picture for lists. */
public final class TideLine extends Region {
    private static final double LEFT = 74;
    private static final double RIGHT = 14;
    private static final double TOP = 24;
    private static final double BOTTOM = 30;
    private static final double NEAR = 10;

    private final Canvas ground = new Canvas();
    private final Canvas head = new Canvas();
    private final Lexicon lexicon;
    private final boolean small;
    private final Tooltip tip = new Tooltip();
    private MatchRecord record;
    private Corner top = Corner.A;
    private MatchTime now;
    private int selected = -1;
    private List<TidePainter.Mark> marks = List.of();
    private List<DraftMark> drafts = List.of();
    private List<TidePainter.Mark> draftMarks = List.of();
    private IntConsumer onDraft = i -> {};
    private IntFunction<String> draftWords = i -> "";
    private Consumer<MatchTime> onSeek = t -> {};
    private IntConsumer onPick = i -> {};
    private IntFunction<String> words = i -> "";

    private TideLine(Lexicon lexicon, boolean small) {
        this.lexicon = lexicon;
        this.small = small;
        head.setMouseTransparent(true);
        ground.setManaged(false);
        head.setManaged(false);
        getChildren().addAll(ground, head);
        if (!small) {
            setId("tide-line");
            tip.setShowDelay(Duration.millis(150));
            ground.setOnMousePressed(this::pressed);
            ground.setOnMouseDragged(e -> seek(e.getX()));
            ground.setOnMouseMoved(this::hover);
        }
    }

    public static TideLine large(Lexicon lexicon) {
        return new TideLine(lexicon, false);
    }

    public static TideLine small(Lexicon lexicon, MatchRecord record, Corner top) {
        TideLine line = new TideLine(lexicon, true);
        line.show(record, top, -1);
        return line;
    }

    /**
     * @param topCorner the athlete drawn upwards, in amber
     * @param tag index of the selected tag, -1 for none
     */
    public void show(MatchRecord next, Corner topCorner, int tag) {
        record = next;
        top = topCorner;
        selected = tag;
        if (next != null) {
            Ui.figure(
                    this,
                    Words.of(
                            "tide.told",
                            next.athlete(top).surname(),
                            next.athlete(top.other()).surname(),
                            next.tags().size()));
        }
        draw();
    }

    /** Where the film stands; null when it shows no match time. */
    public void now(MatchTime t) {
        now = t;
        drawHead();
    }

    public void select(int tag) {
        selected = tag;
        draw();
    }

    public void onSeek(Consumer<MatchTime> action) {
        onSeek = action;
    }

    public void onPick(IntConsumer action) {
        onPick = action;
    }

    /** Words for a tag, shown when the mouse rests on its mark. */
    public void words(IntFunction<String> text) {
        words = text;
    }

    /** What is proposed, drawn faintly beside what the record holds. */
    public void drafts(List<DraftMark> marks) {
        drafts = List.copyOf(marks);
        draw();
    }

    /** Told of the number of a draft whose mark is pressed; words for it. */
    public void onDraft(IntConsumer action, IntFunction<String> text) {
        onDraft = action;
        draftWords = text;
    }

    @Override
    protected void layoutChildren() {
        if (ground.getWidth() != getWidth() || ground.getHeight() != getHeight()) {
            for (Canvas c : List.of(ground, head)) {
                c.setWidth(getWidth());
                c.setHeight(getHeight());
            }
            draw();
        }
    }

    private TidePainter painter(Canvas canvas) {
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, getWidth(), getHeight());
        return small
                ? new TidePainter(g, record, lexicon, top, 0, 0, getWidth(), getHeight())
                : new TidePainter(
                        g, record, lexicon, top, LEFT, TOP, getWidth() - LEFT - RIGHT, getHeight() - TOP - BOTTOM);
    }

    private void draw() {
        if (getWidth() < 2) {
            return;
        }
        ground.getGraphicsContext2D().clearRect(0, 0, getWidth(), getHeight());
        if (record == null) {
            return;
        }
        TidePainter p = painter(ground);
        p.ground(!small);
        if (small) {
            p.steps(1.4, Look.ink());
            return;
        }
        p.gaps();
        p.axis();
        p.names();
        p.steps(2, Look.ink());
        draftMarks = p.drafts(drafts);
        marks = p.marks(selected);
        drawHead();
    }

    private void drawHead() {
        if (small || record == null || getWidth() < 2) {
            return;
        }
        TidePainter p = painter(head);
        if (now != null) {
            p.head(now);
        }
    }

    private static TidePainter.Mark near(List<TidePainter.Mark> among, MouseEvent e) {
        TidePainter.Mark best = null;
        double least = NEAR;
        for (TidePainter.Mark m : among) {
            double d = Math.hypot(m.x() - e.getX(), m.y() - e.getY());
            if (d < least) {
                least = d;
                best = m;
            }
        }
        return best;
    }

    private void pressed(MouseEvent e) {
        TidePainter.Mark mark = near(marks, e);
        TidePainter.Mark draft = near(draftMarks, e);
        if (mark != null) {
            onPick.accept(mark.tag());
        } else if (draft != null) {
            onDraft.accept(draft.tag());
        } else {
            seek(e.getX());
        }
    }

    private void seek(double x) {
        if (record != null) {
            double share = (x - LEFT) / (getWidth() - LEFT - RIGHT);
            long length = Math.max(record.details().lengthMs(), record.end().ms());
            onSeek.accept(MatchTime.ofMs(Math.round(Math.max(0, Math.min(1, share)) * length)));
        }
    }

    private void hover(MouseEvent e) {
        TidePainter.Mark mark = near(marks, e);
        TidePainter.Mark draft = near(draftMarks, e);
        if (mark == null && draft == null) {
            Tooltip.uninstall(ground, tip);
        } else {
            tip.setText(mark == null ? draftWords.apply(draft.tag()) : words.apply(mark.tag()));
            Tooltip.install(ground, tip);
        }
    }
}
