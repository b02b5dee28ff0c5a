package farglass.desk.profile;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.plan.Plan;
import farglass.plan.ReportEdits;
import farglass.profile.Claim;
import farglass.scout.Edge;
import farglass.scout.ReportWriter;
import farglass.scout.ScoutingReport;
import farglass.scout.Sentence;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.Region;

/** The report of an athlete: parts in their order, then dangers and openings. */
final class ScoutingList extends ListView<ScoutingRow> {
    static final String DANGERS = "dangers";
    private static final String OPENINGS = "openings";

    private final Desk desk;
    private final ReportWriter writer;
    private final ScoutingActions deeds;
    private ScoutingReport report;

    ScoutingList(Desk desk, ReportWriter writer, ScoutingActions deeds) {
        this.desk = desk;
        this.writer = writer;
        this.deeds = deeds;
        setId("scouting");
        setAccessibleText(Words.of("name.report"));
        getStyleClass().addAll("claims", "scouting");
        Gradual.unfolding(this);
        setCellFactory(v -> new Cell());
        setPlaceholder(Ui.empty(Words.of("profile.empty")));
    }

    /** The report as the plan has it. */
    void show(ScoutingReport r) {
        report = r;
        fill();
    }

    /** The same report, after the plan changed. */
    void again() {
        if (report != null) {
            fill();
            refresh();
        }
    }

    private void fill() {
        if (report.matches() == 0) {
            getItems().clear();
            return;
        }
        List<ScoutingRow> rows = new ArrayList<>();
        for (ScoutingReport.Part p : report.parts()) {
            rows.add(new ScoutingRow.Heading(writer.heading(p.heading())));
            told(rows, p.heading().name(), p.sentences(), Map.of());
        }
        edges(rows, DANGERS, report.dangers());
        edges(rows, OPENINGS, report.openings());
        ScoutingRow chosen = getSelectionModel().getSelectedItem();
        if (!getItems().equals(rows)) {
            getItems().setAll(rows);
            choose(chosen);
        }
    }

    /** The same sentence, wherever it stands now. */
    private void choose(ScoutingRow before) {
        if (before instanceof ScoutingRow.Told t) {
            getItems().stream()
                    .filter(r -> r instanceof ScoutingRow.Told n
                            && n.sentence().id().equals(t.sentence().id()))
                    .findFirst()
                    .ifPresent(r -> getSelectionModel().select(r));
        }
    }

    private void edges(List<ScoutingRow> rows, String part, List<Edge> edges) {
        rows.add(new ScoutingRow.Heading(Words.of("scouting." + part)));
        if (edges.isEmpty()) {
            rows.add(new ScoutingRow.Said(Words.of("scouting." + part + ".none")));
        }
        Map<String, Edge> byId = new LinkedHashMap<>();
        edges.forEach(e -> byId.put(e.sentence().id(), e));
        told(rows, part, edges.stream().map(Edge::sentence).toList(), byId);
    }

    private void told(List<ScoutingRow> rows, String part, List<Sentence> sentences, Map<String, Edge> edges) {
        Map<String, Sentence> byId = new LinkedHashMap<>();
        sentences.forEach(s -> byId.put(s.id(), s));
        for (String id : edits().ordered(report.athlete(), List.copyOf(byId.keySet()))) {
            rows.add(new ScoutingRow.Told(
                    part, byId.get(id), edits().of(report.athlete(), id), Optional.ofNullable(edges.get(id))));
        }
    }

    private ReportEdits edits() {
        Plan plan = desk.plan().get();
        return plan == null ? ReportEdits.NONE : plan.report();
    }

    /** Ids of the sentences of a part, as they stand. */
    List<String> part(String part) {
        return getItems().stream()
                .filter(r -> r instanceof ScoutingRow.Told t && t.part().equals(part))
                .map(r -> ((ScoutingRow.Told) r).sentence().id())
                .toList();
    }

    /** The chosen sentence; none on a heading. */
    Optional<ScoutingRow.Told> chosen() {
        return getSelectionModel().getSelectedItem() instanceof ScoutingRow.Told t ? Optional.of(t) : Optional.empty();
    }

    /** Claims that carry the sentences, in their order. */
    List<Claim> claims() {
        return getItems().stream()
                .filter(ScoutingRow.Told.class::isInstance)
                .flatMap(r -> ((ScoutingRow.Told) r).sentence().main().stream())
                .toList();
    }

    private final class Cell extends ListCell<ScoutingRow> {
        @Override
        protected void updateItem(ScoutingRow row, boolean empty) {
            super.updateItem(row, empty);
            getStyleClass().remove("heading-row");
            if (empty || row == null) {
                setGraphic(null);
                return;
            }
            if (row instanceof ScoutingRow.Heading) {
                getStyleClass().add("heading-row");
            }
            Gradual.row(this, () -> node(row));
        }

        private Node node(ScoutingRow row) {
            if (row instanceof ScoutingRow.Heading h) {
                return Ui.label(h.text(), "part");
            }
            if (row instanceof ScoutingRow.Said s) {
                return fit(Ui.prose(s.text(), "soft"));
            }
            ScoutingRow.Told t = (ScoutingRow.Told) row;
            boolean pinned = desk.plan().get() != null
                    && t.sentence()
                            .main()
                            .filter(c -> desk.plan().get().isPinned(report.athlete(), c.id()))
                            .isPresent();
            return fit(new SentenceView(t, writer, desk.claimWriter(), pinned, selectedProperty(), deeds));
        }

        private Node fit(Region region) {
            return PageList.fitted(region, ScoutingList.this);
        }
    }
}
