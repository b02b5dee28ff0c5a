package farglass.work.profile;

import static java.util.Objects.requireNonNull;

import farglass.plan.ReportEdits;
import farglass.scout.Edge;
import farglass.scout.ReportWriter;
import farglass.scout.ScoutingReport;
import farglass.scout.Sentence;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A report as the analyst leaves it: own words in place of the computed ones, what is left out gone, in the order
 * wanted.
 *
 * @param parts with at least one line each
 */
public record EditedReport(List<Part> parts) {
    /** A part by its heading. */
    public record Part(String heading, List<Line> lines) {}

    /** A sentence in its last words. */
    public record Line(String text, Sentence sentence) {}

    public EditedReport {
        parts = List.copyOf(parts);
    }

    /**
     * @param edits what the analyst made of it
     * @param dangers heading of the dangers
     * @param openings heading of the openings
     */
    public static EditedReport of(
            ScoutingReport report, ReportEdits edits, ReportWriter writer, String dangers, String openings) {
        List<Part> parts = new ArrayList<>();
        for (ScoutingReport.Part p : report.parts()) {
            add(parts, writer.heading(p.heading()), report.athlete(), p.sentences(), edits, writer);
        }
        add(parts, dangers, report.athlete(), sentences(report.dangers()), edits, writer);
        add(parts, openings, report.athlete(), sentences(report.openings()), edits, writer);
        return new EditedReport(parts);
    }

    private static List<Sentence> sentences(List<Edge> edges) {
        return edges.stream().map(Edge::sentence).toList();
    }

    private static void add(
            List<Part> parts,
            String heading,
            String athlete,
            List<Sentence> sentences,
            ReportEdits edits,
            ReportWriter writer) {
        Map<String, Sentence> byId = new LinkedHashMap<>();
        sentences.forEach(s -> byId.put(s.id(), s));
        List<Line> lines = new ArrayList<>();
        for (String id : edits.kept(athlete, List.copyOf(byId.keySet()))) {
            Sentence s = requireNonNull(byId.get(id));
            lines.add(new Line(edits.words(athlete, id, writer.text(s)), s));
        }
        if (!lines.isEmpty()) {
            parts.add(new Part(heading, lines));
        }
    }
}
