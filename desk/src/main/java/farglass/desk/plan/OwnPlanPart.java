package farglass.desk.plan;

import farglass.desk.matchup.Clips;
import farglass.desk.matchup.MeetingModel;
import farglass.desk.profile.ClipView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.matchup.advise.Decisions;
import farglass.matchup.advise.OwnPlan;
import farglass.matchup.advise.OwnPlanWriter;
import farglass.matchup.advise.Proposal;
import farglass.plan.Fork;
import farglass.plan.Plan;
import farglass.stats.TagRef;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The coach's own plan on the page of decisions: typed in sentences, each read, valued, changed and taken out. */
final class OwnPlanPart extends VBox {
    private final Desk desk;
    private final MeetingModel model;
    private final OwnPlanModel own;
    private final ClipView clip;
    private final VBox rows = new VBox(7);
    private final TextField line = new TextField();

    OwnPlanPart(Desk desk, MeetingModel model, OwnPlanModel own, ClipView clip) {
        super(7);
        this.desk = desk;
        this.model = model;
        this.own = own;
        this.clip = clip;
        rows.setId("own-plan");
        line.setId("own-plan-line");
        line.setPromptText(Words.of("plan.own.prompt"));
        line.setOnAction(e -> add());
        Button add = Ui.button(Words.of("plan.own.add"), this::add, "choice");
        Button take = Ui.button(Words.of("plan.own.take"), this::take, "choice");
        take.setId("own-plan-take");
        Stream.of(add, take).forEach(b -> b.setMinWidth(USE_PREF_SIZE));
        HBox head = Ui.head(Ui.label(Words.of("plan.own"), "heading"), take);
        HBox typed = new HBox(8, Ui.grow(line), add);
        Stream.of(head, typed).forEach(b -> b.setAlignment(Pos.CENTER_LEFT));
        getChildren().addAll(head, typed, rows);
        own.known().addListener((o, was, is) -> fill());
    }

    private void add() {
        String typed = line.getText().strip();
        if (!typed.isEmpty() && desk.plan().get() != null) {
            line.clear();
            desk.changePlan(p -> p.open(typed));
        }
    }

    /** Lays the computed decisions as sentences of our own, to be changed from there. */
    private void take() {
        Proposal p = model.proposal().get();
        if (p == null) {
            return;
        }
        List<String> sentences = p.decisions().valued().stream()
                .map(Decisions.Valued::decision)
                .map(model.writer().decisions()::sentence)
                .map(s -> s.endsWith(".") ? s.substring(0, s.length() - 1) : s)
                .toList();
        desk.changePlan(plan -> {
            Plan next = plan;
            for (String s : sentences) {
                next = next.openings().stream().anyMatch(f -> f.text().equals(s)) ? next : next.open(s);
            }
            return next;
        });
    }

    void fill() {
        Plan plan = desk.plan().get();
        OwnPlanModel.Known k = own.known().get();
        if (plan == null || plan.openings().isEmpty()) {
            Gradual.anew(rows, List.of(() -> Ui.prose(Words.of("plan.own.none"), "claim-notes")));
            return;
        }
        if (k == null) {
            Gradual.anew(rows, List.of(() -> Ui.prose(Words.of("plan.own.working"), "claim-notes")));
            return;
        }
        OwnPlanWriter w = model.writer().own();
        List<Supplier<Node>> list = new ArrayList<>();
        list.add(() -> Ui.prose(w.compared(k.plan()), "body"));
        k.reads().stream()
                .map(r -> r.fork())
                .distinct()
                .forEach(id -> plan.find(id).ifPresent(f -> list.add(() -> row(f, k, w))));
        if (!k.left().isEmpty()) {
            list.add(() -> Ui.prose(w.left(k.left()), "claim-notes"));
        }
        Gradual.anew(rows, list);
    }

    private Node row(Fork f, OwnPlanModel.Known k, OwnPlanWriter w) {
        TextField words = new TextField(f.text());
        words.getStyleClass().add("own-sentence");
        words.setOnAction(e -> change(f, words.getText()));
        words.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                change(f, words.getText());
            }
        });
        HBox first = new HBox(8, Ui.grow(words));
        first.setAlignment(Pos.CENTER_LEFT);
        int[] of = IntStream.range(0, k.reads().size())
                .filter(i -> k.reads().get(i).fork().equals(f.id()))
                .toArray();
        List<TagRef> tags = IntStream.of(of)
                .mapToObj(i -> k.reads().get(i).intent())
                .flatMap(i -> i.tags(k.model()).stream())
                .distinct()
                .toList();
        if (!tags.isEmpty()) {
            first.getChildren()
                    .add(Ui.button(
                            Words.of("matchup.play", tags.size()), () -> clip.playAll(Clips.of(desk, tags)), "quiet"));
        }
        if (f.next().isEmpty()) {
            first.getChildren()
                    .add(Ui.button(Words.of("plan.own.drop"), () -> desk.changePlan(p -> p.drop(f.id())), "quiet"));
        }
        first.getChildren().stream()
                .filter(Button.class::isInstance)
                .forEach(b -> ((Button) b).setMinWidth(USE_PREF_SIZE));
        VBox box = new VBox(1, first);
        IntStream.of(of).forEach(i -> {
            OwnPlan.Valued v = k.plan().valued().get(i);
            String worth = w.worth(v, k.plan().draws());
            box.getChildren().add(Ui.prose(Words.of("plan.own.read", w.sentence(v.intent()), worth), "claim-notes"));
        });
        return box;
    }

    private void change(Fork f, String typed) {
        String next = typed.strip();
        Plan plan = desk.plan().get();
        boolean other = plan != null
                && plan.find(f.id()).filter(x -> x.text().equals(f.text())).isPresent()
                && !next.equals(f.text());
        if (other && !next.isEmpty()) {
            desk.changePlan(p -> p.change(f.id(), x -> x.text(next, x.note())));
        }
    }
}
