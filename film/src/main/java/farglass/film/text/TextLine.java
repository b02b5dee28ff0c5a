package farglass.film.text;

import java.util.List;

/**
 * What a line of text says.
 *
 * @param confidence mean chance of its characters, 0..1; 0 when there is none
 * @param at where each character stands, from 0 at the left end of the picture to 1 at its right end
 */
public record TextLine(String text, double confidence, List<Double> at) {
    public TextLine {
        at = List.copyOf(at);
    }
}
