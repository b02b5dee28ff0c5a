package farglass.narration;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.Outcome;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Whoever plays guard sweeps, whatever name was heard last. */
class RolesTest {
    private static final MatchAthlete ANSA = new MatchAthlete("a", "Ansa Kellivar", "blue gi", "#2850be", Map.of());
    private static final MatchAthlete BRISA = new MatchAthlete("b", "Brisa Tolendt", "white gi", "#f5f5f5", Map.of());

    private static List<Find> read(String... lines) {
        List<Cue> cues = new ArrayList<>();
        for (int i = 0; i < lines.length; i++) {
            cues.add(new Cue(6000L * i, 6000L * i + 4000, lines[i]));
        }
        return new NarrationReader(Lexicon.builtIn(), Locale.ENGLISH).read(cues, ANSA, BRISA);
    }

    private static Find.Act last(String... lines) {
        return read(lines).stream()
                .filter(Find.Act.class::isInstance)
                .map(Find.Act.class::cast)
                .reduce((x, y) -> y)
                .orElseThrow();
    }

    @Test
    void whoeverPlaysGuardSweepsAndTheOtherPasses() {
        String[] place = {"Brisa pulls guard.", "Ansa is on her knees, looking for grips."};
        assertThat(last(place[0], place[1], "Lasso sweep!").by()).isEqualTo(Corner.B);
        assertThat(last(place[0], place[1], "Triangle!").by()).isEqualTo(Corner.B);
        assertThat(last(place[0], "Brisa looks for grips.", "Knee cut!").by()).isEqualTo(Corner.A);
        assertThat(last(place[0], place[1], "Ansa goes for the triangle!").by())
                .as("who is named is believed")
                .isEqualTo(Corner.A);
    }

    @Test
    void whatWorkedTurnsTheRolesAndWhoeverSweptGoesOn() {
        assertThat(last("Brisa pulls guard.", "Brisa gets the sweep.", "Ansa looks tired.", "Knee cut!")
                        .by())
                .isEqualTo(Corner.B);
        assertThat(last("Brisa pulls guard.", "Ansa grips.", "Balloon sweep!", "She lands in mount!"))
                .satisfies(a -> {
                    assertThat(a.technique()).isEqualTo("to-mount");
                    assertThat(a.by()).isEqualTo(Corner.B);
                });
    }

    @Test
    void anAthleteIsCalledByTheColourToo() {
        assertThat(last("Blue is Ansa, white is Brisa.", "White passes the guard.")
                        .by())
                .isEqualTo(Corner.B);
        assertThat(last("Brisa has a blue belt, Ansa shoots a double leg.").by())
                .isEqualTo(Corner.A);
    }

    @Test
    void againAndTheSameAreThoseOfBefore() {
        Find.Act again = last("Ansa goes for the knee cut, Brisa blocks it.", "Brisa frames.", "Knee cut again!");
        assertThat(again.by()).isEqualTo(Corner.A);
        Find.Act same = last("Ansa goes for the toreando, Brisa blocks it.", "Same pass again, and she gets it.");
        assertThat(same.technique()).isEqualTo("toreando");
        assertThat(same.by()).isEqualTo(Corner.A);
    }

    @Test
    void aTapIsTheEndUnlessNobodyTaps() {
        assertThat(last("Armbar by Ansa! She steps over, she has the arm, and that's the tap!")
                        .outcome())
                .isEqualTo(Outcome.COMPLETED);
        assertThat(last("Armbar by Ansa! It is deep, but Brisa refuses to tap.").outcome())
                .isNotEqualTo(Outcome.COMPLETED);
    }

    @Test
    void pointsAreTheirsWhoDidWhatTheyAreFor() {
        assertThat(read("Brisa pulls guard.", "Brisa gets the sweep, Ansa is on her back.", "Two points."))
                .filteredOn(Find.Call.class::isInstance)
                .singleElement()
                .satisfies(c -> assertThat(((Find.Call) c).who()).isEqualTo(Corner.B));
    }

    @Test
    void halfGuardTopIsTheOthersGuard() {
        assertThat(read("Half guard top for Ansa."))
                .filteredOn(Find.Place.class::isInstance)
                .singleElement()
                .satisfies(p -> assertThat(((Find.Place) p).who()).isEqualTo(Corner.B));
    }

    @Test
    void anotherLookIsNoAttempt() {
        assertThat(read("Armbar by Ansa!", "Let's have another look at that armbar, watch the hips."))
                .filteredOn(Find.Act.class::isInstance)
                .hasSize(1);
    }

    @Test
    void hooksOfAGuardAreNoHooksOnTheBack() {
        assertThat(read("Brisa pulls guard.", "Brisa gets her hooks in."))
                .filteredOn(f -> f instanceof Find.Act a && a.technique().equals("hook-insert"))
                .isEmpty();
    }
}
