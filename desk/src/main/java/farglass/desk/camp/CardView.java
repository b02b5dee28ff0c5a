package farglass.desk.camp;

import farglass.camp.Card;
import farglass.camp.Logged;
import farglass.camp.Skill;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Pages;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import java.time.LocalDate;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The card of one skill, and under it the place to log a round of it. */
final class CardView extends VBox {
    private final Desk desk;
    private final CampModel model;
    private final VBox text = new VBox(5);
    private final Spinner<Integer> tries = new Spinner<>(0, 500, 0);
    private final Spinner<Integer> successes = new Spinner<>(0, 500, 0);
    private final TextField remark = new TextField();
    private Skill skill;

    CardView(Desk desk, CampModel model) {
        super(8);
        this.desk = desk;
        this.model = model;
        setId("camp-card");
        text.setPadding(new Insets(0, 12, 0, 0));
        tries.setId("log-tries");
        successes.setId("log-successes");
        remark.setId("log-remark");
        tries.setEditable(true);
        successes.setEditable(true);
        tries.setPrefWidth(84);
        successes.setPrefWidth(84);
        remark.setPromptText(Words.of("camp.log.remark"));
        remark.setOnAction(e -> log());
        HBox counts = new HBox(
                8,
                Ui.name(Words.of("camp.log.tries"), tries),
                tries,
                Ui.name(Words.of("camp.log.successes"), successes),
                successes);
        counts.setAlignment(Pos.CENTER_LEFT);
        HBox last = new HBox(8, Ui.grow(remark), Ui.button(Words.of("camp.log.keep"), this::log, "strong-button"));
        last.setAlignment(Pos.CENTER_LEFT);
        getChildren()
                .addAll(
                        Ui.grow(Ui.sheet(Words.of("camp.card"), null, Ui.grow(Pages.scroll(text)))),
                        Ui.sheet(Words.of("camp.log.round"), null, counts, last));
    }

    void show(Skill s) {
        skill = s;
        fill();
    }

    void fill() {
        text.getChildren().clear();
        CampModel.Ready r = model.ready().get();
        if (r == null || r.preparation().skills().isEmpty()) {
            text.getChildren().add(Ui.empty(Words.of("camp.card.none")));
            return;
        }
        if (skill == null || !r.preparation().skills().contains(skill)) {
            skill = r.preparation().skills().get(0);
        }
        Card c = r.cards().card(skill);
        text.getChildren().add(Ui.prose(c.title(), "question-small"));
        part("camp.card.start", c.start() + " " + c.grips());
        part("camp.card.goal", c.goal());
        part("camp.card.partner", c.partnerGoal() + " " + c.brief());
        text.getChildren().add(Ui.label(Words.of("camp.card.steps"), "field-name"));
        for (Card.Step step : c.steps()) {
            text.getChildren().add(Ui.prose(Words.of("camp.card.step", step.what(), step.why()), "body"));
        }
        part("camp.card.check", c.check());
        part("camp.card.wrong", c.wrong());
        text.getChildren().add(Ui.label(Words.of("camp.card.danger"), "field-name"));
        text.getChildren().add(Ui.prose(c.danger(), "weak"));
        part("camp.card.stop", c.stop());
        part("camp.card.log", c.log());
        if (!r.camp().care().isBlank()) {
            part("camp.card.care", r.camp().care());
        }
    }

    private void part(String key, String words) {
        Label name = Ui.label(Words.of(key), "field-name");
        text.getChildren().addAll(name, Ui.prose(words, "body"));
    }

    private void log() {
        if (skill == null || model.ready().get() == null) {
            return;
        }
        int all = tries.getValue();
        if (all == 0) {
            desk.notices().done(Words.of("camp.log.nothing"));
            return;
        }
        Logged l;
        try {
            l = new Logged(
                    LocalDate.now(desk.clock()),
                    skill.key(),
                    all,
                    successes.getValue(),
                    remark.getText().strip());
        } catch (IllegalArgumentException e) {
            desk.notices().problem(Words.of("camp.refused", e.getMessage()));
            return;
        }
        model.change(c -> c.log(l));
        tries.getValueFactory().setValue(0);
        successes.getValueFactory().setValue(0);
        remark.clear();
    }
}
