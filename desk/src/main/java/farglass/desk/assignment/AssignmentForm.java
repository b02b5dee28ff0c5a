package farglass.desk.assignment;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.WhenShown;
import farglass.desk.shell.Words;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.plan.Assignment;
import farglass.text.CoreWords;
import farglass.time.Dates;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javafx.collections.FXCollections;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.DatePicker;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The fields of an assignment. Every change is kept at once. */
final class AssignmentForm extends VBox {
    static final List<String> RULESETS =
            List.of("points-gi", "points-nogi", "late-points", "submission-only", "mixed-rounds");
    static final List<String> ATTIRES = List.of("gi", "no-gi");

    private final Desk desk;
    private final ComboBox<Assignment> which = new ComboBox<>();
    private final ComboBox<String> us = new ComboBox<>();
    private final TextField event = new TextField();
    private final DatePicker date = Ui.datePicker();
    private final ComboBox<String> ruleset = new ComboBox<>(FXCollections.observableArrayList(RULESETS));
    private final ComboBox<String> attire = new ComboBox<>(FXCollections.observableArrayList(ATTIRES));
    private final Spinner<Integer> minutes = new Spinner<>(1, 60, 8);
    private final VBox opponents = new VBox(4);
    private final Map<String, CheckBox> boxes = new LinkedHashMap<>();
    private boolean filling;

    AssignmentForm(Desk desk) {
        super(8);
        this.desk = desk;
        which.setConverter(Ui.shown(a -> a.event() + (a.date() == null ? "" : ", " + Dates.words(a.date()))));
        which.setMaxWidth(Double.MAX_VALUE);
        us.setConverter(Ui.shown(desk::nameOf));
        us.setMaxWidth(Double.MAX_VALUE);
        date.setMaxWidth(Double.MAX_VALUE);
        ruleset.setConverter(Ui.shown(code -> desk.rulesName(code, null)));
        ruleset.setMaxWidth(Double.MAX_VALUE);
        attire.setMaxWidth(Double.MAX_VALUE);
        minutes.setMaxWidth(Double.MAX_VALUE);
        ScrollPane scroll = new ScrollPane(opponents);
        scroll.setFitToWidth(true);
        Ui.grow(scroll);
        attire.setConverter(Ui.shown(CoreWords::code));
        which.setAccessibleText(Words.of("name.assignment"));
        HBox top = new HBox(8, Ui.grow(which), Ui.button(Words.of("assignment.new"), this::create, "choice"));
        getChildren()
                .addAll(
                        top,
                        field("assignment.us", us),
                        field("assignment.event", event),
                        field("assignment.date", date),
                        field("assignment.ruleset", ruleset),
                        new HBox(10, field("assignment.attire", attire), field("assignment.minutes", minutes)),
                        Ui.label(Words.of("assignment.opponents"), "field-name"),
                        scroll);
        Ui.grow(this);
        listen();
        WhenShown refill = new WhenShown(this, this::fill);
        desk.assignment().addListener((o, was, is) -> refill.ask());
        desk.matches()
                .addListener((javafx.collections.ListChangeListener<farglass.match.MatchRecord>) c -> refill.ask());
        fill();
    }

    private static VBox field(String words, Node control) {
        VBox box = new VBox(2, Ui.name(Words.of(words), control), control);
        HBox.setHgrow(box, javafx.scene.layout.Priority.ALWAYS);
        return box;
    }

    private void listen() {
        which.valueProperty().addListener((o, was, is) -> {
            if (!filling && is != null) {
                desk.assignment().set(is);
            }
        });
        us.valueProperty().addListener((o, was, is) -> keep());
        event.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                keep();
            }
        });
        event.setOnAction(e -> keep());
        date.valueProperty().addListener((o, was, is) -> keep());
        ruleset.valueProperty().addListener((o, was, is) -> keep());
        attire.valueProperty().addListener((o, was, is) -> keep());
        minutes.valueProperty().addListener((o, was, is) -> keep());
    }

    private void fill() {
        filling = true;
        Assignment a = desk.assignment().get();
        Map<String, String> athletes = desk.athletes();
        which.getItems().setAll(desk.assignments());
        which.setValue(a);
        us.getItems().setAll(athletes.keySet());
        if (a != null) {
            us.setValue(a.us());
            event.setText(a.event());
            date.setValue(a.date());
            ruleset.setValue(a.ruleset());
            attire.setValue(a.attire());
            minutes.getValueFactory().setValue(a.minutes());
        }
        for (Node field : List.of(us, event, date, ruleset, attire, minutes)) {
            field.setDisable(a == null);
        }
        fillOpponents(a, athletes);
        filling = false;
    }

    private void fillOpponents(Assignment a, Map<String, String> athletes) {
        boxes.clear();
        if (a == null) {
            opponents
                    .getChildren()
                    .setAll(Ui.empty(Words.of(athletes.isEmpty() ? "assignment.first" : "assignment.choose")));
            return;
        }
        Set<String> order = new LinkedHashSet<>(a.opponents());
        order.addAll(athletes.keySet());
        order.remove(a.us());
        Map<String, Integer> matches = matches();
        for (String id : order) {
            CheckBox box = new CheckBox(Words.of("assignment.opponent", desk.nameOf(id), matches.getOrDefault(id, 0)));
            box.setSelected(a.opponents().contains(id));
            box.selectedProperty().addListener((o, was, is) -> keep());
            boxes.put(id, box);
        }
        opponents.getChildren().setAll(boxes.values());
    }

    /** How many matches there are of every athlete. */
    private Map<String, Integer> matches() {
        Map<String, Integer> counts = new HashMap<>();
        for (MatchRecord r : desk.matches()) {
            for (Corner c : Corner.values()) {
                counts.merge(r.athlete(c).id(), 1, Integer::sum);
            }
        }
        return counts;
    }

    private List<String> chosen() {
        return boxes.entrySet().stream()
                .filter(e -> e.getValue().isSelected())
                .map(Map.Entry::getKey)
                .toList();
    }

    private void keep() {
        Assignment a = desk.assignment().get();
        if (filling || a == null || us.getValue() == null) {
            return;
        }
        Assignment next = new Assignment(
                a.id(),
                us.getValue(),
                chosen(),
                event.getText(),
                date.getValue(),
                ruleset.getValue(),
                attire.getValue(),
                minutes.getValue(),
                a.chances());
        if (!next.equals(a)) {
            desk.save(next);
        }
    }

    private void create() {
        String first = desk.athletes().keySet().stream().findFirst().orElse("us");
        String us = desk.assignment().get() == null
                ? first
                : desk.assignment().get().us();
        LocalDate day = LocalDate.now(desk.clock());
        int n = desk.assignments().size() + 1;
        desk.save(new Assignment(
                "assignment-" + n + "-" + day,
                us,
                List.of(),
                Words.of("assignment.untitled"),
                day,
                "points-gi",
                "gi",
                8));
    }
}
