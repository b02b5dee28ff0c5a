package farglass.desk.plan;

import farglass.desk.brief.BriefSheet;
import farglass.desk.fork.ForkTree;
import farglass.desk.matchup.Headline;
import farglass.desk.matchup.MeetingModel;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Keys;
import farglass.desk.shell.Pages;
import farglass.desk.shell.Station;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.desk.shell.Wrapping;
import farglass.plan.Assignment;
import farglass.plan.Fork;
import farglass.plan.PinnedClaim;
import farglass.plan.Plan;
import farglass.stats.Grade;
import farglass.text.CoreWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.binding.Bindings;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/** The plan against one opponent. */
public final class PlanStation implements Station, Keys.Bound {
    /** What is left of the narrowest window beside all pages' names. */
    private static final double RIGHT = 352;

    private final Desk desk;
    private final Label question = Ui.label("", "question");
    private final ComboBox<String> against = new ComboBox<>();
    private final ForkTree tree = new ForkTree(this::choose);
    private final VBox pinned = new VBox(10);
    private final TextField text = new TextField();
    private final TextField note = new TextField();
    private final TextField next = new TextField();
    private final Label nextName = Ui.label("", "field-name");
    private final VBox restsOn = new VBox(6);
    private final TextArea remarks = new TextArea();
    private final Label weak = Ui.prose("", "weak");
    /** Whether the computed pages are still as they were before the last proposal. */
    private boolean stale;

    private final Keys keys = new Keys();
    private final MeetingModel model;
    private final PlanPapers papers;
    private final Dials dials;
    private final OwnPlanModel ownPlan;
    private final DecisionsPage decisions;
    private final ProposedPage proposed;
    private final GuidePage guide;
    private final ScoreGrid grid;
    private final RestsPage rests;
    private final OtherwisePage otherwise;
    private final ConductPage conduct;
    private final SavedPage saved;
    private final Pages pages = new Pages();
    private final VBox view;
    private final StackPane over = new StackPane();
    private String chosen;
    private String opened = "";
    private boolean filling;

    /** @param toFilm shows the film station once a match has been opened */
    public PlanStation(Desk desk, MeetingModel model, Runnable toFilm) {
        this.desk = desk;
        this.model = model;
        this.ownPlan = new OwnPlanModel(desk, model);
        this.papers =
                new PlanPapers(desk, model, ownPlan, () -> view().getScene().getWindow());
        this.dials = new Dials(desk);
        this.guide = new GuidePage(desk, model);
        this.grid = new ScoreGrid(model);
        this.rests = new RestsPage(desk, model);
        Consumer<String> film = match -> {
            desk.openMatch(match);
            toFilm.run();
        };
        this.decisions = new DecisionsPage(desk, model, ownPlan, film);
        this.proposed = new ProposedPage(desk, model, film);
        this.otherwise = new OtherwisePage(desk, model, film);
        this.conduct = new ConductPage(desk, model, film);
        this.saved = new SavedPage(desk, model);
        keys.on("Ctrl+Z", "keys.undo", () -> desk.stepPlan(-1))
                .on("Ctrl+Shift+Z", "keys.redo", () -> desk.stepPlan(1))
                .on("Ctrl+P", "plan.pdf", this::choosePdf)
                .on("Alt+C", "plan.card", papers::chooseCard)
                .on("Alt+B", "plan.brief", this::openBrief)
                .on("F3", "matchup.keys.next", pages::next);
        view = layout();
        view.setId("station-plan");
        over.getChildren().add(view);
        view.addEventFilter(KeyEvent.KEY_PRESSED, keys::handle);
        desk.plan().addListener((o, was, is) -> fill());
        desk.assignment().addListener((o, was, is) -> fill());
        ownPlan.known().addListener((o, was, is) -> tellWeakness());
        model.proposal().addListener((o, was, is) -> {
            stale = true;
            ownPlan.ask();
            if (over.getScene() != null) {
                fillComputed();
            }
        });
        fill();
        fillComputed();
    }

