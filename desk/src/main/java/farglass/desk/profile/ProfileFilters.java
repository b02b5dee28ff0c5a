package farglass.desk.profile;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.Coded;
import farglass.match.MatchRecord;
import farglass.match.RecordKind;
import farglass.match.Role;
import farglass.rules.Ruleset;
import farglass.tendency.Filter;
import farglass.tendency.Moment;
import farglass.tendency.Opponents;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Supplier;
import javafx.beans.property.StringProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.DatePicker;
import javafx.scene.control.TextField;
import javafx.scene.control.TextFormatter;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/** Which matches count, how much, and which part of them. */
final class ProfileFilters extends VBox {
    private static final List<String> YEARS = List.of("off", "1", "2", "3", "5");

    private final Desk desk;
    private final StringProperty who;
    private final String prefix;
    private final Runnable changed;
    private final Supplier<List<String>> counted;
    private final ComboBox<String> athlete = new ComboBox<>();
    private final ToggleGroup attire = new ToggleGroup();
    private final DatePicker from = Ui.datePicker();
    private final DatePicker to = Ui.datePicker();
    private final ToggleButton more = new ToggleButton(Words.of("filter.more"));
    private final ComboBox<String> ruleset;
    private final ComboBox<String> halfLife;
    private final ComboBox<String> score;
    private final ComboBox<String> clock;
    private final ComboBox<String> role;
    private final ComboBox<String> opponent = new ComboBox<>();
    private final ComboBox<String> lead;
    private final ComboBox<String> grade;
    private final ComboBox<String> set = new ComboBox<>();
    private final TextField setName = new TextField();
    private final TextField fromKg = kilos("from-kg");
    private final TextField toKg = kilos("to-kg");
    private final NamedSets sets;
    private final CheckBox rounds = new CheckBox(Words.of("filter.rounds"));
    private boolean filling;

    /**
     * @param who id of the athlete; chosen here and elsewhere
     * @param prefix begin of the controls' names, so that there can be two of these
     * @param changed called when the filter is another one
     * @param counted ids of the matches that count at the moment; null where no set can be named
     */
    ProfileFilters(Desk desk, StringProperty who, String prefix, Runnable changed, Supplier<List<String>> counted) {
        super(6);
        this.desk = desk;
        this.who = who;
        this.prefix = prefix;
        this.changed = changed;
        this.counted = counted;
        athlete.setConverter(names());
        athlete.setPromptText(Words.of("filter.athlete"));
        athlete.setAccessibleText(Words.of("filter.athlete"));
        athlete.setMinWidth(104);
        athlete.setId(prefix + "profile-athlete");
        athlete.valueProperty().addListener((o, was, is) -> {
            if (!filling && is != null) {
                who.set(is);
            }
        });
        ruleset = choice("ruleset", rulesets());
        halfLife = choice("half-life", halfLives());
        score = choice("score", values("filter.score.", "AHEAD", "LEVEL", "BEHIND"));
        clock = choice(
                "clock", values("filter.clock.", "FIRST_THIRD", "SECOND_THIRD", "LAST_THIRD", "LAST_TWO_MINUTES"));
        role = choice("role", values("filter.role.", "holder", "guard", "under", "neutral"));
        lead = choice("lead", values("filter.lead.", "left", "right"));
        grade = choice("grade", values("filter.grade.", "white", "blue", "purple", "brown", "black"));
        sets = new NamedSets(desk.preferences());
        set.setConverter(said(name -> name == null || name.isEmpty() ? Words.of("filter.set") : name));
        set.setId(prefix + "filter-set");
        set.setPrefWidth(122);
        set.valueProperty().addListener((o, was, is) -> fire());
        setName.setPromptText(Words.of("filter.set-name"));
        setName.setId(prefix + "filter-set-name");
        setName.setPrefWidth(150);
        setName.setOnAction(e -> nameSet());
        setName.setVisible(counted != null);
        setName.setManaged(counted != null);
        halfLife.setValue(Long.toString(Math.round(Filter.DEFAULT_HALF_LIFE)));
        opponent.setConverter(names());
        opponent.setPromptText(Words.of("filter.opponent"));
        opponent.setId(prefix + "filter-opponent");
        opponent.valueProperty().addListener((o, was, is) -> fire());
        rounds.selectedProperty().addListener((o, was, is) -> fire());
        FlowPane second = new FlowPane(8, 6);
        Gradual.parts(
                second, ruleset, halfLife, score, clock, role, opponent, lead, grade, fromKg, toKg, rounds, set,
                setName);
        second.setAlignment(Pos.CENTER_LEFT);
        // there only while it is open: a dozen boxes would hold the station's first sight up
        more.selectedProperty().addListener((o, was, is) -> {
            if (is) {
                getChildren().add(second);
            } else {
                getChildren().remove(second);
            }
        });
        more.getStyleClass().add("chip");
        more.setId(prefix + "filter-more");
        getChildren().add(first());
    }

    private FlowPane first() {
        List<Node> all = new ArrayList<>(List.of(athlete));
        for (String code : List.of("all", "gi", "no-gi")) {
            ToggleButton b = new ToggleButton(Words.of("attire." + code));
            b.setToggleGroup(attire);
            b.setUserData(code.equals("all") ? null : code);
            b.setSelected(code.equals("all"));
            b.getStyleClass().add("chip");
            b.setId(prefix + "attire-" + code);
            all.add(b);
        }
        attire.selectedToggleProperty().addListener((o, was, is) -> {
            if (is == null) {
                was.setSelected(true);
            } else {
                fire();
            }
        });
        from.setPromptText(Words.of("profile.from"));
        to.setPromptText(Words.of("profile.to"));
        for (DatePicker p : List.of(from, to)) {
            p.setAccessibleText(p.getPromptText());
            p.setPrefWidth(130);
            p.valueProperty().addListener((o, was, is) -> fire());
        }
        all.addAll(List.of(from, to, more));
        FlowPane first = new FlowPane(8, 6);
        Gradual.parts(first, all.toArray(Node[]::new));
        first.setAlignment(Pos.CENTER_LEFT);
        return first;
    }

