package farglass.desk.profile;

import farglass.desk.claim.ClaimActions;
import farglass.desk.claim.ClaimRow;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.plan.Judgement;
import farglass.profile.Answer;
import farglass.profile.Claim;
import farglass.profile.ClaimPage;
import farglass.profile.ClaimWriter;
import farglass.profile.Figure;
import farglass.profile.Section;
import farglass.stats.Grade;
import farglass.stats.Trial;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;

/** A page of claims and drawings; only the rows in sight are built. */
final class PageList extends ListView<PageRow> {
    private static final double EDGE = 36;

    private final Desk desk;
    private final ClaimActions deeds;
    private final Consumer<List<Trial>> playAll;

    PageList(Desk desk, ClaimActions deeds, Consumer<List<Trial>> playAll) {
        setAccessibleText(Words.of("name.claims"));
        this.desk = desk;
        this.deeds = deeds;
        this.playAll = playAll;
        getStyleClass().add("claims");
        Gradual.unfolding(this);
        setCellFactory(v -> new Cell());
        setPlaceholder(Ui.empty(Words.of("profile.empty")));
    }

    /**
     * Claims by themselves: by their grade, thin ones apart, then the analyst's own, then those that are doubted.
     *
     * @param own in the analyst's words
     */
    void show(List<Claim> claims, List<Claim> own) {
        List<PageRow> rows = new ArrayList<>();
        List<PageRow> doubted = new ArrayList<>();
        for (Grade g : Grade.values()) {
            List<Claim> graded =
                    claims.stream().filter(c -> c.estimate().grade() == g).toList();
            add(rows, Words.of("profile.graded", desk.claimWriter().grade(g)), graded, doubted);
        }
        add(rows, Words.of("profile.own"), own, doubted);
        if (!doubted.isEmpty()) {
            rows.add(new PageRow.Heading(Words.of("profile.doubted", doubted.size())));
            rows.addAll(doubted);
        }
        set(rows);
    }

    private void add(List<PageRow> rows, String heading, List<Claim> claims, List<PageRow> doubted) {
        List<PageRow> held = new ArrayList<>();
        for (Claim c : claims) {
            (judgement(c).doubt().isEmpty() ? held : doubted).add(new PageRow.One(c));
        }
        if (!held.isEmpty()) {
            rows.add(new PageRow.Heading(heading + " (" + held.size() + ")"));
            rows.addAll(held);
        }
    }

    void show(ClaimPage page) {
        List<PageRow> rows = new ArrayList<>();
        ClaimWriter writer = desk.claimWriter();
        for (Section s : page.sections()) {
            rows.add(new PageRow.Heading(writer.title(s)));
            if (s.figure() != null) {
                rows.add(new PageRow.Drawn(s.figure()));
            }
            s.claims().forEach(c -> rows.add(new PageRow.One(c)));
            if (s.isEmpty()) {
                rows.add(new PageRow.Said(writer.empty(s)));
            }
        }
        set(rows);
    }

    /** What was understood, what was not, and what is known of it. */
    void show(Answer a) {
        List<PageRow> rows = new ArrayList<>();
        rows.add(new PageRow.Heading(Words.of(
                "ask.understood",
                a.asked().understood().isEmpty()
                        ? Words.of("ask.nothing")
                        : String.join(", ", a.asked().understood()))));
        if (!a.asked().notUnderstood().isEmpty()) {
            rows.add(new PageRow.Said(
                    Words.of("ask.unknown", String.join(", ", a.asked().notUnderstood()))));
        }
        if (a.asked().empty()) {
            rows.add(new PageRow.Said(Words.of("ask.no-subject")));
        } else if (a.claims().isEmpty()) {
            rows.add(
                    new PageRow.Said(Words.of("ask.none", a.evidence().matches().size())));
        }
        a.claims().forEach(c -> rows.add(new PageRow.One(c)));
        set(rows);
    }

    /** Rows that are there already stay where they are. */
    void set(List<PageRow> rows) {
        if (!getItems().equals(rows)) {
            getItems().setAll(rows);
        }
    }

    /** The claims shown, in their order. */
    List<Claim> claims() {
        return getItems().stream()
                .filter(PageRow.One.class::isInstance)
                .map(r -> ((PageRow.One) r).claim())
                .toList();
    }

    private Judgement judgement(Claim c) {
        String who = desk.profiled().get();
        return desk.plan().get() == null
                ? Judgement.none(who, c.id())
                : desk.plan().get().judgement(who, c.id());
    }

    private Color colour() {
        return desk.colourOf(desk.profiled().get());
    }

    private final class Cell extends ListCell<PageRow> {
        @Override
        protected void updateItem(PageRow row, boolean empty) {
            super.updateItem(row, empty);
            getStyleClass().removeAll("heading-row");
            if (empty || row == null) {
                setGraphic(null);
                return;
            }
            if (row instanceof PageRow.Heading) {
                getStyleClass().add("heading-row");
            }
            Gradual.row(this, () -> node(row));
        }

        private Node node(PageRow row) {
            if (row instanceof PageRow.Heading h) {
                return Ui.label(h.text(), "section");
            }
            if (row instanceof PageRow.Said s) {
                return fit(Ui.prose(s.text(), "soft"));
            }
            if (row instanceof PageRow.Drawn d) {
                return drawing(d.figure());
            }
            if (row instanceof PageRow.Two t) {
                return fit(new TwoRow(desk.claimWriter(), t, colour(), playAll));
            }
            if (row instanceof PageRow.Faulty f) {
                return fit(FaultRow.of(desk, f.fault(), playAll));
            }
            if (row instanceof PageRow.Praised p) {
                return fit(FaultRow.of(p.praise(), playAll));
            }
            Claim c = ((PageRow.One) row).claim();
            String who = desk.profiled().get();
            boolean pinned = desk.plan().get() != null && desk.plan().get().isPinned(who, c.id());
            return fit(new ClaimRow(c, desk.claimWriter(), colour(), pinned, judgement(c), deeds));
        }

        private Node fit(Region region) {
            return fitted(region, PageList.this);
        }
    }

    /** A row's content at the width of its list. */
    static Node fitted(Region region, ListView<?> list) {
        Fitted fitted = new Fitted(region);
        fitted.prefWidthProperty().bind(list.widthProperty().subtract(EDGE));
        fitted.maxWidthProperty().bind(list.widthProperty().subtract(EDGE));
        return fitted;
    }

    /** As high as its content is at the width of the list; a cell asks for the height without telling its width. */
    private static final class Fitted extends VBox {
        Fitted(Region content) {
            super(content);
            content.prefWidthProperty().bind(prefWidthProperty());
        }

        @Override
        protected double computePrefHeight(double width) {
            return super.computePrefHeight(width < 0 ? getPrefWidth() : width);
        }
    }

    private Node drawing(Figure figure) {
        if (figure instanceof Figure.Curves c) {
            return new CurvesView(c, colour(), getWidth() - EDGE, playAll);
        }
        if (figure instanceof Figure.Trees t) {
            return new TreesView(desk.lexicon(), t, colour(), playAll);
        }
        if (figure instanceof Figure.Notes n) {
            VBox notes = new VBox(4);
            n.notes()
                    .forEach(x -> notes.getChildren()
                            .add(new HBox(
                                    8,
                                    Ui.grow(Ui.prose(x.text(), "pinned-sentence")),
                                    Ui.button(
                                            Words.of("matchup.play", 1),
                                            () -> playAll.accept(List.of(x.about())),
                                            "quiet"))));
            return notes;
        }
        return new YearsView((Figure.Years) figure, colour(), playAll);
    }
}