    private VBox layout() {
        against.setId("plan-against");
        against.setAccessibleText(Words.of("name.against"));
        against.setConverter(new StringConverter<>() {
            @Override
            public String toString(String id) {
                return id == null ? "" : desk.nameOf(id);
            }

            @Override
            public String fromString(String s) {
                return s;
            }
        });
        against.valueProperty().addListener((o, was, is) -> {
            if (!filling && is != null) {
                chosen = null;
                desk.openPlan(is);
            }
        });
        Node brief = Ui.button(Words.of("plan.brief"), this::openBrief, "choice");
        brief.setId("plan-brief");
        HBox head = Ui.head(
                question,
                against,
                Ui.button(Words.of("plan.undo"), () -> desk.stepPlan(-1), "choice"),
                Ui.button(Words.of("plan.redo"), () -> desk.stepPlan(1), "choice"),
                Ui.button(Words.of("plan.json"), papers::chooseJson, "choice"),
                Ui.button(Words.of("plan.pdf"), this::choosePdf, "choice"),
                brief,
                Ui.button(Words.of("plan.card"), papers::chooseCard, "strong-button"));
        ScrollPane canvas = new ScrollPane(tree);
        canvas.getStyleClass().add("plain");
        VBox own = new VBox(8);
        Gradual.parts(own, weak, Ui.grow(canvas), editor());
        pages.add("plan.page.decisions", decisions)
                .add("plan.page.own", Pages.fill(own))
                .add("plan.page.proposed", proposed)
                .add("plan.page.guide", Pages.scroll(guide))
                .add("plan.page.grid", Pages.scroll(grid))
                .add("plan.page.rests", Pages.scroll(rests))
                .add("plan.page.otherwise", otherwise)
                .add("plan.page.conduct", conduct)
                .add("plan.page.saved", Pages.scroll(saved));
        VBox left = Ui.sheet("", pages.chips(), Ui.grow(pages.middle()));
        ScrollPane list = new ScrollPane(pinned);
        list.setFitToWidth(true);
        VBox claims = Ui.sheet(Words.of("plan.pinned"), null, Ui.grow(list));
        remarks.setPromptText(Words.of("plan.remarks.prompt"));
        remarks.setWrapText(true);
        remarks.setPrefRowCount(4);
        remarks.focusedProperty().addListener((o, was, is) -> {
            if (!is && !filling && desk.plan().get() != null) {
                desk.changePlan(p -> p.remarks(remarks.getText()));
            }
        });
        VBox right = new VBox(12);
        Gradual.parts(
                right,
                Ui.sheet(Words.of("plan.dials"), null, dials),
                Ui.grow(claims),
                Ui.sheet(Words.of("plan.remarks"), null, remarks));
        right.setMinWidth(RIGHT);
        right.setMaxWidth(RIGHT);
        HBox body = new HBox(12);
        Gradual.parts(body, Ui.grow(left), right);
        VBox whole = new VBox(12);
        Gradual.parts(whole, head, new Headline(model), Ui.grow(body));
        return whole;
    }

    @Override
    public void shown() {
        if (stale) {
            fillComputed();
        }
        model.watch(true);
    }

    @Override
    public void hidden() {
        model.watch(false);
    }

    private void fillComputed() {
        stale = false;
        // one after another: between two of them a key is answered
        List<Runnable> fills = List.of(
                decisions::fill, proposed::fill, guide::fill, grid::fill, rests::fill, otherwise::fill, saved::fill);
        fills.forEach(Platform::runLater);
    }

    private Node editor() {
        text.setId("fork-text");
        note.setId("fork-note");
        next.setId("fork-next");
        text.setOnAction(e -> keepText());
        note.setOnAction(e -> keepText());
        for (TextField f : new TextField[] {text, note}) {
            f.focusedProperty().addListener((o, was, is) -> {
                if (!is) {
                    keepText();
                }
            });
        }
        next.setOnAction(e -> addNext());
        HBox fields = new HBox(
                10,
                field(Ui.prose(Words.of("plan.text"), "field-name"), text),
                field(Ui.prose(Words.of("plan.note"), "field-name"), note),
                field(nextName, next));
        Wrapping tools = new Wrapping(
                8,
                Pos.CENTER_LEFT,
                Ui.button(Words.of("plan.add"), this::addNext, "choice"),
                Ui.button(Words.of("plan.open"), this::addOpening, "choice"),
                Ui.button(Words.of("plan.drop"), this::drop, "choice"),
                Ui.label(Words.of("plan.hint"), "soft"));
        tools.setAlignment(Pos.CENTER_LEFT);
        return Ui.sheet(Words.of("plan.node"), null, fields, restsOn, tools);
    }

