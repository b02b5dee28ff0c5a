package farglass.store;

/**
 * Something as a team's library has it.
 *
 * @param item see {@link TeamChange}
 * @param n steps that it has been through
 * @param document as it is after them
 * @param removed whether it is out of sight
 */
public record TeamItem(TeamChange.Kind kind, String item, long n, String document, boolean removed) {}
