package farglass.desk.camp;

import farglass.camp.CampCalendar;
import farglass.camp.Skill;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.text.Language;
import farglass.time.Dates;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** The training days with their rounds; a round shows its card. */
final class CalendarPage extends VBox {
    private final Desk desk;
    private final CampModel model;
    private final Consumer<Skill> chosen;

    CalendarPage(Desk desk, CampModel model, Consumer<Skill> chosen) {
        super(8);
        this.desk = desk;
        this.model = model;
        this.chosen = chosen;
        setId("camp-calendar");
    }

    void fill() {
        CampModel.Ready r = model.ready().get();
        if (r == null || r.preparation().calendar().days().isEmpty()) {
            Gradual.anew(this, List.of(() -> Ui.empty(Words.of(r == null ? "camp.empty" : "camp.calendar.none"))));
            return;
        }
        CampCalendar c = r.preparation().calendar();
        List<Supplier<Node>> rows = new ArrayList<>();
        rows.add(() -> Ui.prose(
                Words.of(
                        "camp.calendar.sum",
                        c.rounds(CampCalendar.Intensity.HARD),
                        c.rounds(CampCalendar.Intensity.STEADY),
                        c.rounds(CampCalendar.Intensity.LIGHT)),
                "soft"));
        c.days().forEach(d -> rows.add(() -> day(r, d)));
        String event = desk.assignment().get().event();
        rows.add(() -> Ui.label(
                Words.of("camp.calendar.event", String.valueOf(r.preparation().event()), event), "heading"));
        Gradual.anew(this, rows);
    }

    private Node day(CampModel.Ready r, CampCalendar.Day d) {
        String name = d.date().getDayOfWeek().getDisplayName(TextStyle.SHORT, Language.locale());
        Label date = Ui.label(
                Words.of(d.hard() ? "camp.calendar.hard" : "camp.calendar.light", name, Dates.words(d.date())),
                "heading");
        FlowPane rounds = new FlowPane(6, 4);
        for (CampCalendar.Round round : d.rounds()) {
            Skill skill = r.preparation().skill(round.skill());
            String partner = round.partner().isEmpty() ? "" : ", " + round.partner();
            Button b = Ui.button(
                    Words.of(
                            "camp.calendar.round",
                            r.cards().title(skill),
                            round.intensity().name().toLowerCase(Locale.ROOT),
                            partner),
                    () -> chosen.accept(skill),
                    "round",
                    skill.ours() ? "of-ours" : "of-theirs");
            rounds.getChildren().add(b);
        }
        return new VBox(3, date, rounds);
    }
}
