package farglass.time;

import farglass.text.Language;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.format.DateTimeFormatter;
import org.jspecify.annotations.Nullable;

/** Days as a person says them, as {@code 3 May 2031}; records, file names and formats keep year-month-day. */
public final class Dates {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM uuuu");
    private static final DateTimeFormatter MONTH = DateTimeFormatter.ofPattern("MMM uuuu");

    private Dates() {}

    /** The day in words; nothing for a day that is not known. */
    public static String words(@Nullable LocalDate day) {
        return day == null ? "" : DAY.withLocale(Language.locale()).format(day);
    }

    /** The month in words. */
    public static String words(YearMonth month) {
        return MONTH.withLocale(Language.locale()).format(month);
    }
}
