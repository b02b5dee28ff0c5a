package farglass.desk.plan;

import farglass.desk.matchup.MeetingModel;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.matchup.advise.Proposal;
import farglass.matchup.gameplan.Call;
import farglass.plan.Plan;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What the corner calls, each with its situation; a call that is changed makes all of them the corner's own. */
final class CallsPart extends VBox {
    private static final double WORDS = 140;

    private final Desk desk;
    private final MeetingModel model;
    private final OwnPlanModel own;
    private final VBox rows = new VBox(4);
    private final Button computed = Ui.button(Words.of("plan.calls.computed"), this::computed, "quiet");
    private List<Call> shown = List.of();

    CallsPart(Desk desk, MeetingModel model, OwnPlanModel own) {
        super(6);
        this.desk = desk;
        this.model = model;
        this.own = own;
        setId("plan-calls");
        HBox head = Ui.head(
                Ui.label(Words.of("plan.calls"), "heading"),
                computed,
                Ui.button(Words.of("plan.calls.add"), this::add, "choice"));
        getChildren().addAll(head, rows);
    }

    void fill() {
        Plan plan = desk.plan().get();
        Proposal p = model.proposal().get();
        List<Call> mine = plan == null ? List.of() : plan.calls();
        OwnPlanModel.Known k = own.known().get();
        boolean valued = k != null && k.plan().valued().stream().anyMatch(v -> v.worth() != null);
        shown = !mine.isEmpty() || p == null ? mine : model.pages().calls(p, valued ? k.plan() : null);
        computed.setVisible(!mine.isEmpty());
        rows.getChildren().clear();
        for (int i = 0; i < shown.size(); i++) {
            rows.getChildren().add(row(i));
        }
    }

    private HBox row(int number) {
        Call c = shown.get(number);
        TextField words = field(c.words(), "plan.calls.words");
        TextField situation = field(c.situation(), "plan.calls.situation");
        words.setId("call-" + number);
        situation.setId("call-when-" + number);
        words.setPrefWidth(WORDS);
        words.setMinWidth(WORDS);
        Runnable keep = () -> {
            String said = words.getText().strip();
            String when = situation.getText().strip();
            // a field that goes because of an undo would bring back what was undone
            boolean typed = !said.equals(c.words()) || !when.equals(c.situation());
            if (typed && number < shown.size() && shown.get(number).equals(c)) {
                change(number, said, when);
            }
        };
        for (TextField f : List.of(words, situation)) {
            f.setOnAction(e -> keep.run());
            f.focusedProperty().addListener((o, was, is) -> {
                if (!is) {
                    keep.run();
                }
            });
        }
        Button drop = Ui.button(Words.of("plan.own.drop"), () -> change(number, "", ""), "quiet");
        drop.setMinWidth(USE_PREF_SIZE);
        HBox row = new HBox(8, words, Ui.grow(situation), drop);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private static TextField field(String text, String prompt) {
        TextField f = new TextField(text);
        f.setPromptText(Words.of(prompt));
        f.setAccessibleText(Words.of(prompt));
        return f;
    }

    /** A call without words is taken out. */
    private void change(int number, String words, String situation) {
        if (desk.plan().get() == null || number >= shown.size()) {
            return;
        }
        List<Call> next = new ArrayList<>(shown);
        if (words.isEmpty()) {
            next.remove(number);
        } else {
            next.set(number, new Call(situation, words));
        }
        keep(next);
    }

    private void keep(List<Call> next) {
        if (!next.equals(shown)) {
            desk.changePlan(p -> p.calls(next));
        }
    }

    private void add() {
        if (desk.plan().get() == null) {
            return;
        }
        if (shown.size() >= Call.MOST) {
            desk.notices().done(Words.of("plan.calls.full", Call.MOST));
            return;
        }
        List<Call> next = new ArrayList<>(shown);
        next.add(new Call("", Words.of("plan.calls.new")));
        keep(next);
    }

    private void computed() {
        desk.changePlan(p -> p.calls(List.of()));
    }
}
