package farglass.desk.shell;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Locale;

/** How large everything is shown, words and drawings alike. */
public enum TextSize {
    PERCENT_100(1),
    PERCENT_125(1.25),
    PERCENT_150(1.5),
    PERCENT_175(1.75);

    /** Where a library keeps which one was chosen. */
    public static final String PREFERENCE = "look.text-percent";

    private static final int WHOLE = 100;
    private static final double POPUP_FONT = 14;

    private final double factor;

    TextSize(double factor) {
        this.factor = factor;
    }

    /** The one of so many per cent, as {@code 150}; 100 for anything else. */
    public static TextSize named(String percent) {
        return Arrays.stream(values())
                .filter(s -> s.percent().equals(percent))
                .findFirst()
                .orElse(PERCENT_100);
    }

    /** As {@code 150}. */
    public String percent() {
        return Long.toString(Math.round(WHOLE * factor));
    }

    /** Times the usual size. */
    public double factor() {
        return factor;
    }

    /** Style sheets for what opens in a window of its own, which is not enlarged with the rest: lists, hints. */
    List<String> sheets() {
        if (this == PERCENT_100) {
            return List.of();
        }
        String css = String.format(
                Locale.ROOT,
                ".combo-box-popup .list-cell, .context-menu .label, .tooltip, .date-picker-popup"
                        + " { -fx-font-size: %.1fpx; }",
                POPUP_FONT * factor);
        return List.of(
                "data:text/css;base64," + Base64.getEncoder().encodeToString(css.getBytes(StandardCharsets.UTF_8)));
    }
}
