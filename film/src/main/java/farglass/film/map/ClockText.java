package farglass.film.map;

import farglass.film.text.TextLine;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A clock within a line of text.
 *
 * @param seconds that it shows, 0 to 5999
 * @param from where it begins, from 0 at the left end of the line to 1 at its right end
 * @param to where it ends
 * @param confidence of the reading, 0..1
 */
record ClockText(int seconds, double from, double to, double confidence) {
    /**
     * Minutes and seconds that are not part of a longer number; a point or a space may have been read for the colon.
     */
    private static final Pattern CLOCK = Pattern.compile("(?<![0-9])([0-9]{1,2})[:.;] ?([0-5][0-9])(?![0-9])");
    /** The last seconds with tenths. */
    private static final Pattern TENTHS = Pattern.compile("(?<![0-9:])([0-5]?[0-9])\\.[0-9](?![0-9])");

    /** A clock whose colon is too faint to be read. */
    private static final Pattern BARE = Pattern.compile("([0-9]{1,2}) ?([0-5][0-9])");

    private static final int MINUTE = 60;

    /** The first clock of a line; empty when there is none. */
    static Optional<ClockText> of(TextLine line) {
        Matcher m = CLOCK.matcher(line.text());
        if (m.find()) {
            return Optional.of(at(line, m, seconds(m.group(1), m.group(2))));
        }
        Matcher t = TENTHS.matcher(line.text());
        return t.matches() ? Optional.of(at(line, t, Integer.parseInt(t.group(1)))) : Optional.empty();
    }

    /** The same where only a clock is to be expected: its colon may not have been read. */
    static Optional<ClockText> loose(TextLine line) {
        Optional<ClockText> clock = of(line);
        Matcher m = BARE.matcher(line.text());
        if (clock.isPresent() || !m.matches()) {
            return clock;
        }
        return Optional.of(at(line, m, seconds(m.group(1), m.group(2))));
    }

    static int seconds(String minutes, String seconds) {
        return MINUTE * Integer.parseInt(minutes) + Integer.parseInt(seconds);
    }

    private static ClockText at(TextLine line, Matcher m, int seconds) {
        int last = line.at().size() - 1;
        double first = line.at().get(Math.min(m.start(), last));
        double end = line.at().get(Math.min(m.end() - 1, last));
        double half = (end - first) / Math.max(1, 2 * (m.end() - m.start() - 1));
        return new ClockText(
                seconds, Math.max(0, first - 1.5 * half), Math.min(1, end + 1.5 * half), line.confidence());
    }
}
