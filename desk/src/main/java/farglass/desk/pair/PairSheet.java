package farglass.desk.pair;

import farglass.desk.player.FilmView;
import farglass.desk.player.Marks;
import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.film.reel.DrawingPainter;
import farglass.match.Corner;
import farglass.text.Language;
import farglass.time.FilmTime;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * Two films side by side. They stand at the frames they are aligned at; from there they play, step and jump together.
 * With Shift the right one steps alone, which changes by how much the two are apart.
 */
public final class PairSheet extends StackPane {
    private static final long JUMP_MS = 1000;
    private final FilmView left = new FilmView();
    private final FilmView right = new FilmView();
    private final PairSide leftSide;
    private final PairSide rightSide;
    private final Label told = Ui.label("", "soft");
    private long offsetMs;
    private double speed = 1;
    private boolean playing;

    /** @param close puts the sheet away; both films are freed before */
    public PairSheet(PairSide leftSide, PairSide rightSide, Runnable close) {
        this.leftSide = leftSide;
        this.rightSide = rightSide;
        setId("pair-sheet");
        told.setId("pair-told");
        HBox films = new HBox(10, half(left, leftSide), half(right, rightSide));
        VBox sheet = Ui.sheet(
                Words.of("pair.title"),
                Ui.button(
                        Words.of("notice.close"),
                        () -> {
                            free();
                            close.run();
                        },
                        "quiet"),
                Ui.grow(films),
                told,
                Ui.label(Words.of("pair.keys"), "soft"));
        sheet.getStyleClass().add("floating");
        getChildren().add(sheet);
        setFocusTraversable(true);
        addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                free();
                close.run();
                e.consume();
            } else if (key(e)) {
                e.consume();
            }
        });
        left.open(leftSide.film(), Words.of("film.opening"));
        right.open(rightSide.film(), Words.of("film.opening"));
        // one sound is enough
        right.muted().set(true);
        align();
        left.playing().addListener((o, was, is) -> {
            if (was && !is && playing) {
                pause();
            }
        });
    }

    private VBox half(FilmView film, PairSide side) {
        DrawingPainter painter = new DrawingPainter(
                who -> awt(who == null ? Look.alarm() : who == Corner.A ? Look.ours() : Look.theirs()));
        Marks marks = new Marks(film, painter);
        film.moment().addListener((o, was, is) -> {
            marks.show(
                    is == null
                            ? java.util.List.of()
                            : side.drawings().stream()
                                    .filter(d -> d.shownAt(is.time()))
                                    .flatMap(d -> d.marks().stream())
                                    .toList());
            tell();
        });
        StackPane screen = new StackPane(film, marks);
        screen.getStyleClass().add("screen");
        screen.setMinSize(0, 0);
        screen.setPrefSize(100, 100);
        VBox box = new VBox(6, Ui.grow(screen), Ui.prose(side.caption(), "body"));
        return Ui.grow(box);
    }

    private static java.awt.Color awt(javafx.scene.paint.Color c) {
        return new java.awt.Color((float) c.getRed(), (float) c.getGreen(), (float) c.getBlue());
    }

    /** Both at the frames they are aligned at. */
    private void align() {
        offsetMs = rightSide.at().ms() - leftSide.at().ms();
        left.player().seek(leftSide.at());
        right.player().seek(rightSide.at());
    }

    private boolean key(KeyEvent e) {
        boolean alone = e.isShiftDown();
        switch (e.getCode()) {
            case SPACE -> {
                if (playing) {
                    pause();
                } else {
                    play();
                }
            }
            case RIGHT -> step(1, alone);
            case LEFT -> step(-1, alone);
            case PERIOD -> jump(JUMP_MS);
            case COMMA -> jump(-JUMP_MS);
            case UP -> faster(2);
            case DOWN -> faster(0.5);
            case HOME -> {
                pause();
                align();
            }
            default -> {
                return false;
            }
        }
        return true;
    }

    private void play() {
        playing = true;
        together(now());
        left.player().play();
        right.player().play();
    }

    private void pause() {
        playing = false;
        left.player().pause();
        right.player().pause();
        together(now());
    }

    /** The left film leads; the right one is put as far from it as was set. */
    private void together(FilmTime at) {
        left.player().seek(at);
        right.player().seek(FilmTime.ofMs(Math.max(0, at.ms() + offsetMs)));
    }

    private FilmTime now() {
        return left.moment().get() == null ? leftSide.at() : left.moment().get().time();
    }

    private void step(int frames, boolean alone) {
        if (playing) {
            pause();
        }
        right.player().step(frames);
        if (!alone) {
            left.player().step(frames);
        }
    }

    private void jump(long ms) {
        together(FilmTime.ofMs(Math.max(0, now().ms() + ms)));
    }

    private void faster(double factor) {
        speed = Math.max(1 / 8.0, Math.min(2, speed * factor));
        left.speed(speed);
        right.speed(speed);
        tell();
    }

    private void tell() {
        if (left.moment().get() == null || right.moment().get() == null) {
            return;
        }
        if (!playing) {
            offsetMs = right.moment().get().time().ms()
                    - left.moment().get().time().ms();
        }
        long apart = offsetMs - (rightSide.at().ms() - leftSide.at().ms());
        told.setText(Words.of(
                "pair.told",
                String.format(
                        Language.locale(), "%+.2f", (now().ms() - leftSide.at().ms()) / 1000.0),
                String.format(Language.locale(), "%+.2f", apart / 1000.0),
                String.format(Language.locale(), "%.3f", speed).replaceAll("[.,]?0+$", "")));
    }

    /** Frees both films. */
    private void free() {
        left.close();
        right.close();
    }

    FilmView left() {
        return left;
    }

    FilmView right() {
        return right;
    }
}
