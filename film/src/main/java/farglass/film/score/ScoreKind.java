package farglass.film.score;

import java.util.Locale;
import java.util.Optional;

/** What a number of a score graphic counts. */
public enum ScoreKind {
    POINTS("P PT PTS POINT POINTS PONTO PONTOS SCORE"),
    ADVANTAGES("A V ADV ADVS ADVANTAGE ADVANTAGES VANT VANTAGEM VANTAGENS"),
    PENALTIES("PN PEN PENS PENALTY PENALTIES PUN PUNICAO PUNICOES F FOULS");

    /** Parted by spaces. */
    private final String headings;

    ScoreKind(String headings) {
        this.headings = headings;
    }

    /** What a heading over a column, or a letter beside a number, says. */
    static Optional<ScoreKind> of(String heading) {
        String bare = heading.toUpperCase(Locale.ROOT).replaceAll("[^A-Z]", "");
        for (ScoreKind k : values()) {
            if (!bare.isEmpty() && (" " + k.headings + " ").contains(" " + bare + " ")) {
                return Optional.of(k);
            }
        }
        return Optional.empty();
    }
}