    private static VBox field(Label name, Node control) {
        name.setWrapText(true);
        name.setMinHeight(Region.USE_PREF_SIZE);
        VBox box = new VBox(2, name, control);
        HBox.setHgrow(box, javafx.scene.layout.Priority.ALWAYS);
        return box;
    }

    @Override
    public String name() {
        return "station.plan";
    }

    @Override
    public Node view() {
        return over;
    }

    @Override
    public Keys keys() {
        return keys;
    }

    @Override
    public ObservableValue<String> status() {
        return Bindings.createStringBinding(
                () -> {
                    Plan p = desk.plan().get();
                    return p == null
                            ? Words.of("plan.status.none")
                            : Words.of("plan.status", p.pinned().size(), forks(p));
                },
                desk.plan());
    }

    private static int forks(Plan p) {
        return p.openings().stream().mapToInt(Fork::size).sum();
    }

    private void fill() {
        filling = true;
        Plan p = desk.plan().get();
        Assignment a = desk.assignment().get();
        if (p == null || a == null) {
            question.setText(Words.of("plan.question.none"));
            filling = false;
            return;
        }
        against.getItems().setAll(a.opponents());
        against.setValue(p.them());
        question.setText(Words.of("plan.question", desk.nameOf(p.them())));
        remarks.setText(p.remarks());
        if (chosen == null || p.find(chosen).isEmpty()) {
            chosen = p.openings().isEmpty() ? null : p.openings().get(0).id();
        }
        if (!p.id().equals(opened)) {
            opened = p.id();
            // with nothing laid by hand yet, what the program would do is the place to begin
            pages.choose(p.openings().isEmpty() ? "plan.page.decisions" : "plan.page.own");
        }
        tree.show(p, chosen);
        dials.show(p);
        rests.fill();
        conduct.fill();
        saved.fill();
        fillPinned(p);
        fillEditor(p);
        filling = false;
        ownPlan.ask();
        decisions.fillOwn();
        tellWeakness();
    }

    private void tellWeakness() {
        Plan p = desk.plan().get();
        if (p != null) {
            weak.setText(weakness(p));
            weak.getStyleClass().setAll(p.openings().isEmpty() ? "empty-state" : "weak");
            weak.setManaged(!weak.getText().isEmpty());
        }
    }

    /** In words, what the plan stands on too lightly. */
    private String weakness(Plan p) {
        if (p.openings().isEmpty()) {
            return Words.of("plan.empty");
        }
        Set<String> shown =
                ownPlan.known().get() == null ? Set.of() : ownPlan.known().get().shown();
        int bare = 0;
        int thin = 0;
        for (Fork f : p.openings()) {
            int[] counted = count(f, shown);
            bare += counted[0];
            thin += counted[1];
        }
        return bare + thin == 0 ? "" : Words.of("plan.weak", bare, thin);
    }

    /**
     * Forks that rest on nothing, and on thin evidence.
     *
     * @param shown ids of forks whose action film shows
     */
    private static int[] count(Fork f, Set<String> shown) {
        boolean bare = f.claims().isEmpty() && !shown.contains(f.id());
        boolean thin = !f.claims().isEmpty() && f.claims().stream().allMatch(c -> c.grade() == Grade.THIN);
        int[] sum = {bare ? 1 : 0, thin ? 1 : 0};
        for (Fork n : f.next()) {
            int[] below = count(n, shown);
            sum[0] += below[0];
            sum[1] += below[1];
        }
        return sum;
    }

    private void fillPinned(Plan p) {
        List<Supplier<Node>> rows = new ArrayList<>();
        if (p.pinned().isEmpty()) {
            rows.add(() -> Ui.empty(Words.of("plan.no-pins")));
        }
        p.pinned().forEach(c -> rows.add(() -> row(c, true)));
        Gradual.anew(pinned, rows);
    }

