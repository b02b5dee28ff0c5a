package farglass.desk.debrief;

import farglass.debrief.Debrief;
import farglass.desk.profile.ClipView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Keys;
import farglass.desk.shell.Pages;
import farglass.desk.shell.Station;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.RemarkKind;
import farglass.match.Tag;
import farglass.match.TagIds;
import farglass.match.TagInfo;
import farglass.plan.Plan;
import farglass.time.Dates;
import farglass.work.words.WorkWords;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import javafx.beans.binding.Bindings;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/** The plan held against what happened. */
public final class DebriefStation implements Station, Keys.Bound {
    private final Desk desk;
    private final DebriefModel model;
    private final DebriefPages filler;
    private final Label question = Ui.label("", "question");
    private final ComboBox<MatchRecord> matches = new ComboBox<>();
    private final Label sum = Ui.prose("", "body");
    private final VBox branches = new VBox(6);
    private final VBox conduct = new VBox(8);
    private final VBox forecasts = new VBox(6);
    private final VBox claims = new VBox(8);
    private final VBox decisions = new VBox(8);
    private final VBox surprises = new VBox(8);
    private final SeasonPage season;
    private final TextField lesson = new TextField();
    private final VBox lessons = new VBox(4);
    private final Pages pages = new Pages();
    private final Keys keys = new Keys();
    private final ClipView clip;
    private final VBox view;
    private boolean filling;

    /** @param toFilm shows the film station once a match has been opened */
    public DebriefStation(Desk desk, Runnable toFilm) {
        this.desk = desk;
        this.model = new DebriefModel(desk);
        this.clip = new ClipView(desk, Words.of("debrief.clip"), match -> {
            desk.openMatch(match);
            toFilm.run();
        });
        Lines lines = new Lines(clip);
        this.season = new SeasonPage(desk, lines);
        this.filler = new DebriefPages(desk, lines);
        keys.on("F3", "matchup.keys.next", pages::next).on("Ctrl+Z", "keys.undo", this::undo);
        view = layout(toFilm);
        view.setId("station-debrief");
        view.addEventFilter(KeyEvent.KEY_PRESSED, keys::handle);
        model.debrief().addListener((o, was, is) -> fill());
        model.match().addListener((o, was, is) -> fill());
        model.season().addListener((o, was, is) -> fill());
        desk.plan().addListener((o, was, is) -> fill());
        fill();
    }

    private VBox layout(Runnable toFilm) {
        matches.setId("debrief-match");
        matches.setAccessibleText(Words.of("name.debriefed"));
        matches.setPrefWidth(300);
        matches.setConverter(new StringConverter<>() {
            @Override
            public String toString(MatchRecord r) {
                return r == null
                        ? ""
                        : Words.of(
                                "debrief.match",
                                Dates.words(r.details().date()),
                                String.valueOf(r.details().event()));
            }

            @Override
            public MatchRecord fromString(String s) {
                return null;
            }
        });
        matches.valueProperty().addListener((o, was, is) -> {
            if (!filling && is != null) {
                model.match().set(is);
            }
        });
        Node tag = Ui.button(
                Words.of("debrief.tag"),
                () -> {
                    MatchRecord r = model.match().get();
                    if (r == null) {
                        desk.notices().done(Words.of("debrief.none"));
                    } else {
                        desk.openMatch(r.id());
                        toFilm.run();
                    }
                },
                "choice");
        HBox head = Ui.head(question, matches, tag);
        pages.add("debrief.page.branches", Pages.scroll(branches))
                .add("debrief.page.decisions", Pages.scroll(decisions))
                .add("debrief.page.conduct", Pages.scroll(conduct))
                .add("debrief.page.forecasts", Pages.scroll(forecasts))
                .add("debrief.page.claims", Pages.scroll(claims))
                .add("debrief.page.surprises", Pages.scroll(surprises))
                .add("debrief.page.season", Pages.scroll(season));
        branches.setId("debrief-branches");
        decisions.setId("debrief-decisions");
        conduct.setId("debrief-conduct");
        forecasts.setId("debrief-forecasts");
        claims.setId("debrief-claims");
        surprises.setId("debrief-surprises");
        VBox left = Ui.sheet("", pages.chips(), Ui.grow(pages.middle()));
        lesson.setId("lesson");
        lesson.setPromptText(Words.of("debrief.lesson.prompt"));
        lesson.setOnAction(e -> learn());
        HBox line =
                new HBox(8, Ui.grow(lesson), Ui.button(Words.of("debrief.lesson.keep"), this::learn, "strong-button"));
        line.setAlignment(Pos.CENTER_LEFT);
        lessons.setId("lessons");
        VBox right = new VBox(12);
        Gradual.parts(
                right,
                Ui.sheet(Words.of("profile.clip"), null, clip),
                Ui.grow(Ui.sheet(Words.of("debrief.lessons"), null, line, Ui.grow(Pages.scroll(lessons)))));
        right.setMinWidth(360);
        right.setMaxWidth(360);
        HBox body = new HBox(12);
        Gradual.parts(body, Ui.grow(left), right);
        VBox whole = new VBox(10);
        Gradual.parts(whole, head, sum, Ui.grow(body));
        return whole;
    }

