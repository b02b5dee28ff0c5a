package farglass.desk.plan;

import farglass.conduct.Clause;
import farglass.conduct.ClauseReader;
import farglass.conduct.Compliance;
import farglass.conduct.Measure;
import farglass.desk.matchup.MeetingModel;
import farglass.desk.profile.ClipView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Pages;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.MatchRecord;
import farglass.matchup.advise.MeetingWriter;
import farglass.plan.Fork;
import farglass.plan.Plan;
import farglass.stats.Estimate;
import farglass.stats.Trial;
import farglass.time.Dates;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/** Clauses of conduct: written in one line, checked for what can be measured while typing, counted in our film. */
final class ConductPage extends HBox {
    private final Desk desk;
    private final MeetingModel model;
    private final TextField text = new TextField();
    private final Label check = Ui.prose("", "claim-notes");
    private final ComboBox<Fork> beside = new ComboBox<>();
    private final VBox rows = new VBox(10);
    private final ClipView clip;

    /**
     * How a clause was kept before.
     *
     * @param last in the last meeting of the two; null when they have not met
     */
    private record Past(Compliance all, Compliance last, MatchRecord met) {}

    ConductPage(Desk desk, MeetingModel model, Consumer<String> toFilm) {
        super(12);
        this.desk = desk;
        this.model = model;
        this.clip = new ClipView(desk, Words.of("plan.conduct.clip"), toFilm);
        setId("plan-conduct");
        text.setId("clause-text");
        text.setPromptText(Words.of("plan.conduct.prompt"));
        text.setOnAction(e -> promise());
        text.textProperty().addListener((o, was, is) -> check());
        check.setId("clause-check");
        beside.setId("clause-fork");
        beside.setPrefWidth(180);
        beside.setPromptText(Words.of("plan.conduct.whole"));
        beside.setConverter(new StringConverter<>() {
            @Override
            public String toString(Fork f) {
                return f == null ? "" : f.text();
            }

            @Override
            public Fork fromString(String s) {
                return null;
            }
        });
        Node add = Ui.button(Words.of("plan.conduct.add"), this::promise, "strong-button");
        HBox second = new HBox(8, Ui.label(Words.of("plan.conduct.where"), "soft"), beside, add);
        second.setAlignment(Pos.CENTER_LEFT);
        VBox left = new VBox(8, text, check, second, Ui.grow(Pages.scroll(rows)));
        clip.setMinWidth(300);
        clip.setMaxWidth(300);
        getChildren().addAll(Ui.grow(left), clip);
        check();
    }

    private void check() {
        String typed = text.getText().strip();
        Plan p = desk.plan().get();
        check.getStyleClass().setAll("claim-notes");
        if (typed.isEmpty() || p == null) {
            check.setText(Words.of("plan.conduct.how"));
            return;
        }
        ClauseReader.Reading r = ClauseReader.read(typed, desk.lexicon());
        if (r.measure() == null) {
            check.getStyleClass().setAll("weak");
            check.setText(Words.of("plan.conduct.not", r.problem()));
            return;
        }
        check.setText(Words.of("plan.conduct.checking"));
        past("clause-check", p, Map.of("", r.measure()), past -> {
            if (typed.equals(text.getText().strip())) {
                check.setText(words(past.get("")));
            }
        });
    }

    private void promise() {
        String typed = text.getText().strip();
        ClauseReader.Reading r = ClauseReader.read(typed, desk.lexicon());
        if (r.measure() == null) {
            desk.notices().problem(Words.of("plan.conduct.not", r.problem()));
            return;
        }
        String fork = beside.getValue() == null ? "" : beside.getValue().id();
        text.clear();
        desk.changePlan(p -> p.promise(fork, typed));
    }

