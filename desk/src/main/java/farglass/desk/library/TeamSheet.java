package farglass.desk.library;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.desk.shell.Wrapping;
import farglass.match.MatchRecord;
import farglass.store.Mirror;
import farglass.work.team.TeamLink;
import farglass.work.team.TeamStatus;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** How this library stands to its team's, who else is there, and where two people changed the same. */
public final class TeamSheet extends StackPane {
    private final Desk desk;
    private final Label state = Ui.prose("", "body");
    private final Label present = Ui.prose("", "body");
    private final VBox clashes = new VBox(10);

    /** @param close puts the sheet away */
    public TeamSheet(Desk desk, Runnable close) {
        this.desk = desk;
        setId("team-sheet");
        state.setId("team-state");
        present.setId("team-present");
        clashes.setId("team-clashes");
        ScrollPane scroll = new ScrollPane(clashes);
        scroll.setFitToWidth(true);
        Button now = Ui.button(Words.of("team.try"), () -> desk.session().team().ifPresent(TeamLink::tryNow), "choice");
        now.setId("team-try");
        VBox sheet = Ui.sheet(
                Words.of("team.title"),
                Ui.button(Words.of("notice.close"), close, "quiet"),
                Ui.label(Words.of("team.question"), "question"),
                state,
                present,
                new Wrapping(8, Pos.CENTER_LEFT, now),
                Ui.label(Words.of("team.clashes"), "heading"),
                Ui.grow(scroll));
        sheet.getStyleClass().add("floating");
        sheet.setMaxSize(860, 600);
        getChildren().add(sheet);
        ChangeListener<TeamStatus> follow = (o, was, is) -> show(is);
        desk.team().addListener(follow);
        sceneProperty().addListener((o, was, is) -> {
            if (is == null) {
                // put away: it hears no more
                desk.team().removeListener(follow);
            }
        });
        show(desk.team().get());
    }

    private void show(TeamStatus s) {
        if (s == null) {
            return;
        }
        state.setText(TeamText.state(s) + (s.problem() == null ? "" : " " + s.problem()));
        present.setText(
                s.present().isEmpty()
                        ? Words.of("team.alone")
                        : s.present().stream().map(this::who).collect(Collectors.joining("\n")));
        desk.tasks()
                .query(
                        "clashes",
                        () -> desk.library().mirror().clashes(),
                        this::fill,
                        e -> desk.notices().problem(String.valueOf(e.getMessage())));
    }

    private String who(TeamStatus.Present p) {
        Optional<MatchRecord> match = Optional.ofNullable(p.match()).flatMap(desk::match);
        return match.map(r -> Words.of("team.is-at", p.name(), title(r))).orElse(Words.of("team.is-here", p.name()));
    }

    private static String title(MatchRecord r) {
        return Words.of("team.match", r.details().a().surname(), r.details().b().surname());
    }

    private void fill(List<Mirror.Open> open) {
        clashes.getChildren().clear();
        if (open.isEmpty()) {
            clashes.getChildren().add(Ui.prose(Words.of("team.clashes.none"), "soft"));
        }
        open.forEach(c -> clashes.getChildren().add(clash(c)));
    }

    private Node clash(Mirror.Open c) {
        boolean refused = c.fields().contains("refused");
        Button mine = Ui.button(Words.of("team.mine"), () -> decide(c, true), "choice");
        Button theirs = Ui.button(Words.of(refused ? "team.let-go" : "team.theirs"), () -> decide(c, false), "choice");
        mine.setVisible(!refused);
        mine.setManaged(!refused);
        HBox buttons = new HBox(8, mine, theirs);
        ClashWords words = ClashWords.of(c, desk.match(c.item()).orElse(null), desk.lexicon());
        return new VBox(
                4,
                Ui.prose(Words.of(refused ? "team.refused" : "team.both", subject(c)), "body"),
                Ui.prose(Words.of("team.stands", words.stands()), "soft"),
                Ui.prose(Words.of("team.wanted", words.wanted()), "body"),
                buttons);
    }

    private String subject(Mirror.Open c) {
        return switch (c.kind()) {
            case MATCH -> desk.match(c.item()).map(TeamSheet::title).orElse(c.item());
            case PLAN, ASSIGNMENT -> Words.of("team.plan", c.item());
            case DRAFT ->
                Words.of(
                        "team.drafts",
                        desk.match(c.item()).map(TeamSheet::title).orElse(c.item()));
            case SETTING -> Words.of("team.words", c.item());
            case ATHLETE -> Words.of("team.forgetting");
        };
    }

    private void decide(Mirror.Open c, boolean mine) {
        desk.tasks()
                .write(
                        () -> desk.library().mirror().decide(c.id(), mine),
                        decided -> {
                            desk.session().team().ifPresent(TeamLink::nudge);
                            desk.readAnew();
                            show(desk.team().get());
                        },
                        e -> desk.notices().problem(String.valueOf(e.getMessage())));
    }
}
