package farglass.brief;

import farglass.plan.ReportEdits;
import farglass.scout.Edge;
import farglass.scout.Heading;
import farglass.scout.ReportWriter;
import farglass.scout.ScoutingReport;
import farglass.scout.Sentence;
import farglass.stats.TagRef;
import farglass.text.Language;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/** What a briefing tells of the opponent first: the game in a sentence with what carries it, dangers, openings. */
final class ReportSlides {
    /** The parts whose first sentence stands under the summary. */
    private static final List<Heading> CARRYING =
            List.of(Heading.START, Heading.STANDING, Heading.BOTTOM, Heading.TOP, Heading.FINISHES);

    private final ScoutingReport report;
    private final ReportEdits edits;
    private final ReportWriter writer = new ReportWriter(Language.locale());

    /** A slide before it has its heading: the first sentence is its text, the others stand under it. */
    record Told(List<String> sentences, List<TagRef> moments) {}

    /** @param edits the analyst's own words, what was left out, the order */
    ReportSlides(ScoutingReport report, ReportEdits edits) {
        this.report = report;
        this.edits = edits;
    }

    /** The athlete in one sentence, and the first sentence of the parts that say most. */
    Told athlete() {
        List<Sentence> said = new ArrayList<>(kept(part(Heading.SUMMARY)));
        CARRYING.forEach(h -> kept(part(h)).stream().limit(1).forEach(said::add));
        return told(said);
    }

    Told dangers() {
        return told(kept(report.dangers().stream().map(Edge::sentence).toList()));
    }

    Told openings() {
        return told(kept(report.openings().stream().map(Edge::sentence).toList()));
    }

    private List<Sentence> part(Heading h) {
        return report.parts().stream()
                .filter(p -> p.heading() == h)
                .flatMap(p -> p.sentences().stream())
                .toList();
    }

    private List<Sentence> kept(List<Sentence> sentences) {
        Map<String, Sentence> byId = new LinkedHashMap<>();
        sentences.forEach(s -> byId.put(s.id(), s));
        return edits.kept(report.athlete(), List.copyOf(byId.keySet())).stream()
                .map(byId::get)
                .filter(Objects::nonNull)
                .toList();
    }

    private Told told(List<Sentence> said) {
        return new Told(
                said.stream().map(this::text).toList(),
                said.stream().flatMap(s -> s.tags().stream()).distinct().toList());
    }

    private String text(Sentence s) {
        return edits.words(report.athlete(), s.id(), writer.text(s));
    }
}
