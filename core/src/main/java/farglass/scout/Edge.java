package farglass.scout;

import java.util.Optional;

/**
 * A danger or an opening.
 *
 * @param sentence what it is
 * @param worth against our own athlete the points of win chance that hang on it, else what it brings in a match, in
 * points of the score; 0 where it is not weighed
 * @param against whether the worth is that against our own athlete
 * @param answer what our athlete has against it, or for it, with its record; none when nothing in his game answers it
 */
public record Edge(Sentence sentence, double worth, boolean against, Optional<Sentence> answer) {}
