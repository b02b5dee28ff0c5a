package farglass.desk.matchup;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Pages;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.PersonName;
import farglass.matchup.advise.Bracket;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.PlanComparison;
import farglass.plan.Assignment;
import farglass.text.Language;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * All likely opponents of the assignment: the chance to meet each, what helps against all of them, what is for one
 * alone.
 */
final class BracketPage extends VBox {
    private static final int SKILLS = 16;
    private static final int STEP = 5;
    private static final long SEED = 1;

    private final Desk desk;
    private final MeetingModel model;
    private final VBox chances = new VBox(4);
    private final VBox result = new VBox(6);
    private List<Bracket.Opponent> solved = List.of();
    private String solvedFor = "";

    BracketPage(Desk desk, MeetingModel model) {
        super(10);
        this.desk = desk;
        this.model = model;
        setId("matchup-bracket-page");
        Button work = Ui.button(Words.of("bracket.work"), this::work, "strong-button");
        work.setMinWidth(USE_PREF_SIZE);
        HBox head = new HBox(8, Ui.grow(Ui.prose(Words.of("bracket.hint"), "soft")), work);
        head.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(head, chances, Ui.grow(Pages.scroll(result)));
        desk.assignment().addListener((o, was, is) -> fill());
        fill();
    }

    private void fill() {
        Assignment a = desk.assignment().get();
        chances.getChildren().clear();
        if (a == null || a.opponents().isEmpty()) {
            result.getChildren().setAll(Ui.empty(Words.of("bracket.none")));
            return;
        }
        if (!solvedFor.equals(a.id() + a.opponents())) {
            solved = List.of();
        }
        a.opponents().forEach(o -> chances.getChildren().add(chance(a, o)));
        show(a);
    }

    private Node chance(Assignment a, String opponent) {
        Spinner<Integer> percent = new Spinner<>(0, 100, (int) Math.round(100 * a.chance(opponent)), STEP);
        percent.setId("chance-" + opponent);
        percent.setEditable(true);
        percent.setPrefWidth(84);
        percent.valueProperty()
                .addListener((o, was, is) -> desk.save(desk.assignment().get().chance(opponent, is / 100.0)));
        Label name = Ui.label(desk.nameOf(opponent), "pinned-sentence");
        name.setMinWidth(170);
        HBox row = new HBox(8, name, Ui.label(Words.of("bracket.chance"), "soft"), percent);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    /** Solves every match-up once; chances that change later only weigh them anew. */
    private void work() {
        Assignment a = desk.assignment().get();
        if (a == null || a.opponents().isEmpty()) {
            return;
        }
        desk.tasks().longTask(Words.of("bracket.working"), (progress, cancelled) -> {
            List<Bracket.Opponent> found = new ArrayList<>();
            for (String them : a.opponents()) {
                if (cancelled.getAsBoolean()) {
                    return;
                }
                Meeting m = model.against(them);
                found.add(opponent(a, them, m, cancelled));
                progress.accept(found.size() / (double) a.opponents().size());
            }
            if (cancelled.getAsBoolean()) {
                return;
            }
            Platform.runLater(() -> {
                solved = found;
                solvedFor = a.id() + a.opponents();
                show(desk.assignment().get());
            });
        });
    }

    /** With the interval of the plan, which takes some seconds. */
    private static Bracket.Opponent opponent(
            Assignment a, String them, Meeting m, java.util.function.BooleanSupplier cancelled) {
        if (!m.enough()) {
            return new Bracket.Opponent(them, a.chance(them), null, null);
        }
        Meeting.Question q = m.question();
        PlanComparison v = PlanComparison.of(
                m, List.of(new PlanComparison.Way(q.settings(), q.wishes())), SEED, x -> {}, cancelled);
        return new Bracket.Opponent(
                them,
                a.chance(them),
                m.solve(),
                v == null ? null : v.plans().get(0).win());
    }

    private void show(Assignment a) {
        result.getChildren().clear();
        if (solved.isEmpty() || a == null) {
            result.getChildren().add(Ui.empty(Words.of("bracket.empty")));
            return;
        }
        List<Bracket.Opponent> now = solved.stream()
                .map(o -> new Bracket.Opponent(o.id(), a.chance(o.id()), o.solved(), o.range()))
                .toList();
        Bracket b = Bracket.of(now);
        MeetingWriter w = model.writer();
        for (Bracket.Opponent o : now) {
            result.getChildren()
                    .add(Ui.prose(
                            o.solved() == null
                                    ? Words.of("bracket.unknown", desk.nameOf(o.id()))
                                    : Words.of(
                                            "bracket.wins",
                                            desk.nameOf(o.id()),
                                            w.percent(o.solved().natural().win()),
                                            w.percent(o.solved().planned().win()),
                                            w.percent(o.range().lo()),
                                            w.percent(o.range().hi())),
                            "body"));
        }
        if (b.skills().isEmpty()) {
            return;
        }
        result.getChildren()
                .add(Ui.prose(
                        Words.of(
                                "bracket.whoever",
                                w.percent(b.win(false)),
                                w.percent(b.win(true)),
                                w.percent(b.range().lo()),
                                w.percent(b.range().hi())),
                        "pinned-sentence"));
        result.getChildren().add(Ui.label(Words.of("bracket.skills"), "heading"));
        result.getChildren().add(table(b, w));
    }

    private Node table(Bracket b, MeetingWriter w) {
        GridPane table = new GridPane();
        table.setHgap(14);
        table.setVgap(3);
        List<Bracket.Opponent> known =
                b.opponents().stream().filter(o -> o.solved() != null).toList();
        List<Node> head = new ArrayList<>();
        head.add(Ui.label(Words.of("bracket.skill"), "field-name"));
        head.add(Ui.label(Words.of("bracket.sum"), "field-name"));
        known.forEach(o -> head.add(Ui.label(first(o.id()).toUpperCase(Language.locale()), "field-name")));
        head.add(Ui.label(Words.of("bracket.for"), "field-name"));
        table.addRow(0, head.toArray(Node[]::new));
        int row = 1;
        for (Bracket.Skill s : b.skills().stream().limit(SKILLS).toList()) {
            List<Node> cells = new ArrayList<>();
            String what = Words.of(s.ours() ? "bracket.ours" : "bracket.theirs", w.technique(s.technique()));
            String places = s.places().stream().limit(2).map(w::place).collect(Collectors.joining("; "));
            VBox named = new VBox(0, Ui.label(what, "pinned-sentence"), Ui.label(places, "claim-interval"));
            cells.add(named);
            cells.add(Ui.label(w.gain(s.worth()), "body"));
            known.forEach(o -> cells.add(Ui.label(w.gain(s.against().getOrDefault(o.id(), 0.0)), "claim-interval")));
            cells.add(Ui.label(
                    s.alone() == null ? Words.of("bracket.all") : Words.of("bracket.only", first(s.alone())), "soft"));
            table.addRow(row++, cells.toArray(Node[]::new));
        }
        return table;
    }

    private String first(String id) {
        return PersonName.first(desk.nameOf(id));
    }
}