    private TextField kilos(String name) {
        TextField field = new TextField();
        field.setPromptText(Words.of("filter." + name));
        field.setPrefWidth(76);
        field.setTextFormatter(
                new TextFormatter<>(c -> c.getControlNewText().matches("\\d{0,3}([.,]\\d?)?") ? c : null));
        field.setOnAction(e -> fire());
        field.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                fire();
            }
        });
        return field;
    }

    private static Double kilos(TextField field) {
        String text = field.getText().replace(',', '.');
        return text.isEmpty() || text.equals(".") ? null : Double.valueOf(text);
    }

    /** The matches that count now get a name; with a name that is taken and no match, that set is forgotten. */
    private void nameSet() {
        if (!setName.getText().isBlank()) {
            List<String> ids = counted.get();
            sets.keep(setName.getText(), ids);
            desk.notices().done(Words.of("filter.set-kept", setName.getText().strip(), ids.size()));
            setName.clear();
            fill();
        }
    }

    private void fire() {
        if (!filling) {
            changed.run();
        }
    }

    private StringConverter<String> names() {
        return said(id -> id == null ? "" : id.isEmpty() ? Words.of("filter.anyone") : desk.nameOf(id));
    }

    private static StringConverter<String> said(java.util.function.UnaryOperator<String> words) {
        return new StringConverter<>() {
            @Override
            public String toString(String code) {
                return words.apply(code);
            }

            @Override
            public String fromString(String s) {
                throw new UnsupportedOperationException("chosen from a list, never typed");
            }
        };
    }

    private Map<String, String> rulesets() {
        Map<String, String> map = new LinkedHashMap<>();
        for (Ruleset r : desk.rulesets().get().all()) {
            map.putIfAbsent(r.code(), r.title());
        }
        return map;
    }

    private static Map<String, String> halfLives() {
        Map<String, String> map = new LinkedHashMap<>();
        YEARS.forEach(y ->
                map.put(y, y.equals("off") ? Words.of("filter.half-life.off") : Words.of("filter.half-life.years", y)));
        return map;
    }

    private static Map<String, String> values(String stem, String... codes) {
        Map<String, String> map = new LinkedHashMap<>();
        for (String c : codes) {
            map.put(c, Words.of(stem + c));
        }
        return map;
    }

    /** A choice that may be none; none is the empty code. */
    private ComboBox<String> choice(String name, Map<String, String> values) {
        ComboBox<String> box = new ComboBox<>();
        List<String> codes = new ArrayList<>(values.keySet());
        if (!name.equals("half-life")) {
            codes.add(0, "");
        }
        box.getItems().setAll(codes);
        box.setConverter(said(c -> c == null || c.isEmpty() ? Words.of("filter." + name) : values.get(c)));
        box.setValue(codes.get(0));
        box.setId(prefix + "filter-" + name);
        box.setPrefWidth(114);
        box.valueProperty().addListener((o, was, is) -> fire());
        return box;
    }

    /** Fills the names in; nothing is fired. */
    void fill() {
        filling = true;
        athlete.getItems().setAll(desk.athletes().keySet());
        athlete.setValue(who.get());
        String met = opponent.getValue();
        opponent.getItems().setAll(met(who.get()));
        opponent.setValue(met != null && opponent.getItems().contains(met) ? met : "");
        String named = set.getValue();
        set.getItems().setAll("");
        set.getItems().addAll(sets.all().keySet());
        set.setValue(named != null && set.getItems().contains(named) ? named : "");
        filling = false;
    }

    private List<String> met(String id) {
        Map<String, String> met = new TreeMap<>();
        for (MatchRecord r : desk.matches()) {
            r.cornerOf(id == null ? "" : id)
                    .ifPresent(c -> met.put(
                            r.athlete(c.other()).name(), r.athlete(c.other()).id()));
        }
        List<String> ids = new ArrayList<>(List.of(""));
        ids.addAll(met.values());
        return ids;
    }

    Filter filter() {
        LocalDate asOf =
                desk.assignment().get() == null ? null : desk.assignment().get().date();
        Set<RecordKind> kinds =
                rounds.isSelected() ? EnumSet.of(RecordKind.MATCH, RecordKind.ROUND) : EnumSet.of(RecordKind.MATCH);
        String met = opponent.getValue();
        Opponents whom = new Opponents(
                met == null || met.isEmpty() ? Set.of() : Set.of(met),
                chosen(lead),
                chosen(grade),
                kilos(fromKg),
                kilos(toKg));
        String years = halfLife.getValue();
        return Filter.ALL
                .attire((String) attire.getSelectedToggle().getUserData())
                .ruleset(chosen(ruleset))
                .dates(from.getValue(), to.getValue())
                .halfLife(years.equals("off") ? null : Double.valueOf(years))
                .asOf(asOf)
                .kinds(kinds)
                .opponents(whom)
                .matches(sets.all().getOrDefault(chosen(set) == null ? "" : chosen(set), Set.of()))
                .moment(new Moment(
                        chosen(role) == null
                                ? null
                                : Coded.parse(Role.class, chosen(role)).orElseThrow(),
                        chosen(score) == null ? null : Moment.Standing.valueOf(chosen(score)),
                        chosen(clock) == null ? null : Moment.Part.valueOf(chosen(clock))));
    }

    private static String chosen(ComboBox<String> box) {
        return box.getValue() == null || box.getValue().isEmpty() ? null : box.getValue();
    }
}
