package farglass.desk.camp;

import farglass.camp.Allocation;
import farglass.camp.Readiness;
import farglass.camp.Skill;
import farglass.camp.SkillSetting;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.matchup.advise.MeetingWriter;
import farglass.text.Language;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Every skill with its minutes, what they bring, how ready it is, and what the user sets for it. */
final class MinutesPage extends VBox {
    private static final double WIDEST = 110;
    private static final int STEP = 5;

    private final Desk desk;
    private final CampModel model;
    private final Consumer<Skill> chosen;

    MinutesPage(Desk desk, CampModel model, Consumer<Skill> chosen) {
        super(2);
        this.desk = desk;
        this.model = model;
        this.chosen = chosen;
        setId("camp-minutes");
    }

    void fill() {
        CampModel.Ready r = model.ready().get();
        if (r == null) {
            Gradual.anew(this, List.of(() -> Ui.empty(Words.of("camp.empty"))));
            return;
        }
        List<Supplier<Node>> rows = new ArrayList<>();
        if (r.preparation().allocation().unmet() > 0) {
            rows.add(() ->
                    Ui.prose(Words.of("camp.unmet", r.preparation().allocation().unmet()), "weak"));
        }
        int most = r.preparation().allocation().shares().stream()
                .mapToInt(Allocation.Share::rounds)
                .max()
                .orElse(1);
        for (Allocation.Share s : r.preparation().allocation().shares()) {
            rows.add(() -> row(r, s, Math.max(1, most)));
        }
        rows.add(() -> Ui.prose(Words.of("camp.minutes.hint"), "soft"));
        Gradual.anew(this, rows);
    }

    private Node row(CampModel.Ready r, Allocation.Share s, int most) {
        MeetingWriter w = model.writer();
        Skill skill = r.preparation().skill(s.want().skill());
        SkillSetting set = s.want().setting();
        Readiness ready = r.readiness().get(skill.key());
        Label name = Ui.label(r.cards().title(skill), "pinned-sentence");
        String where = skill.places().stream().limit(2).map(w::place).collect(Collectors.joining("; "));
        Label places = Ui.label(where, "claim-notes");
        Region bar = new Region();
        double width = Math.max(1, WIDEST * s.rounds() / most);
        bar.setMinSize(width, 9);
        bar.setMaxSize(width, 9);
        bar.getStyleClass().add(skill.ours() ? "bar-ours" : "bar-theirs");
        Label amount = Ui.label(
                Words.of(
                        "camp.share",
                        s.rounds() * r.camp().roundMinutes(),
                        w.gain(s.worth()),
                        String.format(Language.locale(), "%+.2f", 100 * s.next())),
                "claim-interval");
        HBox shares = new HBox(8, bar, amount);
        shares.setAlignment(Pos.CENTER_LEFT);
        Label stands = Ui.prose(
                Words.of(
                        "camp.ready",
                        w.percent(ready.mean()),
                        w.percent(ready.lo()),
                        w.percent(ready.hi()),
                        String.format(Language.locale(), "%.0f", ready.tries()),
                        ready.trainedTries()),
                "claim-interval");
        VBox text = new VBox(0, name, places);
        if (!skill.serves().isEmpty()) {
            text.getChildren()
                    .add(Ui.prose(
                            Words.of(skill.ours() ? "camp.serves" : "camp.serves.weapon", skill.serves()),
                            "claim-notes"));
        }
        text.getChildren().addAll(shares, stands);
        HBox row = new HBox(10, Ui.grow(text), settings(skill, set));
        row.setAlignment(Pos.CENTER_LEFT);
        javafx.scene.control.Button open = Ui.button(Words.of("camp.card.open"), () -> chosen.accept(skill), "choice");
        open.setMinWidth(USE_PREF_SIZE);
        row.getChildren().add(open);
        row.getStyleClass().add("skill-row");
        row.setId("skill-" + skill.technique() + (skill.ours() ? "-ours" : "-theirs"));
        return row;
    }

    private Node settings(Skill skill, SkillSetting set) {
        Spinner<Integer> gain = new Spinner<>(0, 100, (int) Math.round(100 * set.gain()), STEP);
        Spinner<Integer> least = new Spinner<>(0, 600, set.leastMinutes(), STEP);
        gain.setPrefWidth(74);
        least.setPrefWidth(74);
        gain.setAccessibleText(Words.of("camp.gain"));
        least.setAccessibleText(Words.of("camp.least"));
        gain.valueProperty().addListener((o, was, is) -> set(skill, set.gain(is / 100.0)));
        least.valueProperty().addListener((o, was, is) -> set(skill, set.least(is)));
        CheckBox out = new CheckBox(Words.of("camp.left"));
        out.setSelected(set.left());
        out.setOnAction(e -> set(skill, set.left(out.isSelected())));
        VBox first = new VBox(0, Ui.name(Words.of("camp.gain"), gain), gain);
        VBox second = new VBox(0, Ui.name(Words.of("camp.least"), least), least);
        HBox box = new HBox(6, first, second, out);
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    private void set(Skill skill, SkillSetting next) {
        if (desk.plan().get() != null) {
            model.change(c -> c.setting(skill.key(), next));
        }
    }
}
