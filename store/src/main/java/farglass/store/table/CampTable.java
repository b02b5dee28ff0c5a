package farglass.store.table;

import farglass.camp.Camp;
import farglass.camp.CampCalendar;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.Locale;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** The rounds of a camp, one a row, to be filled in by hand. */
public final class CampTable {
    private CampTable() {}

    /** @param skill words for the key of a skill */
    public static String write(CampCalendar days, Camp camp, Function<String, String> skill) {
        StringWriter text = new StringWriter();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader("date", "round", "skill", "name", "minutes", "intensity", "partner", "tries", "successes")
                .get();
        try (CSVPrinter p = new CSVPrinter(text, format)) {
            for (CampCalendar.Day d : days.days()) {
                for (CampCalendar.Round r : d.rounds()) {
                    p.printRecord(
                            d.date(),
                            r.number(),
                            TagTable.safe(r.skill()),
                            TagTable.safe(skill.apply(r.skill())),
                            camp.roundMinutes(),
                            r.intensity().name().toLowerCase(Locale.ROOT),
                            TagTable.safe(r.partner()),
                            "",
                            "");
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }
}
