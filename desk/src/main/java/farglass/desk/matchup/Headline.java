package farglass.desk.matchup;

import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.desk.shell.Wrapping;
import farglass.matchup.advise.FirstRange;
import farglass.matchup.advise.MeetingSolution;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.Proposal;
import farglass.matchup.advise.Uncertainty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * The win chances in one line: natural game against natural game first, what the plan adds apart, the answer beside it.
 */
public final class Headline extends VBox {
    private final MeetingModel model;
    private final Label natural = Ui.label("", "headline-number");
    private final Label naturalNote = Ui.label("", "claim-interval");
    private final Label gain = Ui.label("", "headline-number");
    private final Label gainNote = Ui.label("", "claim-interval");
    private final Label answered = Ui.label("", "headline-number");
    private final Label answeredNote = Ui.label("", "claim-interval");
    private final Label state = Ui.prose("", "soft");

    public Headline(MeetingModel model) {
        super(4);
        this.model = model;
        setId("headline");
        natural.setId("win-natural");
        gain.setId("win-gain");
        answered.setId("win-answered");
        state.setId("meeting-state");
        state.textProperty().bind(model.state());
        state.setMaxWidth(420);
        for (Label l : new Label[] {natural, naturalNote, gain, gainNote, answered, answeredNote}) {
            l.setMinWidth(USE_PREF_SIZE);
        }
        getChildren()
                .add(new Wrapping(
                        26,
                        Pos.CENTER_LEFT,
                        block("meeting.natural", natural, naturalNote),
                        block("meeting.gain", gain, gainNote),
                        block("meeting.answered", answered, answeredNote),
                        state));
        setMinHeight(USE_PREF_SIZE);
        model.glance().addListener((o, was, is) -> fill());
        model.proposal().addListener((o, was, is) -> fill());
        fill();
    }

    private static Node block(String key, Label number, Label note) {
        HBox line = new HBox(7, number, note);
        line.setAlignment(Pos.BASELINE_LEFT);
        Label name = Ui.label(Words.of(key), "field-name");
        name.setMinWidth(USE_PREF_SIZE);
        return new VBox(0, name, line);
    }

    private void fill() {
        MeetingSolution.Glance g = model.glance().get();
        setAll(g != null);
        if (g == null) {
            return;
        }
        MeetingWriter w = model.writer();
        Proposal p = model.proposal().get();
        Uncertainty u = p == null ? null : p.uncertainty();
        FirstRange first = model.firstRange();
        if (u == null && p != null && first != null) {
            natural.setText(w.percent(g.natural().win()));
            naturalNote.setText(Words.of(
                    "meeting.range.first",
                    w.percent(first.natural().lo()),
                    w.percent(first.natural().hi())));
            gain.setText(w.gain(g.planned().win() - g.natural().win()));
            gainNote.setText(Words.of(
                    "meeting.gain.range.first",
                    w.gain(first.gain().lo()),
                    w.gain(first.gain().hi())));
        } else if (u == null) {
            natural.setText(w.percent(g.natural().win()));
            naturalNote.setText(Words.of("meeting.unsure"));
            gain.setText(w.gain(g.planned().win() - g.natural().win()));
            gainNote.setText(Words.of("meeting.points"));
        } else {
            natural.setText(w.percent(u.natural().mean()));
            naturalNote.setText(Words.of(
                    "meeting.range",
                    w.percent(u.natural().lo()),
                    w.percent(u.natural().hi())));
            gain.setText(w.gain(u.gain().mean()));
            gainNote.setText(Words.of(
                    "meeting.gain.range", w.gain(u.gain().lo()), w.gain(u.gain().hi())));
        }
        answered.setText(w.gain(g.answered().win() - g.natural().win()));
        answeredNote.setText(Words.of("meeting.answered.note"));
    }

    private void setAll(boolean there) {
        for (Label l : new Label[] {natural, naturalNote, gain, gainNote, answered, answeredNote}) {
            if (!there) {
                l.setText("");
            }
            l.getParent().getParent().setVisible(there);
            l.getParent().getParent().setManaged(there);
        }
    }
}
