package farglass.desk.profile;

import farglass.desk.claim.IntervalBar;
import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.profile.Claim;
import farglass.profile.ClaimWriter;
import farglass.stats.Difference;
import farglass.stats.Trial;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;

/** A claim of two, one bar below the other, and the difference with its interval. */
final class TwoRow extends VBox {
    private static final double NAME_WIDTH = 90;

    private final ClaimWriter writer;
    private final Consumer<List<Trial>> playAll;

    /** @param colour of the first; the second has the other one */
    TwoRow(ClaimWriter writer, PageRow.Two t, Color colour, Consumer<List<Trial>> playAll) {
        super(3);
        this.writer = writer;
        this.playAll = playAll;
        Difference d = t.difference();
        getChildren().add(Ui.prose(writer.sentence(t.a()), "claim-sentence"));
        getChildren().add(line(t.nameA(), t.a(), colour));
        getChildren().add(line(t.nameB(), t.b(), colour.equals(Look.ours()) ? Look.theirs() : Look.ours()));
        getChildren().add(Ui.prose(counts(t.nameA(), t.a()) + " \u00b7 " + counts(t.nameB(), t.b()), "claim-notes"));
        getChildren()
                .add(Ui.label(
                        difference(t.a().unit(), d) + " \u00b7 "
                                + Words.of(d.clear() ? "versus.clear" : "versus.unclear"),
                        d.clear() ? "strong" : "soft"));
    }

    private static String difference(Claim.Unit unit, Difference d) {
        if (unit == Claim.Unit.SHARE || unit == Claim.Unit.TIME_SHARE) {
            return Words.of(
                    "versus.points", Math.round(d.value() * 100), Math.round(d.lo() * 100), Math.round(d.hi() * 100));
        }
        return Words.of(
                "versus.difference",
                ClaimWriter.value(unit, d.value()),
                ClaimWriter.value(unit, d.lo()),
                ClaimWriter.value(unit, d.hi()));
    }

    private String counts(String name, Claim c) {
        return name + " " + writer.counts(c) + ", " + writer.grade(c.estimate().grade());
    }

    private HBox line(String name, Claim c, Color colour) {
        Label who = Ui.label(name, "field-name");
        who.setMinWidth(NAME_WIDTH);
        who.setMaxWidth(NAME_WIDTH);
        Label number = Ui.label(writer.number(c), "strong");
        number.setMinWidth(Region.USE_PREF_SIZE);
        Label interval = Ui.label(writer.interval(c), "claim-interval");
        interval.setMinWidth(Region.USE_PREF_SIZE);
        HBox line = new HBox(8, who, new IntervalBar(c, colour), number, interval, Ui.spring());
        if (!c.trials().isEmpty()) {
            Button play = Ui.button(Words.of("claim.play"), () -> playAll.accept(c.trials()), "quiet");
            play.setMinWidth(Region.USE_PREF_SIZE);
            line.getChildren().add(play);
        }
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }
}
