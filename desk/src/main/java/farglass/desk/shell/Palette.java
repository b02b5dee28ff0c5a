package farglass.desk.shell;

import javafx.scene.paint.Color;

/**
 * Colours of what is drawn, by what they mean; the style sheets name the same ones.
 *
 * @param paper under everything
 * @param sheet under what is read
 * @param soft of small and secondary text
 * @param oursText of words about our athlete
 * @param oursWash behind what is ours
 */
public record Palette(
        Color paper,
        Color sheet,
        Color ink,
        Color soft,
        Color rule,
        Color ours,
        Color oursText,
        Color oursWash,
        Color theirs,
        Color theirsWash,
        Color alarm) {
    /** Of {@link Theme#PAPER}. */
    public static final Palette PAPER = of(
            "#F4EFE3", "#FCF9F1", "#1B2A34", "#5B6A72", "#D9CFBB", "#B4640B", "#8A4B06", "#F6E7D0", "#0C6B76",
            "#DDECEB", "#A63D2A");
    /** Of {@link Theme#NIGHT}. */
    public static final Palette NIGHT = of(
            "#12191E", "#1A232A", "#E9E2D0", "#A6B1B6", "#36444C", "#DE9145", "#EDB476", "#38291A", "#4FB0BC",
            "#17343A", "#F08A73");

    private static Palette of(
            String paper,
            String sheet,
            String ink,
            String soft,
            String rule,
            String ours,
            String oursText,
            String oursWash,
            String theirs,
            String theirsWash,
            String alarm) {
        return new Palette(
                Color.web(paper),
                Color.web(sheet),
                Color.web(ink),
                Color.web(soft),
                Color.web(rule),
                Color.web(ours),
                Color.web(oursText),
                Color.web(oursWash),
                Color.web(theirs),
                Color.web(theirsWash),
                Color.web(alarm));
    }
}
