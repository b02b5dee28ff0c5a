package farglass.time;

import java.util.Locale;
import java.util.OptionalLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** How times are written and read: {@code m:ss}, {@code m:ss.t} and {@code m:ss.mmm}. */
public final class Clock {
    private static final Pattern CLOCK = Pattern.compile("(\\d{1,3}):([0-5]?\\d)(?:[.,](\\d{1,3}))?");

    private Clock() {}

    /** As {@code 4:05.250}. */
    public static String millis(long ms) {
        return String.format(Locale.ROOT, "%d:%02d.%03d", ms / 60_000, ms / 1000 % 60, ms % 1000);
    }

    /** As {@code 4:05.2}. */
    public static String tenths(long ms) {
        return String.format(Locale.ROOT, "%d:%02d.%d", ms / 60_000, ms / 1000 % 60, ms % 1000 / 100);
    }

    /** As {@code 4:05}. */
    public static String seconds(long ms) {
        return String.format(Locale.ROOT, "%d:%02d", ms / 60_000, ms / 1000 % 60);
    }

    /** What a match clock that counts down shows with so much left: a second begun is a second shown. */
    public static String countdown(long leftMs) {
        return seconds((Math.max(0, leftMs) + 999) / 1000 * 1000);
    }

    /**
     * Reads {@code m:ss}, {@code m:ss.t} or {@code m:ss.mmm}.
     *
     * @return milliseconds, or empty when the text is not a clock value
     */
    public static OptionalLong parse(String text) {
        Matcher m = CLOCK.matcher(text.strip());
        if (!m.matches()) {
            return OptionalLong.empty();
        }
        String fraction = m.group(3) == null ? "" : m.group(3);
        long ms = fraction.isEmpty() ? 0 : Long.parseLong((fraction + "00").substring(0, 3));
        return OptionalLong.of(Long.parseLong(m.group(1)) * 60_000 + Long.parseLong(m.group(2)) * 1000 + ms);
    }
}
