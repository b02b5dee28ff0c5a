package farglass.desk.camp;

import farglass.camp.Camp;
import farglass.camp.Partner;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.lexicon.Technique;
import farglass.lexicon.Term;
import farglass.plan.Plan;
import farglass.text.Language;
import java.time.DayOfWeek;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.DatePicker;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Days, minutes, partners, words of caution, and what training counts against a match. */
final class SettingsPage extends VBox {
    private final Desk desk;
    private final CampModel model;
    private final DatePicker from = Ui.datePicker();
    private final Map<DayOfWeek, CheckBox> days = new EnumMap<>(DayOfWeek.class);
    private final Spinner<Integer> minutes = new Spinner<>(1, 600, 40, 5);
    private final Spinner<Integer> round = new Spinner<>(1, 60, 5, 1);
    private final Slider discount = new Slider(0, 1, 0.3);
    private final Label counts = Ui.label("", "soft");
    private final TextArea care = new TextArea();
    private final VBox partners = new VBox(4);
    private final TextField partner = new TextField();
    private final TextField imitates = new TextField();
    private boolean filling;

    SettingsPage(Desk desk, CampModel model) {
        super(10);
        this.desk = desk;
        this.model = model;
        setId("camp-settings");
        from.setId("camp-from");
        from.valueProperty().addListener((o, was, is) -> set(c -> c.from(is)));
        HBox week = new HBox(8);
        for (DayOfWeek d : DayOfWeek.values()) {
            CheckBox box = new CheckBox(d.getDisplayName(TextStyle.SHORT, Language.locale()));
            box.setId("camp-day-" + d.name().substring(0, 3).toLowerCase(Locale.ROOT));
            box.setOnAction(e -> set(c -> c.days(chosen())));
            days.put(d, box);
            week.getChildren().add(box);
        }
        minutes.setId("camp-day-minutes");
        minutes.setEditable(true);
        round.setEditable(true);
        minutes.valueProperty().addListener((o, was, is) -> set(c -> c.minutes(is, c.roundMinutes())));
        round.valueProperty().addListener((o, was, is) -> set(c -> c.minutes(c.minutes(), is)));
        discount.setId("camp-discount");
        discount.setBlockIncrement(0.1);
        discount.valueProperty().addListener((o, was, is) -> {
            counts.setText(Words.of("camp.discount.value", String.format(Language.locale(), "%.2f", is.doubleValue())));
            if (!discount.isValueChanging()) {
                set(c -> c.discount(Math.round(100 * is.doubleValue()) / 100.0));
            }
        });
        care.setPrefRowCount(2);
        care.setWrapText(true);
        care.setPromptText(Words.of("camp.care.prompt"));
        care.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                set(c -> c.care(care.getText().strip()));
            }
        });
        partner.setId("partner-name");
        partner.setPromptText(Words.of("camp.partner.name"));
        imitates.setId("partner-imitates");
        imitates.setPromptText(Words.of("camp.partner.imitates"));
        imitates.setOnAction(e -> addPartner());
        HBox fresh = new HBox(
                8, partner, Ui.grow(imitates), Ui.button(Words.of("camp.partner.add"), this::addPartner, "choice"));
        fresh.setAlignment(Pos.CENTER_LEFT);
        Gradual.parts(
                this,
                field("camp.from", from),
                field("camp.days", week),
                field("camp.a-day", minutes),
                field("camp.a-round", round),
                field("camp.discount", new HBox(8, discount, counts)),
                Ui.label(Words.of("camp.partners"), "field-name"),
                partners,
                fresh,
                Ui.label(Words.of("camp.care"), "field-name"),
                care);
    }

    private static Node field(String key, Node control) {
        var name = Ui.name(Words.of(key), control);
        name.setMinWidth(190);
        HBox row = new HBox(8, name, control);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private Set<DayOfWeek> chosen() {
        Set<DayOfWeek> set = EnumSet.noneOf(DayOfWeek.class);
        days.forEach((d, box) -> {
            if (box.isSelected()) {
                set.add(d);
            }
        });
        return set;
    }

    private void set(java.util.function.UnaryOperator<Camp> change) {
        if (!filling && desk.plan().get() != null) {
            model.change(change);
        }
    }

    void fill() {
        Plan p = desk.plan().get();
        if (p == null) {
            return;
        }
        filling = true;
        Camp c = p.camp();
        from.setValue(c.from());
        days.forEach((d, box) -> box.setSelected(c.days().contains(d)));
        minutes.getValueFactory().setValue(c.minutes());
        round.getValueFactory().setValue(c.roundMinutes());
        discount.setValue(c.discount());
        if (!care.isFocused()) {
            care.setText(c.care());
        }
        List<Supplier<Node>> rows = new ArrayList<>();
        c.partners().forEach(x -> rows.add(() -> row(x)));
        Gradual.anew(partners, rows);
        filling = false;
    }

    private Node row(Partner p) {
        String can = p.imitates().stream()
                .sorted()
                .map(t -> desk.lexicon().techniqueName(t))
                .collect(Collectors.joining(", "));
        HBox row = new HBox(
                8,
                Ui.label(p.name(), "pinned-sentence"),
                Ui.label(can, "claim-interval"),
                Ui.button(
                        Words.of("camp.partner.drop"),
                        () -> model.change(c -> c.partners(
                                c.partners().stream().filter(x -> !x.equals(p)).toList())),
                        "quiet"));
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    /** Names of techniques are looked up as everywhere; one that nobody knows is said and nothing is added. */
    private void addPartner() {
        String name = partner.getText().strip();
        if (name.isEmpty()) {
            desk.notices().done(Words.of("camp.partner.nameless"));
            return;
        }
        Set<String> codes = new LinkedHashSet<>();
        for (String word : imitates.getText().split(",")) {
            if (word.isBlank()) {
                continue;
            }
            List<String> found = desk.lexicon().lookUp(word).stream()
                    .filter(Technique.class::isInstance)
                    .map(Term::code)
                    .toList();
            if (found.isEmpty()) {
                desk.notices().problem(Words.of("camp.partner.unknown", word.strip()));
                return;
            }
            codes.addAll(found);
        }
        partner.clear();
        imitates.clear();
        model.change(c -> {
            List<Partner> next = new ArrayList<>(c.partners());
            next.removeIf(x -> x.name().equals(name));
            next.add(new Partner(name, codes));
            return c.partners(next);
        });
    }
}
