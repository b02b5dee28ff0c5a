package farglass.desk.claim;

import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.plan.Judgement;
import farglass.profile.Claim;
import farglass.profile.ClaimWriter;
import farglass.stats.Grade;
import farglass.stats.Trial;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;

/** One claim. A filled dot worked, a ring did not; dots of one match stand together. */
public final class ClaimRow extends VBox {
    private static final int DOTS = 40;
    private static final double DEEDS = 168;
    private final Claim claim;
    private final Color colour;
    private final ClaimActions deeds;
    /** Of the dot under the mouse. */
    private final Tooltip tip = new Tooltip();

    /**
     * @param colour the athlete's
     * @param pinned whether it is pinned to the plan
     * @param judged what the analyst thinks of it
     */
    public ClaimRow(
            Claim claim, ClaimWriter writer, Color colour, boolean pinned, Judgement judged, ClaimActions deeds) {
        super(4);
        this.claim = claim;
        this.colour = colour;
        this.deeds = deeds;
        setId("claim-" + claim.id().replaceAll("[^A-Za-z0-9]+", "-"));
        getStyleClass().add("claim");
        boolean reworded = !judged.wording().isEmpty();
        Label sentence = Ui.prose(reworded ? judged.wording() : writer.sentence(claim), "claim-sentence");
        sentence.setMaxWidth(Double.MAX_VALUE);
        HBox tools = new HBox();
        tools.getChildren().addAll(buttons(pinned));
        tools.setAlignment(Pos.TOP_RIGHT);
        tools.setMinWidth(DEEDS);
        tools.setMaxWidth(DEEDS);
        // told its width beforehand: the height of a cell is asked for before anything is laid out
        sentence.prefWidthProperty().bind(prefWidthProperty().subtract(DEEDS));
        HBox first = new HBox(sentence, tools);
        Label number = Ui.label(writer.number(claim), "claim-number");
        Label range = Ui.label(writer.interval(claim), "claim-interval");
        Label grade = Ui.label(writer.grade(claim.estimate().grade()), "claim-grade");
        if (claim.estimate().grade() == Grade.THIN) {
            grade.getStyleClass().add("thin");
        }
        for (Label l : List.of(number, range, grade)) {
            l.setMinWidth(Region.USE_PREF_SIZE);
        }
        number.setPrefWidth(48);
        range.setPrefWidth(92);
        FlowPane dots = dots();
        dots.setMinWidth(124);
        HBox second = new HBox(8, new IntervalBar(claim, colour), number, range, Ui.grow(dots), grade);
        second.setAlignment(Pos.CENTER_LEFT);
        List<String> notes = new ArrayList<>(List.of(writer.counts(claim)));
        notes.addAll(writer.notes(claim));
        if (reworded) {
            notes.add(Words.of("claim.reworded", writer.sentence(claim)));
        }
        if (!judged.remark().isEmpty()) {
            notes.add(Words.of("claim.remarked", judged.remark()));
        }
        getChildren().addAll(first, second, Ui.prose(String.join(" \u00b7 ", notes), "claim-notes"));
        if (!judged.doubt().isEmpty()) {
            getStyleClass().add("doubted");
            getChildren().add(1, Ui.prose(Words.of("claim.doubted", judged.doubt()), "doubtful"));
        }
    }

    public Claim claim() {
        return claim;
    }

    private List<Button> buttons(boolean pinned) {
        List<Button> list = new ArrayList<>();
        if (!claim.trials().isEmpty()) {
            list.add(Ui.button(Words.of("claim.play"), () -> deeds.playAll(claim), "play", "quiet"));
            list.add(Ui.button(Words.of("claim.reel"), () -> deeds.reel(claim), "reel", "quiet"));
        }
        list.add(Ui.button(Words.of("claim.judge"), () -> deeds.judge(claim), "judge", "quiet"));
        Button pin = Ui.button(Words.of(pinned ? "claim.pinned" : "claim.pin"), () -> deeds.pin(claim), "pin", "quiet");
        if (pinned) {
            pin.getStyleClass().add("on");
        }
        list.add(pin);
        list.forEach(b -> b.setMinWidth(Region.USE_PREF_SIZE));
        return list;
    }

    private FlowPane dots() {
        FlowPane pane = new FlowPane(1, 1);
        pane.setAlignment(Pos.CENTER_LEFT);
        pane.setPrefWrapLength(150);
        fill(pane, Math.min(DOTS, claim.trials().size()));
        return pane;
    }

    /** The first {@code shown} dots; a button at the end shows the rest. */
    private void fill(FlowPane pane, int shown) {
        pane.getChildren().clear();
        String match = null;
        for (Trial t : claim.trials().subList(0, shown)) {
            if (match != null && !match.equals(t.tag().match())) {
                Region gap = new Region();
                gap.setPrefWidth(4);
                pane.getChildren().add(gap);
            }
            match = t.tag().match();
            pane.getChildren().add(new Dot(t, colour, deeds, tip));
        }
        int rest = claim.trials().size() - shown;
        if (rest > 0) {
            pane.getChildren()
                    .add(Ui.button("+" + rest, () -> fill(pane, claim.trials().size()), "quiet", "more-dots"));
        }
    }
}
