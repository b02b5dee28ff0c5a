package farglass.desk.profile;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.profile.Report;
import farglass.stats.Trial;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** A fault, how often it went free, and where it was done right; or what was done well. */
final class FaultRow {
    private FaultRow() {}

    static VBox of(Desk desk, Report.Fault f, Consumer<List<Trial>> playAll) {
        VBox box = new VBox(
                2,
                first(f.subject(), f.trials(), playAll),
                Ui.prose(
                        Words.of("report.counts", f.trials().size(), f.punished(), f.unpunished(), f.untold()),
                        "soft"));
        if (!f.instead().isEmpty()) {
            String words = f.example().map(e -> e.technique()).orElse(f.instead());
            HBox instead = new HBox(
                    8,
                    Ui.label(
                            Words.of(
                                    "report.instead",
                                    desk.lexicon()
                                            .technique(words)
                                            .map(t -> t.name())
                                            .orElse(words)),
                            "strong"));
            f.example()
                    .ifPresentOrElse(
                            e -> instead.getChildren()
                                    .add(Ui.button(
                                            Words.of(e.own() ? "report.own-example" : "report.example", e.who()),
                                            () -> playAll.accept(List.of(e.trial())),
                                            "quiet")),
                            () -> instead.getChildren().add(Ui.label(Words.of("report.no-example"), "soft")));
            instead.setAlignment(Pos.CENTER_LEFT);
            box.getChildren().add(instead);
        }
        return box;
    }

    static VBox of(Report.Praise p, Consumer<List<Trial>> playAll) {
        return new VBox(
                2,
                first(p.subject(), p.trials(), playAll),
                Ui.label(Words.of("report.praised", p.trials().size()), "soft"));
    }

    private static HBox first(String subject, List<Trial> trials, Consumer<List<Trial>> playAll) {
        HBox first = new HBox(
                8,
                Ui.grow(Ui.prose(subject, "claim-sentence")),
                Ui.spring(),
                Ui.button(Words.of("claim.play"), () -> playAll.accept(trials), "quiet"));
        first.setAlignment(Pos.CENTER_LEFT);
        return first;
    }
}
