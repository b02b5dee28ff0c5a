package farglass.desk.film;

import farglass.desk.pair.PairSheet;
import farglass.desk.player.FilmView;
import farglass.desk.reel.ReelSheet;
import farglass.desk.shell.Desk;
import farglass.desk.talk.Speaking;
import farglass.work.session.Preferences;
import java.util.function.Function;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import javafx.scene.layout.StackPane;

/**
 * What is laid over the film station or made of what it shows: stills, reels, comparisons, breakdowns, the exercise.
 */
final class FilmSheets {
    private static final long NANOS_PER_MS = 1_000_000;

    private final Desk desk;
    private final FilmView film;
    private final StackPane over;
    private final Node page;
    private final Runnable back;
    private final Stills stills;
    private final Speaking speaking;
    private final Pairing pairing;

    /**
     * @param over what sheets are laid into, above the page
     * @param back gives the keyboard back to the station
     */
    FilmSheets(Desk desk, FilmView film, Angles angles, Sketch sketch, StackPane over, Node page, Runnable back) {
        this.desk = desk;
        this.film = film;
        this.over = over;
        this.page = page;
        this.back = back;
        this.stills = new Stills(desk, film, angles, sketch.painter());
        this.speaking =
                new Speaking(desk, film, sketch::marks, r -> angles.film(r).file(), sketch.painter());
        this.pairing = new Pairing(desk, film, angles);
    }

    /** Whether a breakdown is being spoken. */
    ReadOnlyBooleanProperty speaking() {
        return speaking.running();
    }

    void keepStill() {
        stills.keep();
    }

    /** Begins or ends a spoken breakdown; what is typed is shown before it. */
    void speak(TextField typed) {
        String cue = typed.getText();
        typed.clear();
        speaking.toggle(cue);
    }

    /** Writes the last breakdown as a film. */
    void writeTalk() {
        speaking.write();
    }

    /** Holds this moment for a comparison; held already, lays the two side by side. */
    void pair() {
        pairing.hold().ifPresent(sides -> lay(close -> new PairSheet(sides.first(), sides.second(), close)));
    }

    /** Puts a reel together. */
    void reel() {
        lay(close -> new ReelSheet(desk, close));
        ((ReelSheet) over.lookup("#reel-sheet")).begin();
    }

    /** Measures how long this user takes to see and type. */
    void measureReaction() {
        lay(close -> new ReactionSheet(
                () -> System.nanoTime() / NANOS_PER_MS,
                median -> desk.preferences().set(Preferences.REACTION, Long.toString(median)),
                close));
    }

    /** Lays a sheet over the station; it gets what puts it away. */
    void lay(Function<Runnable, Node> sheet) {
        Node[] laid = new Node[1];
        laid[0] = sheet.apply(() -> {
            over.getChildren().remove(laid[0]);
            back.run();
        });
        if (film.player() != null) {
            film.player().pause();
        }
        over.getChildren().removeIf(n -> n != page);
        over.getChildren().add(laid[0]);
        laid[0].requestFocus();
    }
}
