package farglass.desk.debrief;

import farglass.debrief.DecisionKind;
import farglass.debrief.Season;
import farglass.desk.matchup.Clips;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.lexicon.Family;
import farglass.rules.Rulesets;
import farglass.text.Language;
import farglass.work.debrief.DebriefService;
import java.util.List;
import javafx.application.Platform;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** How kinds of decision fared over the season; worked out when asked for, since every match is solved anew. */
final class KindsPart extends VBox {
    private final Desk desk;
    private final Lines lines;
    private final VBox rows = new VBox(8);
    private Season season;

    KindsPart(Desk desk, Lines lines) {
        super(8);
        this.desk = desk;
        this.lines = lines;
        rows.setId("season-kinds");
        HBox head = new HBox(
                10,
                Ui.label(Words.of("season.kinds"), "heading"),
                Ui.spring(),
                Ui.button(Words.of("season.kinds.work"), this::work, "choice"));
        getChildren().addAll(head, rows);
    }

    /** Another season makes what stands here old. */
    void about(Season s) {
        if (!s.equals(season)) {
            season = s;
            rows.getChildren().setAll(Ui.empty(Words.of("season.kinds.hint")));
        }
    }

    private void work() {
        Season of = season;
        Rulesets rulesets = desk.rulesets().get();
        rows.getChildren().setAll(Ui.empty(Words.of("season.kinds.working")));
        desk.tasks().longTask(Words.of("season.kinds.task"), (progress, cancelled) -> {
            List<DecisionKind> kinds = DebriefService.kinds(of, rulesets, desk.index(), progress, cancelled);
            Platform.runLater(() -> {
                if (of.equals(season)) {
                    show(kinds);
                }
            });
        });
    }

    /** @param kinds null when it was stopped */
    private void show(List<DecisionKind> kinds) {
        rows.getChildren().clear();
        if (kinds == null || kinds.isEmpty()) {
            rows.getChildren().add(Ui.empty(Words.of(kinds == null ? "season.kinds.hint" : "season.kinds.none")));
            return;
        }
        kinds.forEach(k -> rows.getChildren().add(row(k)));
    }

    private VBox row(DecisionKind k) {
        Boolean good = switch (k.verdict()) {
            case OPEN -> null;
            case KEPT, MORE -> true;
            case LESS -> false;
        };
        String name = k.family().isEmpty()
                ? Words.of("season.kind.hold")
                : desk.lexicon().family(k.family()).map(Family::name).orElse(k.family());
        String met = Words.of("season.kind.met", k.decisions(), k.came(), k.done());
        String numbers = k.expected() > 0
                ? Words.of(
                        "season.kind.numbers",
                        k.tries(),
                        k.worked(),
                        String.format(Language.locale(), "%.2f", k.expected()),
                        k.verdict() == DecisionKind.Verdict.OPEN
                                ? ""
                                : Words.of(
                                        "season.kind.ratio", figure(k.ratio()), figure(k.lower()), figure(k.upper())))
                : Words.of("season.kind.minutes", figure(k.minutes()));
        return lines.row(
                Words.of("season.kind." + k.verdict()), good, name, met + " " + numbers, 0, Clips.of(desk, k.tags()));
    }

    private static String figure(double x) {
        return String.format(Language.locale(), "%.1f", x);
    }
}
