package farglass.desk.check;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.rules.PenaltyEffect;
import farglass.rules.Ruleset;
import farglass.rules.RulesetException;
import farglass.rules.RulesetReader;
import farglass.text.CoreWords;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.DatePicker;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** The values of a ruleset, to be changed; kept as a ruleset of the user's own under its code and days. */
final class RulesSheet extends StackPane {
    private static final List<String> AWARDS = List.of("takedown", "sweep", "pass", "knee-on-belly", "mount", "back");
    private static final List<String> FAMILIES =
            List.of("takedown", "sweep", "pass", "back-take", "submission", "pin-advance");

    private final Desk desk;
    private final Ruleset shown;
    private final Runnable close;
    private final Map<String, TextField> points = new LinkedHashMap<>();
    private final Map<String, TextField> levels = new LinkedHashMap<>();
    private final TextField name;
    private final DatePicker from = Ui.datePicker();
    private final DatePicker to = Ui.datePicker();
    private final TextField hold;
    private final TextField recover;
    private final TextField line;
    private final TextField pull;
    private final TextField overtime;
    private final TextField penalties;
    private final TextField ties;
    private final TextField restricted;
    private final CheckBox near = new CheckBox(Words.of("rules.near"));
    private final CheckBox dgp = new CheckBox(Words.of("rules.dgp"));
    private final Label problem = Ui.prose("", "form-problem");

    /** @param close puts the sheet away */
    RulesSheet(Desk desk, Ruleset shown, Runnable close) {
        this.desk = desk;
        this.shown = shown;
        this.close = close;
        setId("rules-sheet");
        name = field("rules-name", shown.name(), 16);
        hold = field("rules-hold", Long.toString(shown.holdMs()), 5);
        recover = field("rules-recover", Long.toString(shown.recoverMs()), 5);
        line = field("rules-line", Double.toString(shown.pointsFrom()), 4);
        pull = field("rules-pull", Integer.toString(shown.guardPull()), 3);
        overtime = field("rules-overtime", Long.toString(shown.overtimeMs()), 6);
        penalties = field(
                "rules-penalties",
                shown.penalties().stream().map(PenaltyEffect::code).collect(Collectors.joining(", ")),
                28);
        ties = field("rules-ties", String.join(", ", shown.tieBreaks()), 28);
        restricted = field(
                "rules-restricted",
                String.join(", ", shown.restricted().stream().sorted().toList()),
                40);
        from.setValue(shown.from());
        to.setValue(shown.to());
        near.setSelected(shown.nearAdvantage());
        dgp.setSelected(shown.dgpTop().equals("advantage"));
        AWARDS.forEach(a ->
                points.put(a, field("rules-" + a, number(shown.points().get(a)), 3)));
        FAMILIES.forEach(f -> levels.put(
                f, field("rules-level-" + f, number(shown.advantages().get(f)), 3)));
        problem.setId("rules-problem");
        Button keep = Ui.button(Words.of("rules.keep"), this::keep, "strong-button");
        keep.setId("rules-keep");
        HBox buttons = new HBox(10, Ui.grow(problem), Ui.button(Words.of("form.cancel"), close, "choice"), keep);
        buttons.setAlignment(Pos.CENTER_RIGHT);
        VBox sheet = Ui.sheet(
                Words.of("rules.title", shown.code()),
                null,
                row(named("rules.name", name), named("rules.from", from), named("rules.to", to)),
                Ui.label(Words.of("rules.points"), "heading"),
                row(points.entrySet().stream()
                        .map(e -> named(e.getKey(), e.getValue(), "award."))
                        .toArray(Node[]::new)),
                Ui.label(Words.of("rules.levels"), "heading"),
                row(levels.entrySet().stream()
                        .map(e -> plain(e.getKey(), e.getValue()))
                        .toArray(Node[]::new)),
                row(
                        named("rules.hold", hold),
                        named("rules.recover", recover),
                        named("rules.line", line),
                        named("rules.pull", pull),
                        named("rules.overtime", overtime)),
                row(near, dgp),
                row(named("rules.penalties", penalties), named("rules.ties", ties)),
                named("rules.restricted", restricted),
                buttons);
        sheet.getStyleClass().add("floating");
        sheet.setMaxSize(820, javafx.scene.layout.Region.USE_PREF_SIZE);
        getChildren().add(sheet);
        addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close.run();
                e.consume();
            }
        });
    }

    private static String number(Integer n) {
        return n == null ? "" : n.toString();
    }

    private static TextField field(String id, String text, int columns) {
        TextField f = new TextField(text);
        f.setId(id);
        f.setPrefColumnCount(columns);
        return f;
    }

    private static FlowPane row(Node... nodes) {
        FlowPane row = new FlowPane(12, 6, nodes);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private static VBox named(String words, Node control) {
        return new VBox(2, Ui.label(Words.of(words), "field-name"), control);
    }

    private static VBox named(String code, Node control, String stem) {
        return new VBox(2, Ui.label(Words.of(stem + code), "field-name"), control);
    }

    private static VBox plain(String family, Node control) {
        return new VBox(2, Ui.label(CoreWords.code(family), "field-name"), control);
    }

    /** Nothing is kept until all of it can be read. */
    private void keep() {
        try {
            Ruleset next = new Ruleset(
                    shown.code(),
                    name.getText().strip(),
                    shown.attire(),
                    from.getValue(),
                    to.getValue(),
                    numbers(points),
                    whole(hold),
                    whole(recover),
                    numbers(levels),
                    near.isSelected(),
                    dgp.isSelected() ? "advantage" : "none",
                    effects(),
                    Double.parseDouble(line.getText().strip()),
                    Math.toIntExact(whole(pull)),
                    shown.backPlaces(),
                    whole(overtime),
                    list(ties),
                    new java.util.LinkedHashSet<>(list(restricted)));
            // what can be written can be read: the same checks as for a file
            desk.keep(RulesetReader.read(RulesetReader.write(next)));
            desk.notices().done(Words.of("rules.kept", next.name()));
            close.run();
        } catch (NumberFormatException e) {
            problem.setText(Words.of("rules.number", e.getMessage()));
        } catch (RulesetException | IllegalArgumentException | ArithmeticException e) {
            problem.setText(Words.of("rules.wrong", e.getMessage()));
        }
    }

    private static long whole(TextField f) {
        return Long.parseLong(f.getText().strip());
    }

    private static Map<String, Integer> numbers(Map<String, TextField> fields) {
        Map<String, Integer> read = new TreeMap<>();
        fields.forEach((code, f) -> {
            if (!f.getText().isBlank()) {
                read.put(code, Integer.parseInt(f.getText().strip()));
            }
        });
        return read;
    }

    private static List<String> list(TextField f) {
        return f.getText().isBlank() ? List.of() : List.of(f.getText().strip().split("\\s*,\\s*"));
    }

    private List<PenaltyEffect> effects() {
        return list(penalties).stream()
                .map(code -> PenaltyEffect.parse(code)
                        .orElseThrow(() -> new IllegalArgumentException(Words.of("rules.penalty", code))))
                .toList();
    }
}
