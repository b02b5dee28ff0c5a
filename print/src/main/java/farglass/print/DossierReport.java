package farglass.print;

import farglass.lexicon.Lexicon;
import farglass.profile.Claim;
import farglass.scout.GameFigure;
import farglass.scout.ReportWriter;
import java.awt.image.BufferedImage;
import java.util.List;

/**
 * What stands on the first two pages of a dossier: the report with its stills, then the game, the sides and the key
 * numbers.
 *
 * @param parts the report, part by part
 * @param stills at most four, each with its caption
 * @param figure the game
 * @param sides a line for every kind of attack with a side
 * @param numbers what a coach asks for of every athlete
 * @param writer names boxes and ways of the figure, in the words of {@code lexicon}
 */
public record DossierReport(
        List<Part> parts,
        List<Still> stills,
        GameFigure figure,
        List<String> sides,
        List<Claim> numbers,
        ReportWriter writer,
        Lexicon lexicon) {
    /** Sentences under a heading. */
    public record Part(String heading, List<String> sentences) {
        public Part {
            sentences = List.copyOf(sentences);
        }
    }

    /** A picture of a moment. */
    public record Still(BufferedImage image, String caption) {}

    public DossierReport {
        parts = List.copyOf(parts);
        stills = List.copyOf(stills);
        sides = List.copyOf(sides);
        numbers = List.copyOf(numbers);
    }
}
