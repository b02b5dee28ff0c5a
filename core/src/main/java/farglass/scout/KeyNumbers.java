package farglass.scout;

import farglass.profile.Claim;
import farglass.profile.Profile;
import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;

/** The numbers that a coach asks for whatever the athlete: how matches end, where they are spent, what gets through. */
public final class KeyNumbers {
    private static final List<String> ASKED = List.of(
            "finish.wins",
            "finish.lost",
            "place.standing",
            "place.guard",
            "place.topGuard",
            "place.pinning",
            "place.pinned",
            "place.backOf",
            "place.backGiven",
            "against.all.takedown",
            "against.all.pass",
            "against.all.sweep",
            "against.all.back-take",
            "against.all.submission");

    private KeyNumbers() {}

    /** Those that the profile has, in a fixed order, departing from the others or not. */
    public static List<Claim> of(Profile profile) {
        var byId = profile.claims().stream().collect(Collectors.toMap(Claim::id, Function.identity(), (a, b) -> a));
        return ASKED.stream().map(byId::get).filter(Objects::nonNull).toList();
    }
}
