package farglass.desk.profile;

import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.profile.ClaimWriter;
import farglass.scout.Edge;
import farglass.scout.ReportWriter;
import farglass.scout.Sentence;
import farglass.stats.Grade;
import farglass.text.Language;
import java.util.ArrayList;
import java.util.List;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableValue;
import javafx.beans.value.WeakChangeListener;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** One sentence of the report with its grade, and with its worth and our answer where it is a danger or an opening. */
final class SentenceView extends VBox {
    private static final double PLAY = 62;
    /** Points a match that are told. */
    private static final double LEAST_SAID = 0.05;

    private final ScoutingRow.Told row;
    private final ScoutingActions deeds;
    private final HBox tools = new HBox();
    /** Held here, so that it lives as long as what it changes. */
    private final ChangeListener<Boolean> whenChosen;

    SentenceView(
            ScoutingRow.Told row,
            ReportWriter writer,
            ClaimWriter grades,
            boolean pinned,
            ObservableValue<Boolean> chosen,
            ScoutingActions deeds) {
        super(1);
        this.row = row;
        this.deeds = deeds;
        Sentence s = row.sentence();
        setId("told-" + s.id().replaceAll("[^A-Za-z0-9]+", "-"));
        String computed = writer.text(s);
        boolean own = !row.edit().wording().isEmpty();
        Label text = Ui.prose(own ? row.edit().wording() : computed, "told");
        text.setMaxWidth(Double.MAX_VALUE);
        text.prefWidthProperty().bind(prefWidthProperty().subtract(PLAY));
        HBox play = new HBox();
        play.setAlignment(Pos.TOP_RIGHT);
        play.setMinWidth(PLAY);
        play.setMaxWidth(PLAY);
        int moments = s.moments().size();
        if (moments > 0) {
            play.getChildren().add(small("scouting.play", () -> deeds.play(s), "play", moments));
        }
        getChildren().add(new HBox(text, play));
        List<String> notes = new ArrayList<>();
        if (s.main().isPresent() && s.grade() == Grade.THIN && !s.id().startsWith("unknown.")) {
            notes.add(grades.grade(Grade.THIN));
        }
        if (row.edit().stale(computed)) {
            notes.add(Words.of("scouting.changed", computed));
        }
        row.edge().ifPresent(e -> notes.add(worth(e)));
        row.edge().ifPresent(e -> notes.add(e.answer().map(writer::text).orElse(none(e))));
        notes.removeIf(String::isEmpty);
        if (!notes.isEmpty()) {
            getChildren().add(Ui.prose(String.join(" \u00b7 ", notes), "claim-notes"));
        }
        if (row.edit().leftOut()) {
            getStyleClass().add("left-out");
            getChildren().add(Ui.prose(Words.of("scouting.left-out"), "claim-notes"));
        }
        getChildren().add(tools);
        whenChosen = (o, was, is) -> tools(is, pinned);
        chosen.addListener(new WeakChangeListener<>(whenChosen));
        tools(chosen.getValue(), pinned);
    }

    /** Made when they are wanted: a page of sentences would have a hundred of them. */
    private void tools(boolean wanted, boolean pinned) {
        tools.getChildren().setAll(wanted ? buttons(pinned) : List.of());
    }

    private static Button small(String words, Runnable deed, String style, Object... args) {
        Button b = Ui.button(Words.of(words, args), deed, style, "quiet");
        b.setMinWidth(Region.USE_PREF_SIZE);
        return b;
    }

    private static String worth(Edge e) {
        if (!e.against() && e.worth() < LEAST_SAID) {
            return "";
        }
        String number = String.format(Language.locale(), "%.1f", e.worth());
        return Words.of(e.against() ? "scouting.worth" : "scouting.brings", number);
    }

    /** What is said where our athlete has no record for it; nothing while nobody is set. */
    private String none(Edge e) {
        return e.against() ? Words.of("scouting." + row.part() + ".no-answer") : "";
    }

    private List<Button> buttons(boolean pinned) {
        Sentence s = row.sentence();
        List<Button> list = new ArrayList<>();
        if (s.main().isPresent()) {
            Button pin = small(pinned ? "claim.pinned" : "claim.pin", () -> deeds.pin(s), "pin");
            if (pinned) {
                pin.getStyleClass().add("on");
            }
            list.add(pin);
            list.add(small("scouting.evidence", () -> deeds.evidence(s), "evidence"));
        }
        list.add(small("scouting.reword", () -> deeds.reword(row), "reword"));
        boolean out = row.edit().leftOut();
        list.add(small(out ? "scouting.take-in" : "scouting.leave-out", () -> deeds.leaveOut(row), "leave-out"));
        list.add(small("scouting.up", () -> deeds.move(row, -1), "up"));
        list.add(small("scouting.down", () -> deeds.move(row, 1), "down"));
        return list;
    }
}
