package farglass.desk.profile;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.MatchRecord;
import farglass.profile.Report;
import farglass.tendency.Filter;
import farglass.time.Dates;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/** An athlete's report for a match or for the period of the filter. */
final class OwnReportPage extends VBox {
    private static final String PERIOD = "";

    private final Desk desk;
    private final ComboBox<String> match = new ComboBox<>();
    private final Label basis = Ui.label("", "soft");
    private final PageList list;
    private final Button toPage;
    private Report shown;

    /**
     * @param changed called when another match is chosen
     * @param write writes the report as a page
     */
    OwnReportPage(Desk desk, PageList list, Runnable changed, Consumer<Report> write) {
        super(8);
        this.desk = desk;
        this.list = list;
        list.setId("report");
        match.setId("report-match");
        match.setPrefWidth(260);
        match.setConverter(new StringConverter<>() {
            @Override
            public String toString(String id) {
                return id == null || id.equals(PERIOD)
                        ? Words.of("report.period")
                        : desk.match(id).map(OwnReportPage.this::name).orElse(id);
            }

            @Override
            public String fromString(String s) {
                throw new UnsupportedOperationException("chosen from a list, never typed");
            }
        });
        match.valueProperty().addListener((o, was, is) -> changed.run());
        toPage = Ui.button(Words.of("report.pdf"), () -> write.accept(shown), "choice");
        toPage.setMinWidth(Region.USE_PREF_SIZE);
        toPage.setDisable(true);
        toPage.setId("report-pdf");
        HBox head = new HBox(10, match, basis, Ui.spring(), toPage);
        head.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(head, Ui.grow(list));
    }

    private String name(MatchRecord r) {
        String who = desk.profiled().get();
        String other = r.cornerOf(who).map(c -> r.athlete(c.other()).name()).orElse("");
        return (r.details().date() == null ? "" : Dates.words(r.details().date()) + ", ") + other;
    }

    /** Fills the matches of the athlete in, newest first. */
    void fill() {
        List<String> ids = new ArrayList<>(List.of(PERIOD));
        List<MatchRecord> all = desk.matches();
        for (int i = all.size() - 1; i >= 0; i--) {
            if (all.get(i).cornerOf(desk.profiled().get()).isPresent()) {
                ids.add(all.get(i).id());
            }
        }
        String was = match.getValue();
        if (!match.getItems().equals(ids)) {
            match.getItems().setAll(ids);
            match.setValue(was != null && ids.contains(was) ? was : PERIOD);
        }
    }

    /** The period, or the match that was chosen. */
    Filter narrowed(Filter period) {
        String id = match.getValue();
        return id == null || id.equals(PERIOD) ? period : period.matches(Set.of(id));
    }

    void show(Report r) {
        shown = r;
        toPage.setDisable(false);
        basis.setText(Words.of("profile.basis", r.matches(), Math.round(r.exposureMs() / 60_000.0)));
        List<PageRow> rows = new ArrayList<>();
        rows.add(new PageRow.Heading(Words.of("report.faults")));
        if (r.faults().isEmpty()) {
            rows.add(new PageRow.Said(Words.of("report.no-faults")));
        }
        if (r.faults().stream().anyMatch(f -> f.unpunished() > 0)) {
            rows.add(new PageRow.Said(Words.of("report.free")));
        }
        r.faults().forEach(f -> rows.add(new PageRow.Faulty(f)));
        rows.add(new PageRow.Heading(Words.of("report.praise")));
        if (r.praise().isEmpty()) {
            rows.add(new PageRow.Said(Words.of("report.no-praise")));
        }
        r.praise().forEach(p -> rows.add(new PageRow.Praised(p)));
        list.set(rows);
    }
}
