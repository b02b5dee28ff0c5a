package farglass.film.reel;

import farglass.film.studio.Lettering;
import java.util.ArrayList;
import java.util.List;

/** Words broken into the lines of a card. */
final class Cards {
    private static final int MOST_LINES = 3;
    private static final double LEADING = 1.28;

    private Cards() {}

    /** @param below how far under the first line it stands, pixels */
    record Line(String text, double below) {}

    static List<Line> lines(Lettering letters, String text, double size, double width) {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : text.split(" ")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (!line.isEmpty() && letters.width(longer, size) > width) {
                lines.add(line.toString());
                line.setLength(0);
                line.append(word);
            } else {
                line.setLength(0);
                line.append(longer);
            }
        }
        lines.add(line.toString());
        List<Line> placed = new ArrayList<>();
        for (int i = 0; i < Math.min(MOST_LINES, lines.size()); i++) {
            placed.add(new Line(lines.get(i), i * size * LEADING));
        }
        return placed;
    }
}
