package farglass.narration;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.Outcome;
import farglass.match.Side;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Talk over a whole match, as people do it. */
class WholeNarrationTest {
    private static final NarrationReader READER = new NarrationReader(Lexicon.builtIn(), Locale.ENGLISH);
    private static final MatchAthlete JUNO = new MatchAthlete("a", "Juno Fastrel", "red", "#c82828", Map.of());
    private static final MatchAthlete ODILE = new MatchAthlete("b", "Odile Marrowen", "black", "#141414", Map.of());

    private static final List<String> COMMENTARY = List.of(
            "Fastrel against Marrowen, a match that we have seen three times already.",
            "Collar tie, and Fastrel snaps her down.",
            "Marrowen sits to guard. She has the De La Riva.",
            "De La Riva sweep to the left, nearly! Advantage for Marrowen.",
            "Fastrel backs out of there and passes with the toreando to the right, three points.",
            "Marrowen frames and recovers half guard.",
            "If Marrowen gets the underhook she could come up from here.",
            "Arm triangle from Fastrel! It is tight! Marrowen is tapping, she taps!");

    private static final List<String> BREAKDOWN = List.of(
            "Juno is the one in red. She won her last match with a guillotine.",
            "Odile pulls guard, okay.",
            "What you want to do on top is posture first. Never give her the sleeve.",
            "Juno goes for the knee cut on the left side, it is blocked.",
            "Let's look at that one more time.",
            "The knee cut comes too early, you see? Her shield is still there.",
            "Moving on. Odile attacks the triangle and Juno postures up.",
            "Juno should have gone for the leg drag there.",
            "Later on she will take the back, but we'll get to that.");

    private static List<Cue> cues(List<String> lines) {
        List<Cue> cues = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            cues.add(new Cue(15_000L * i, 15_000L * i + 8000, lines.get(i)));
        }
        return cues;
    }

    private static List<Find.Act> acts(List<Cue> cues) {
        return READER.read(cues, JUNO, ODILE).stream()
                .filter(Find.Act.class::isInstance)
                .map(Find.Act.class::cast)
                .toList();
    }

    @Test
    void commentaryIsReadInItsOrder() {
        assertThat(acts(cues(COMMENTARY)))
                .extracting(Find.Act::technique, Find.Act::by, Find.Act::side, Find.Act::outcome)
                .containsExactly(
                        tuple("snap-down", Corner.A, null, Outcome.COMPLETED),
                        tuple("sit-guard", Corner.B, null, Outcome.COMPLETED),
                        tuple("dlr-sweep", Corner.B, Side.LEFT, Outcome.NEAR),
                        tuple("toreando", Corner.A, Side.RIGHT, Outcome.COMPLETED),
                        tuple("half-recovery", Corner.B, null, Outcome.COMPLETED),
                        tuple("arm-triangle", Corner.A, null, Outcome.COMPLETED));
    }

    @Test
    void aBreakdownTeachesRewindsAndLooksAhead() {
        assertThat(acts(cues(BREAKDOWN)))
                .extracting(Find.Act::technique, Find.Act::by)
                .startsWith(tuple("guard-pull", Corner.B), tuple("knee-cut", Corner.A), tuple("triangle", Corner.B))
                .doesNotContain(
                        tuple("guillotine", Corner.A), tuple("leg-drag", Corner.A), tuple("back-take", Corner.A));
        assertThat(acts(cues(BREAKDOWN)))
                .extracting(Find.Act::technique)
                .as("shown twice, done once")
                .containsOnlyOnce("knee-cut");
    }

    @Test
    void remarksOfABreakdownAreKept() {
        List<String> remarks = READER.read(cues(BREAKDOWN), JUNO, ODILE).stream()
                .filter(Find.Remark.class::isInstance)
                .map(Find::sentence)
                .toList();
        assertThat(remarks)
                .anyMatch(s -> s.contains("posture first"))
                .anyMatch(s -> s.contains("should have gone for the leg drag"))
                .anyMatch(s -> s.contains("too early"));
    }

    @Test
    void findsComeInTheOrderOfTheFilmAndStandWithinTheTalk() {
        List<Find> all = READER.read(cues(COMMENTARY), JUNO, ODILE);
        assertThat(all).extracting(Find::saidMs).isSorted();
        assertThat(all).allMatch(f -> f.saidMs() >= 0 && f.saidMs() < 15_000L * COMMENTARY.size());
        assertThat(all)
                .allMatch(f -> f.confidence() > 0
                        && f.confidence() < 1
                        && !f.sentence().isBlank());
    }

    @Test
    void aMachinesLinesSayTheSame() {
        List<Cue> heard = new ArrayList<>();
        String before = "";
        for (Cue c : cues(COMMENTARY)) {
            String line = c.text().toLowerCase(Locale.ROOT).replaceAll("[.,!?]", "");
            heard.add(new Cue(c.fromMs(), c.toMs(), before.isEmpty() ? line : before + "\n" + line));
            before = line;
        }
        assertThat(acts(heard))
                .extracting(Find.Act::technique)
                .contains("snap-down", "sit-guard", "dlr-sweep", "toreando", "half-recovery", "arm-triangle");
    }

    @Test
    void nothingSaidIsNothingFound() {
        assertThat(READER.read(List.of(), JUNO, ODILE)).isEmpty();
        assertThat(READER.read(cues(List.of("", "[music]")), JUNO, ODILE)).isEmpty();
    }
}