    private Node row(PinnedClaim c, boolean inList) {
        Label sentence = Ui.prose(c.sentence(), inList ? "pinned-sentence" : "body");
        Label number = Ui.label(
                Words.of(
                        "plan.number",
                        c.number(),
                        CoreWords.code(c.grade().name().toLowerCase(Locale.ROOT))),
                "claim-interval");
        HBox second = new HBox(8, number, Ui.spring());
        second.setAlignment(Pos.CENTER_LEFT);
        if (!inList) {
            second.getChildren().add(Ui.button(Words.of("plan.detach"), () -> changeNode(f -> f.without(c)), "quiet"));
            return new HBox(10, Ui.grow(sentence), second);
        }
        second.getChildren()
                .addAll(
                        Ui.button(Words.of("plan.use"), () -> changeNode(f -> f.resting(c)), "choice"),
                        Ui.button(Words.of("plan.unpin"), () -> desk.changePlan(p -> p.unpin(c)), "quiet"));
        VBox box = new VBox(3, sentence, Ui.prose(c.counts(), "claim-notes"), second);
        box.getStyleClass().add("pinned");
        box.setStyle("-fx-border-color: transparent transparent transparent "
                + (desk.colourOf(c.athlete()).equals(farglass.desk.shell.Look.ours()) ? "-ours" : "-theirs")
                + ";");
        return box;
    }

    private void fillEditor(Plan p) {
        Optional<Fork> node = chosen == null ? Optional.empty() : p.find(chosen);
        text.setDisable(node.isEmpty());
        note.setDisable(node.isEmpty());
        text.setText(node.map(Fork::text).orElse(""));
        note.setText(node.map(Fork::note).orElse(""));
        nextName.setText(Words.of(
                node.isEmpty() ? "plan.next.open" : node.get().ours() ? "plan.next.theirs" : "plan.next.ours"));
        restsOn.getChildren().clear();
        node.ifPresent(f -> f.claims().forEach(c -> restsOn.getChildren().add(row(c, false))));
        p.clauses().stream()
                .filter(c -> node.isPresent() && c.fork().equals(node.get().id()))
                .forEach(c -> restsOn.getChildren()
                        .add(Ui.label(Words.of("plan.conduct.beside", c.text()), "pinned-sentence")));
        if (node.isPresent() && node.get().claims().isEmpty()) {
            restsOn.getChildren().add(Ui.prose(Words.of("plan.no-claim"), "soft"));
        }
    }

    private void choose(String fork) {
        keepText();
        chosen = fork;
        fill();
        next.requestFocus();
    }

    private void changeNode(java.util.function.UnaryOperator<Fork> change) {
        if (chosen == null) {
            desk.notices().done(Words.of("plan.choose"));
        } else {
            desk.changePlan(p -> p.change(chosen, change));
        }
    }

    private void keepText() {
        Plan p = desk.plan().get();
        if (filling || chosen == null || p == null || text.getText().isBlank()) {
            return;
        }
        p.find(chosen)
                .filter(f -> !f.text().equals(text.getText()) || !f.note().equals(note.getText()))
                .ifPresent(f -> changeNode(
                        x -> x.text(text.getText().strip(), note.getText().strip())));
    }

    private void addNext() {
        String typed = next.getText().strip();
        if (typed.isEmpty()) {
            desk.notices().done(Words.of("plan.type"));
            return;
        }
        next.clear();
        if (chosen == null) {
            desk.changePlan(p -> p.open(typed));
        } else {
            desk.changePlan(p -> p.follow(chosen, typed));
        }
    }

    private void addOpening() {
        String typed = next.getText().strip();
        next.clear();
        desk.changePlan(p -> p.open(typed.isEmpty() ? Words.of("plan.opening") : typed));
    }

    private void drop() {
        if (chosen != null) {
            String gone = chosen;
            chosen = null;
            desk.changePlan(p -> p.drop(gone));
        }
    }

    /** The briefing lies over the station. */
    private void openBrief() {
        if (desk.plan().get() == null
                || desk.assignment().get() == null
                || over.getChildren().size() > 1) {
            return;
        }
        BriefSheet sheet =
                new BriefSheet(desk, papers::gamePage, () -> over.getChildren().setAll(view));
        over.getChildren().add(sheet);
        sheet.requestFocus();
    }

    /** Of the forks while they are in sight, else of the game plan. */
    private void choosePdf() {
        papers.choosePdf(pages.shows("plan.page.own"));
    }

    /** What is written of the plan. */
    public PlanPapers papers() {
        return papers;
    }
}
