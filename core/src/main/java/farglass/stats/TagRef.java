package farglass.stats;

/**
 * Where a number comes from.
 *
 * @param match id of the record
 * @param tag id of the tag, or its index in the record when it has none
 */
public record TagRef(String match, String tag) {}
