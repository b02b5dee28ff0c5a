package farglass.desk.brief;

import farglass.brief.Briefing;
import farglass.brief.Slide;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Pages;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.matchup.gameplan.GamePage;
import farglass.plan.Brief;
import farglass.plan.Plan;
import farglass.scout.ScoutingReport;
import farglass.work.meeting.MeetingService;
import farglass.work.profile.ProfileService;
import farglass.work.publish.BriefPublication;
import farglass.work.publish.PlanPublication;
import farglass.work.publish.Publication;
import farglass.work.words.WorkWords;
import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** The slides of a briefing: left out, moved, given notes; from here they are shown and written. */
public final class BriefSheet extends VBox {
    private final Desk desk;
    private final Supplier<GamePage> page;
    private final VBox rows = new VBox(6);
    private final CheckBox nameless = new CheckBox(Words.of("brief.nameless"));
    private List<Slide> slides = List.of();
    private ScoutingReport report;
    private final ChangeListener<Plan> planChanged = (o, was, is) -> fill();

    /**
     * @param page the game plan as it is now; gives null while there is none
     * @param close takes the sheet away
     */
    public BriefSheet(Desk desk, Supplier<GamePage> page, Runnable close) {
        super(10);
        this.desk = desk;
        this.page = page;
        setId("brief-sheet");
        getStyleClass().add("sheet");
        nameless.setId("brief-nameless");
        nameless.setOnAction(e -> change(b -> b.nameless(nameless.isSelected())));
        Button play = Ui.button(Words.of("brief.show"), this::play, "strong-button");
        play.setId("brief-play");
        HBox tools = new HBox(
                8,
                Ui.label(WorkWords.of("brief.title"), "question"),
                Ui.spring(),
                nameless,
                Ui.button(Words.of("brief.film"), () -> choose(".mp4", this::writeFilm), "choice"),
                Ui.button(Words.of("brief.pdf"), () -> choose(".pdf", this::writePdf), "choice"),
                Ui.button(Words.of("brief.html"), () -> choose(".html", this::writeHtml), "choice"),
                play,
                Ui.button(Words.of("brief.close"), close, "quiet"));
        tools.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(tools, Ui.prose(Words.of("brief.hint"), "soft"), Ui.grow(Pages.scroll(rows)));
        addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close.run();
                e.consume();
            }
        });
        // listens only while it is in sight
        sceneProperty().addListener((o, was, is) -> {
            if (is == null) {
                desk.plan().removeListener(planChanged);
            } else {
                desk.plan().addListener(planChanged);
            }
        });
        rows.getChildren().add(Ui.empty(Words.of("brief.working")));
        workOut();
    }

    /** What is told of the opponent stands first; dangers weighed against our own athlete take some seconds. */
    private void workOut() {
        String them = desk.plan().get().them();
        var meeting = MeetingService.Ask.of(
                desk.assignment().get(), them, desk.rulesets().get());
        desk.tasks()
                .query(
                        "briefing-report",
                        () -> ProfileService.scouting(desk.index(), them, meeting),
                        told -> {
                            report = told;
                            fill();
                        },
                        this::failed);
    }

    private void failed(Exception e) {
        desk.notices().problem(Words.of("brief.failed", String.valueOf(e.getMessage())));
    }

    private void change(java.util.function.UnaryOperator<Brief> change) {
        desk.changePlan(p -> p.brief(change.apply(p.brief())));
    }

    private void fill() {
        Plan p = desk.plan().get();
        nameless.setSelected(p.brief().nameless());
        ScoutingReport them = report;
        if (them == null) {
            return;
        }
        GamePage game = page.get();
        Map<String, String> names = new TreeMap<>(desk.athletes());
        String occasion = PlanPublication.occasion(
                desk.assignment().get(), desk.rulesets().get());
        desk.tasks()
                .query(
                        "briefing",
                        () -> Briefing.of(p, them, game, desk.index(), names, occasion),
                        this::show,
                        this::failed);
    }

    private void show(List<Slide> now) {
        slides = now;
        rows.getChildren().clear();
        List<String> ids = now.stream().map(Slide::id).toList();
        now.forEach(s -> rows.getChildren().add(row(s, ids)));
        if (now.stream()
                .noneMatch(s ->
                        s.kind() == Slide.Kind.FORK || s.kind() == Slide.Kind.CLAIM || s.kind() == Slide.Kind.PLAN)) {
            rows.getChildren().add(Ui.empty(Words.of("brief.empty")));
        }
    }

    private Node row(Slide s, List<String> ids) {
        CheckBox in = new CheckBox();
        in.setSelected(!s.hidden());
        in.setAccessibleText(Words.of("brief.in", s.text()));
        in.setOnAction(e -> change(b -> b.hide(s.id(), !in.isSelected())));
        TextField notes = new TextField(s.notes());
        notes.setPromptText(Words.of("brief.notes"));
        notes.setPrefWidth(300);
        Runnable keep = () -> {
            if (!notes.getText().strip().equals(s.notes())) {
                change(b -> b.note(s.id(), notes.getText()));
            }
        };
        notes.setOnAction(e -> keep.run());
        notes.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                keep.run();
            }
        });
        Node over = Ui.label(s.heading(), "field-name");
        Node text = Ui.prose(s.text(), s.hidden() ? "soft" : "pinned-sentence");
        VBox words = new VBox(0, over, text);
        s.points().forEach(p -> words.getChildren().add(Ui.prose(p, "claim-notes")));
        Label moments = Ui.label(Words.of("brief.moments", s.moments().size()), "claim-interval");
        Button up = Ui.button(Words.of("brief.up"), () -> change(b -> b.move(ids, s.id(), -1)), "quiet");
        Button down = Ui.button(Words.of("brief.down"), () -> change(b -> b.move(ids, s.id(), 1)), "quiet");
        for (Region r : List.of(moments, notes, up, down)) {
            r.setMinWidth(Region.USE_PREF_SIZE);
        }
        words.setMinWidth(0);
        HBox row = new HBox(8, in, Ui.grow(words), moments, notes, up, down);
        row.setAlignment(Pos.CENTER_LEFT);
        row.getStyleClass().add("skill-row");
        return row;
    }

    private List<Slide> shown() {
        return slides.stream().filter(s -> !s.hidden()).toList();
    }

    private void play() {
        if (shown().isEmpty()) {
            desk.notices().done(Words.of("brief.empty"));
            return;
        }
        desk.cover().set(new BriefShow(desk, shown(), () -> {
            desk.cover().set(null);
            requestFocus();
        }));
    }

    private void choose(String ending, Consumer<Path> write) {
        FileChooser chooser = new FileChooser();
        chooser.setInitialFileName(desk.plan().get().id() + ".brief" + ending);
        File file = chooser.showSaveDialog(getScene().getWindow());
        if (file != null) {
            write.accept(file.toPath());
        }
    }

    /** Writes the moments as one film with cards; the outcome is told in a notice. */
    public void writeFilm(Path target) {
        write(target, publication().film());
    }

    /** Writes the slides on paper with pictures; the outcome is told in a notice. */
    public void writePdf(Path target) {
        write(target, publication().paper());
    }

    /** Writes a page for any browser, clips beside it; the outcome is told in a notice. */
    public void writeHtml(Path target) {
        write(target, publication().page());
    }

    private BriefPublication publication() {
        return new BriefPublication(
                desk.material(), shown(), desk.plan().get().brief().nameless());
    }

    private void write(Path target, Publication publication) {
        desk.publisher().export(Words.of("brief.writing"), target, publication);
    }
}
