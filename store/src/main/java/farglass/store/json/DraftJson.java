package farglass.store.json;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import farglass.draft.Basis;
import farglass.draft.Draft;
import farglass.draft.DraftList;
import farglass.draft.Source;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Reads and writes {@code farglass.draft/1}: what is proposed about a match. */
public final class DraftJson {
    public static final String FORMAT = "farglass.draft/1";
    private static final double THOUSANDTHS = 1000.0;

    private DraftJson() {}

    /** The document, compact. */
    public static String write(DraftList list) {
        try {
            return MatchJson.JSON.writeValueAsString(document(list.match(), list.drafts()));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("drafts cannot be written", e);
        }
    }

    /** The document's fields, in order. */
    public static Map<String, Object> document(String match, List<Draft> drafts) {
        return Row.of(
                "format",
                FORMAT,
                "match",
                match,
                "drafts",
                drafts.stream().map(DraftJson::row).toList());
    }

    private static Map<String, Object> row(Draft d) {
        return Row.of(
                "id",
                d.id(),
                "film",
                d.film(),
                "filmMs",
                d.filmMs() < 0 ? null : d.filmMs(),
                "matchMs",
                d.tag().t().ms(),
                "tag",
                TagJson.write(d.tag()),
                "source",
                d.source().code(),
                "confidence",
                rounded(d.confidence()),
                "text",
                d.text(),
                "refused",
                d.refused(),
                "bases",
                d.bases().stream().map(DraftJson::basis).toList());
    }

    private static Map<String, Object> basis(Basis b) {
        return Row.of(
                "source",
                b.source().code(),
                "from",
                b.from(),
                "confidence",
                rounded(b.confidence()),
                "text",
                b.text(),
                "saidMs",
                b.saidMs() < 0 ? null : b.saidMs());
    }

    private static double rounded(double confidence) {
        return Math.round(THOUSANDTHS * confidence) / THOUSANDTHS;
    }

    /** @throws FormatException when it is not such a document, with the place in it */
    public static DraftList read(String document) throws FormatException {
        Fields f = Fields.of(MatchJson.parse(document), "");
        if (!FORMAT.equals(f.text("format"))) {
            throw f.error("format", "must be " + FORMAT);
        }
        List<Draft> drafts = new ArrayList<>();
        JsonNode rows = f.need("drafts");
        for (int i = 0; i < rows.size(); i++) {
            drafts.add(draft(Fields.of(rows.get(i), f.path("drafts") + "/" + i)));
        }
        return new DraftList(f.needText("match"), drafts);
    }

    private static Draft draft(Fields f) throws FormatException {
        List<Basis> bases = new ArrayList<>();
        JsonNode rows = f.need("bases");
        for (int i = 0; i < rows.size(); i++) {
            bases.add(basis(Fields.of(rows.get(i), f.path("bases") + "/" + i)));
        }
        if (bases.isEmpty()) {
            throw f.error("bases", "a draft rests on at least one");
        }
        Long filmMs = f.ms("filmMs");
        return new Draft(
                f.text("id"),
                TagJson.read(f.need("tag"), f.path("tag")),
                f.text("film"),
                filmMs == null ? -1 : filmMs,
                bases,
                f.needFlag("refused"));
    }

    private static Basis basis(Fields f) throws FormatException {
        Source source = f.coded("source", Source.class);
        Double confidence = f.number("confidence", 0, 1);
        if (source == null || confidence == null) {
            throw f.error(source == null ? "source" : "confidence", "is missing");
        }
        Long said = f.ms("saidMs");
        return new Basis(
                source,
                f.needText("from"),
                confidence,
                f.get("text") == null ? "" : f.needText("text"),
                said == null ? -1 : said);
    }
}