    private void fill() {
        filling = true;
        Plan p = desk.plan().get();
        question.setText(
                p == null ? Words.of("debrief.question.none") : Words.of("debrief.question", desk.nameOf(p.them())));
        matches.getItems()
                .setAll(
                        p == null
                                ? List.of()
                                : desk.matches().stream()
                                        .filter(r -> r.cornerOf(p.us()).isPresent()
                                                && r.cornerOf(p.them()).isPresent())
                                        .sorted(Comparator.comparing(
                                                r -> r.details().date(),
                                                Comparator.nullsFirst(Comparator.reverseOrder())))
                                        .toList());
        matches.setValue(model.match().get());
        filling = false;
        Debrief d = model.debrief().get();
        sum.setText(d == null ? Words.of("debrief.none") : sum(d));
        filler.branches(branches, d);
        filler.decisions(decisions, d);
        filler.conduct(conduct, d);
        filler.forecasts(forecasts, d, model.season().get());
        filler.claims(claims, d);
        filler.surprises(surprises, d);
        season.fill(model.season().get());
        fillLessons();
    }

    private static String sum(Debrief d) {
        long came = d.branches().stream()
                .filter(a -> a.branch().ours() && a.followed() != null)
                .count();
        long followed = d.branches().stream()
                .filter(a -> Boolean.TRUE.equals(a.followed()))
                .count();
        long kept = d.conduct().stream()
                .filter(c -> Boolean.TRUE.equals(c.kept().wholly()))
                .count();
        long judged =
                d.conduct().stream().filter(c -> c.kept().wholly() != null).count();
        return Words.of(
                "debrief.sum", followed, came, kept, judged, d.forecasts().size());
    }

    private void fillLessons() {
        lessons.getChildren().clear();
        MatchRecord r = model.match().get();
        if (r == null) {
            return;
        }
        for (Tag t : r.tags()) {
            if (t instanceof Tag.Remark x && SOURCE.equals(x.source())) {
                lessons.getChildren().add(Ui.prose(x.text(), "pinned-sentence"));
            }
        }
        if (lessons.getChildren().isEmpty()) {
            lessons.getChildren().add(Ui.empty(Words.of("debrief.lessons.none")));
        }
    }

    private static final String SOURCE = "debrief";

    /** A lesson is a remark at the end of the match: it is read again wherever remarks of either athlete are. */
    private void learn() {
        MatchRecord r = model.match().get();
        Plan p = desk.plan().get();
        String text = lesson.getText().strip();
        if (r == null || p == null || text.isEmpty()) {
            desk.notices().done(Words.of(r == null ? "debrief.none" : "debrief.lesson.empty"));
            return;
        }
        Tag remark = new Tag.Remark(
                r.end(),
                RemarkKind.NOTE,
                r.cornerOf(p.us()).orElseThrow(),
                SOURCE,
                text,
                null,
                null,
                Map.of(),
                TagInfo.NONE);
        lesson.clear();
        desk.edit(r.id(), Edit.addAll(r, TagIds.name(r, List.of(remark))));
    }

    /** Takes back the last lesson that was kept. */
    private void undo() {
        MatchRecord r = model.match().get();
        if (r == null) {
            return;
        }
        for (int i = r.tags().size() - 1; i >= 0; i--) {
            if (r.tags().get(i) instanceof Tag.Remark x && SOURCE.equals(x.source())) {
                desk.edit(r.id(), Edit.remove(r, i));
                return;
            }
        }
        desk.notices().done(WorkWords.of("undo.none"));
    }

    @Override
    public String name() {
        return "station.debrief";
    }

    @Override
    public Node view() {
        return view;
    }

    @Override
    public Keys keys() {
        return keys;
    }

    @Override
    public void shown() {
        model.watch(true);
        fill();
    }

    @Override
    public void hidden() {
        model.watch(false);
    }

    @Override
    public ObservableValue<String> status() {
        return Bindings.createStringBinding(
                () -> Words.of(model.match().get() == null ? "debrief.status.none" : "debrief.status"), model.match());
    }
}
