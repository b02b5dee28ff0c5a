package farglass.conduct;

/**
 * A promise about how to fight.
 *
 * @param id unique within the plan: {@code c} and a number
 * @param fork id of the fork it stands beside; empty for the whole match
 * @param text as written, see {@link ClauseReader}
 */
public record Clause(String id, String fork, String text) {
    public Clause {
        if (!id.matches("c\\d{1,6}")) {
            throw new IllegalArgumentException("'" + id + "' is not c and a number");
        }
        if (text.isBlank()) {
            throw new IllegalArgumentException("a clause needs words");
        }
    }
}
