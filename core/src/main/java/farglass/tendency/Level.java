package farglass.tendency;

import farglass.match.MatchAthlete;
import farglass.stats.Trial;
import java.util.List;

/** Against whom did it work? Success shown only against lower grades or much lighter opponents says so. */
public final class Level {
    private static final List<String> GRADES = List.of("white", "blue", "purple", "brown", "black");
    /** Lighter by more than this share of the own weight is much lighter. */
    private static final double MUCH_LIGHTER = 0.10;

    private Level() {}

    /** What all successes have in common. */
    public enum Doubt {
        LOWER_GRADES,
        MUCH_LIGHTER
    }

    /** Warnings for some occurrences; none without a success, or where grade and weight are not known. */
    public static List<Doubt> of(Evidence evidence, List<Trial> trials) {
        List<Evidence.Seen> worked = trials.stream()
                .filter(Trial::worked)
                .map(t -> t.tag().match())
                .distinct()
                .flatMap(id -> evidence.match(id).stream())
                .toList();
        if (worked.isEmpty()) {
            return List.of();
        }
        if (worked.stream().allMatch(s -> lower(me(s), other(s)))) {
            return List.of(Doubt.LOWER_GRADES);
        }
        return worked.stream().allMatch(s -> lighter(me(s), other(s))) ? List.of(Doubt.MUCH_LIGHTER) : List.of();
    }

    private static MatchAthlete me(Evidence.Seen s) {
        return s.record().athlete(s.corner());
    }

    private static MatchAthlete other(Evidence.Seen s) {
        return s.record().athlete(s.corner().other());
    }

    private static boolean lower(MatchAthlete me, MatchAthlete other) {
        int mine = GRADES.indexOf(String.valueOf(me.extra().get("grade")));
        int theirs = GRADES.indexOf(String.valueOf(other.extra().get("grade")));
        return theirs >= 0 && theirs < mine;
    }

    private static boolean lighter(MatchAthlete me, MatchAthlete other) {
        Double mine = Opponents.weight(me);
        Double theirs = Opponents.weight(other);
        return mine != null && theirs != null && theirs < mine * (1 - MUCH_LIGHTER);
    }
}
