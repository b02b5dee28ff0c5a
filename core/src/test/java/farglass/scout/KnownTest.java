package farglass.scout;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.profile.Claim;
import java.util.List;
import org.junit.jupiter.api.Test;

class KnownTest {
    private static Claim share(double mean, double lo, double hi, double others) {
        return new Told()
                .share("a", "opening.pull", (int) Math.round(100 * mean), 100, lo, hi, others)
                .known()
                .any("a")
                .orElseThrow();
    }

    @Test
    void aboveNeedsAnIntervalThatClearsTheOthersAndADifferenceToActUpon() {
        assertThat(Known.above(share(0.6, 0.45, 0.75, 0.3))).isTrue();
        assertThat(Known.above(share(0.6, 0.25, 0.75, 0.3)))
                .as("reaches down to them")
                .isFalse();
        assertThat(Known.above(share(0.33, 0.31, 0.35, 0.3))).as("hardly more").isFalse();
        assertThat(Known.above(share(0.6, 0.45, 0.75, Told.NONE)))
                .as("nobody to compare with")
                .isFalse();
        assertThat(Known.below(share(0.1, 0.05, 0.2, 0.3))).isTrue();
        assertThat(Known.below(share(0.6, 0.45, 0.75, 0.3))).isFalse();
    }

    @Test
    void timeNeedsMoreBecauseItLeansOnNoPrior() {
        Told t = new Told().time("place.guard", 0.25, 0.22, 0.28, 0.2).time("place.pinning", 0.28, 0.24, 0.32, 0.2);
        assertThat(Known.above(t.known().any("place.guard").orElseThrow())).isFalse();
        assertThat(Known.above(t.known().any("place.pinning").orElseThrow())).isTrue();
    }

    @Test
    void whatIsSaidFollowsFromIt() {
        assertThat(Known.says(share(0.6, 0.45, 0.75, 0.3))).isEqualTo(Assertion.Says.MORE);
        assertThat(Known.says(share(0.1, 0.05, 0.2, 0.3))).isEqualTo(Assertion.Says.LESS);
        assertThat(Known.says(share(0.3, 0.2, 0.4, 0.3))).isEqualTo(Assertion.Says.COUNTED);
    }

    @Test
    void theLargestMustLeadClearly() {
        Claim first = share(0.7, 0.6, 0.8, Told.NONE);
        assertThat(Known.largest(List.of(first, share(0.2, 0.1, 0.3, Told.NONE))))
                .isTrue();
        assertThat(Known.largest(List.of(first, share(0.6, 0.5, 0.7, Told.NONE))))
                .isFalse();
        assertThat(Known.largest(List.of(first))).isTrue();
        assertThat(Known.largest(List.of())).isFalse();
    }

    @Test
    void thinEvidenceIsNotFirm() {
        Known k = new Told()
                .share("a", "opening.pull", 2, 3, 0.3, 0.9, 0.2)
                .thin()
                .share("ab", "opening.pull", 9, 12, 0.5, 0.9, 0.2)
                .known();
        assertThat(k.firm("a")).isEmpty();
        assertThat(k.any("a")).isPresent();
        assertThat(k.all("a")).extracting(Claim::id).containsExactly("ab", "a");
        assertThat(k.inOrder("a")).extracting(Claim::id).containsExactly("a", "ab");
        assertThat(k.firmly("a")).extracting(Claim::id).containsExactly("ab");
    }
}
