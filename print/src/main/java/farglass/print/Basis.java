package farglass.print;

import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.rules.Rulesets;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.time.Clock;
import farglass.time.Dates;
import farglass.time.MatchTime;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;

/** In words, what was counted: matches, time, dates, the filter, and the day of printing. */
public final class Basis {
    private Basis() {}

    public static String of(Evidence evidence, LocalDate printed) {
        List<String> parts = new ArrayList<>();
        parts.add(PrintWords.of(
                "basis.matches", evidence.matches().size(), Math.round(evidence.exposureMs() / 60_000.0)));
        List<LocalDate> dates = evidence.matches().stream()
                .map(s -> s.record().details().date())
                .filter(Objects::nonNull)
                .sorted()
                .toList();
        if (!dates.isEmpty()) {
            parts.add(
                    PrintWords.of("basis.dates", Dates.words(dates.get(0)), Dates.words(dates.get(dates.size() - 1))));
        }
        Filter f = evidence.filter();
        parts.add(f.attire() == null ? PrintWords.of("basis.all-attire") : f.attire());
        if (f.ruleset() != null) {
            parts.add(Rulesets.builtIn().name(f.ruleset(), null));
        }
        if (f.moment().score() != null) {
            parts.add(PrintWords.of("basis.score", word(f.moment().score())));
        }
        if (f.moment().clock() != null) {
            parts.add(word(f.moment().clock()));
        }
        if (f.moment().role() != null) {
            parts.add(PrintWords.of("basis.role", f.moment().role()));
        }
        if (f.opponents().stance() != null) {
            parts.add(PrintWords.of("basis.lead", f.opponents().stance()));
        }
        parts.add(
                f.halfLifeYears() == null
                        ? PrintWords.of("basis.no-ageing")
                        : PrintWords.of("basis.half-life", f.halfLifeYears()));
        return String.join("; ", parts) + ". " + PrintWords.of("basis.printed", Dates.words(printed));
    }

    /** A moment of a match in words: its day, who met, and when. */
    public static String moment(MatchRecord r, MatchTime t) {
        String date = r.details().date() == null ? "" : Dates.words(r.details().date()) + " ";
        return date + r.athlete(Corner.A).surname() + " - "
                + r.athlete(Corner.B).surname() + ", " + Clock.seconds(t.ms());
    }

    private static String word(Enum<?> e) {
        return e.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
