package farglass.store.table;

import farglass.profile.Claim;
import farglass.profile.ClaimPage;
import farglass.profile.ClaimWriter;
import farglass.profile.Profile;
import farglass.profile.Question;
import farglass.stats.Estimate;
import farglass.store.json.EstimateJson;
import farglass.text.Language;
import java.io.IOException;
import java.util.LinkedHashSet;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Every claim of every page of a profile as a table, one row each; tags as {@code match:tag}, parted by blanks. */
public final class ClaimTable {
    private static final String[] COLUMNS = {
        "page",
        "claim",
        "sentence",
        "unit",
        "x",
        "n",
        "value",
        "lo",
        "hi",
        "level",
        "matches",
        "effective",
        "grade",
        "average",
        "withoutUnsure",
        "notVisible",
        "tags"
    };

    private ClaimTable() {}

    /** One row for every claim of every page, RFC 4180. */
    public static void write(Profile profile, Appendable out) throws IOException {
        ClaimWriter writer = new ClaimWriter(Language.locale());
        CSVFormat format = CSVFormat.RFC4180.builder().setHeader(COLUMNS).get();
        Set<String> written = new LinkedHashSet<>();
        try (CSVPrinter printer = new CSVPrinter(out, format)) {
            for (Question q : Question.values()) {
                ClaimPage page = profile.page(q);
                for (Claim c : page.claims()) {
                    if (written.add(c.id())) {
                        row(printer, writer.name(q.key()), writer.sentence(c), c);
                    }
                }
            }
        }
    }

    private static void row(CSVPrinter printer, String page, String sentence, Claim c) throws IOException {
        Estimate e = c.estimate();
        printer.printRecord(
                TagTable.safe(page),
                TagTable.safe(c.id()),
                TagTable.safe(sentence),
                c.unit().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                EstimateJson.number(e.x()),
                EstimateJson.number(e.n()),
                EstimateJson.number(e.mean()),
                EstimateJson.number(e.lo()),
                EstimateJson.number(e.hi()),
                e.level(),
                e.matches(),
                EstimateJson.number(e.effective()),
                e.grade().name().toLowerCase(Locale.ROOT),
                EstimateJson.number(e.baseline()),
                c.withoutUnsure(),
                c.hidden(),
                TagTable.safe(c.trials().stream()
                        .map(t -> t.tag().match() + ":" + t.tag().tag())
                        .collect(Collectors.joining(" "))));
    }
}
