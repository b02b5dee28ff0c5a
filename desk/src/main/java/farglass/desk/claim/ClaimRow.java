package farglass.desk.claim;

import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.stats.Grade;
import farglass.stats.Trial;
import farglass.tendency.Claim;
import farglass.tendency.ClaimWriter;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Circle;

/** One claim. A filled dot worked, a ring did not; dots of one match stand together. */
public final class ClaimRow extends VBox {
    private static final int DOTS = 44;
    private static final double RADIUS = 3.7;
    private final Claim claim;

    /**
     * @param colour the athlete's
     * @param pinned whether it is pinned to the plan
     * @param describe words for a dot
     * @param play plays a dot's clip
     * @param pin pins it, or takes the pin out
     * @param reel writes its moments as a film
     */
    public ClaimRow(
            Claim claim,
            ClaimWriter writer,
            Color colour,
            boolean pinned,
            Function<Trial, String> describe,
            Consumer<Trial> play,
            Consumer<Claim> pin,
            Consumer<Claim> reel) {
        super(4);
        this.claim = claim;
        setId("claim-" + claim.id().replace('.', '-'));
        getStyleClass().add("claim");
        Label sentence = Ui.prose(writer.sentence(claim), "claim-sentence");
        Button pinButton =
                Ui.button(Words.of(pinned ? "claim.pinned" : "claim.pin"), () -> pin.accept(claim), "pin", "quiet");
        if (pinned) {
            pinButton.getStyleClass().add("on");
        }
        pinButton.setMinWidth(Region.USE_PREF_SIZE);
        Button reelButton = Ui.button(Words.of("claim.reel"), () -> reel.accept(claim), "reel", "quiet");
        reelButton.setMinWidth(Region.USE_PREF_SIZE);
        HBox first = new HBox(12, Ui.grow(sentence), reelButton, pinButton);
        sentence.setMaxWidth(Double.MAX_VALUE);
        boolean never = claim.topic() == Claim.Topic.NOT_SEEN;
        String mean = never ? "0" : ClaimWriter.percent(claim.estimate().mean());
        String interval = Words.of(
                "claim.interval",
                ClaimWriter.percent(claim.estimate().lo()),
                ClaimWriter.percent(claim.estimate().hi()));
        Label number = Ui.label(mean, "claim-number");
        Label range = Ui.label(interval, "claim-interval");
        Label grade = Ui.label(writer.grade(claim.estimate().grade()), "claim-grade");
        if (claim.estimate().grade() == Grade.THIN) {
            grade.getStyleClass().add("thin");
        }
        for (Label l : List.of(number, range, grade)) {
            l.setMinWidth(Region.USE_PREF_SIZE);
        }
        number.setPrefWidth(48);
        range.setPrefWidth(82);
        FlowPane dots = dots(colour, describe, play);
        dots.setMinWidth(200);
        HBox second = new HBox(8, new IntervalBar(claim.estimate(), colour), number, range, Ui.grow(dots), grade);
        second.setAlignment(Pos.CENTER_LEFT);
        String notes = String.join(" \u00b7 ", writer.notes(claim));
        Label third = Ui.prose(writer.counts(claim) + (notes.isEmpty() ? "" : " \u00b7 " + notes), "claim-notes");
        getChildren().addAll(first, second, third);
    }

    public Claim claim() {
        return claim;
    }

    private FlowPane dots(Color colour, Function<Trial, String> describe, Consumer<Trial> play) {
        FlowPane pane = new FlowPane(1, 1);
        pane.setAlignment(Pos.CENTER_LEFT);
        pane.setPrefWrapLength(250);
        fill(pane, Math.min(DOTS, claim.trials().size()), colour, describe, play);
        return pane;
    }

    /** The first {@code shown} dots; a button at the end shows the rest. */
    private void fill(FlowPane pane, int shown, Color colour, Function<Trial, String> describe, Consumer<Trial> play) {
        pane.getChildren().clear();
        String match = null;
        for (Trial t : claim.trials().subList(0, shown)) {
            if (match != null && !match.equals(t.tag().match())) {
                Region gap = new Region();
                gap.setPrefWidth(4);
                pane.getChildren().add(gap);
            }
            match = t.tag().match();
            pane.getChildren().add(dot(t, colour, describe, play));
        }
        int rest = claim.trials().size() - shown;
        if (rest > 0) {
            pane.getChildren()
                    .add(Ui.button(
                            "+" + rest,
                            () -> fill(pane, claim.trials().size(), colour, describe, play),
                            "quiet",
                            "more-dots"));
        }
    }

    private static Button dot(Trial t, Color colour, Function<Trial, String> describe, Consumer<Trial> play) {
        Circle circle = new Circle(RADIUS, t.worked() ? colour : Look.SHEET);
        circle.setStroke(colour);
        circle.setStrokeWidth(1.4);
        Button dot = new Button();
        dot.setGraphic(circle);
        dot.getStyleClass().add("dot");
        dot.setAccessibleText(describe.apply(t));
        dot.setTooltip(new Tooltip(describe.apply(t)));
        dot.setOnAction(e -> play.accept(t));
        return dot;
    }
}
