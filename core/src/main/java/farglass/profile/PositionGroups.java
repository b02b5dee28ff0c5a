package farglass.profile;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.match.Role;
import java.util.List;
import java.util.Set;

/** Kinds of places and attempts, as the questions of a profile group them. */
final class PositionGroups {
    static final String STANDING = "place.standing";
    static final String GUARD = "place.guard";
    static final String TOP = "place.topGuard";
    static final String PINNING = "place.pinning";
    static final String PINNED = "place.pinned";
    static final String BACK_OF = "place.backOf";
    static final String BACK_GIVEN = "place.backGiven";
    static final String OTHER = "place.other";
    static final List<String> PLACES = List.of(STANDING, GUARD, TOP, PINNING, PINNED, BACK_OF, BACK_GIVEN);
    /** Families of attempts that score or finish. */
    static final Set<String> ATTACKS =
            Set.of("takedown", "sweep", "reversal", "pass", "pin-advance", "back-take", "submission");

    private PositionGroups() {}

    /** The group of a place as seen from the athlete's role in it. */
    static String of(Lexicon lexicon, String place, Role role) {
        boolean ahead = role == Role.HOLDER;
        return switch (lexicon.position(place).map(Position::family).orElse("other")) {
            case "standing" -> STANDING;
            case "seated", "closed-half", "open-guard", "leg-entanglement", "passing" ->
                role == Role.GUARD ? GUARD : ahead ? TOP : OTHER;
            case "pin" -> ahead ? PINNING : PINNED;
            case "back-turtle" -> ahead ? BACK_OF : BACK_GIVEN;
            default -> OTHER;
        };
    }

    /** Whether an athlete with this role plays a guard that has a name, not one that is being passed. */
    static boolean namedGuard(Lexicon lexicon, String place, Role role) {
        return role == Role.GUARD
                && !lexicon.position(place)
                        .map(Position::family)
                        .orElse("other")
                        .equals("passing");
    }

    /** Whether nobody is ahead there, or both stand. */
    static boolean neutral(Lexicon lexicon, String place) {
        return lexicon.position(place)
                .map(p -> p.family().equals("standing") || p.neutral())
                .orElse(false);
    }
}
