package farglass.camp;

import java.time.LocalDate;

/**
 * What a round showed.
 *
 * @param skill key of the skill, see {@link Skill#key}
 * @param tries not negative; of an action of ours our tries, of one of theirs theirs
 * @param successes of ours: it worked; of theirs: it was stopped; 0 to tries
 * @param remark may be empty
 */
public record Logged(LocalDate date, String skill, int tries, int successes, String remark) {
    public Logged {
        if (tries < 0 || successes < 0 || successes > tries) {
            throw new IllegalArgumentException(successes + " of " + tries + " tries cannot be");
        }
    }
}