    void fill() {
        Plan p = desk.plan().get();
        beside.getItems().clear();
        if (p == null) {
            Gradual.anew(rows, List.of());
            return;
        }
        p.openings().forEach(f -> add(f));
        if (p.clauses().isEmpty()) {
            Gradual.anew(rows, List.of(() -> Ui.empty(Words.of("plan.conduct.none"))));
            return;
        }
        Map<String, Measure> measures = new LinkedHashMap<>();
        for (Clause c : p.clauses()) {
            Measure m = ClauseReader.read(c.text(), desk.lexicon()).measure();
            if (m != null) {
                measures.put(c.id(), m);
            }
        }
        past("clauses", p, measures, past -> {
            List<Supplier<Node>> made = new ArrayList<>();
            p.clauses().forEach(c -> made.add(() -> row(c, past.get(c.id()), p)));
            Gradual.anew(rows, made);
        });
    }

    private void add(Fork f) {
        beside.getItems().add(f);
        f.next().forEach(this::add);
    }

    private void past(String question, Plan p, Map<String, Measure> measures, Consumer<Map<String, Past>> done) {
        List<MatchRecord> records = List.copyOf(desk.matches());
        desk.tasks()
                .query(
                        question,
                        () -> {
                            Map<String, Past> past = new LinkedHashMap<>();
                            measures.forEach((id, m) -> past.put(id, past(m, records, p)));
                            return past;
                        },
                        done,
                        e -> desk.notices().problem(String.valueOf(e.getMessage())));
    }

    private Past past(Measure m, List<MatchRecord> records, Plan p) {
        MatchRecord met = records.stream()
                .filter(r ->
                        r.cornerOf(p.us()).isPresent() && r.cornerOf(p.them()).isPresent())
                .max(Comparator.comparing(r -> r.details().date(), Comparator.nullsFirst(Comparator.naturalOrder())))
                .orElse(null);
        return new Past(
                Compliance.of(m, records, p.us(), desk.lexicon()),
                met == null ? null : Compliance.of(m, List.of(met), p.us(), desk.lexicon()),
                met);
    }

    private Node row(Clause c, Past past, Plan p) {
        HBox head = new HBox(8, Ui.grow(Ui.prose(c.text(), "pinned-sentence")));
        head.setAlignment(Pos.CENTER_LEFT);
        if (past != null) {
            play(head, "plan.conduct.kept", past.all().trials().stream().filter(Trial::worked));
            play(head, "plan.conduct.broken", past.all().trials().stream().filter(t -> !t.worked()));
        }
        Button drop = Ui.button(Words.of("plan.conduct.drop"), () -> desk.changePlan(x -> x.release(c.id())), "quiet");
        drop.setMinWidth(USE_PREF_SIZE);
        head.getChildren().add(drop);
        String where = p.find(c.fork()).map(Fork::text).orElse(Words.of("plan.conduct.whole"));
        String words = past == null
                ? Words.of(
                        "plan.conduct.not",
                        ClauseReader.read(c.text(), desk.lexicon()).problem())
                : words(past);
        return new VBox(1, head, Ui.label(where, "claim-interval"), Ui.prose(words, "claim-notes"));
    }

    private void play(HBox head, String key, Stream<Trial> trials) {
        List<Trial> list = new ArrayList<>(trials.toList());
        if (!list.isEmpty()) {
            Button play = Ui.button(Words.of(key, list.size()), () -> clip.playAll(list), "quiet");
            play.setMinWidth(USE_PREF_SIZE);
            head.getChildren().add(play);
        }
    }

    private String words(Past past) {
        MeetingWriter w = model.writer();
        Compliance all = past.all();
        List<String> parts = new ArrayList<>();
        if (all.of() == 0) {
            parts.add(Words.of("plan.conduct.never", w.name(true), all.matches()));
        } else {
            Estimate e = all.share();
            parts.add(Words.of(
                    "plan.conduct.past", all.met(), all.of(), w.percent(e.lo()), w.percent(e.hi()), all.matches()));
        }
        if (all.untold() > 0) {
            parts.add(Words.of("plan.conduct.untold", all.untold()));
        }
        if (all.unlooked() > 0) {
            parts.add(Words.of("plan.conduct.unlooked", all.unlooked()));
        }
        if (past.last() != null && past.last().of() > 0) {
            parts.add(Words.of(
                    "plan.conduct.last",
                    Dates.words(past.met().details().date()),
                    past.last().met(),
                    past.last().of()));
        }
        return String.join(" ", parts);
    }
}
