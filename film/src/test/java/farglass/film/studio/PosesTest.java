package farglass.film.studio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.film.studio.Body.Joint;
import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class PosesTest {
    private final Poses poses = new Poses();

    private List<Body> bodies() {
        List<Body> all = new ArrayList<>();
        for (String code : poses.codes()) {
            all.add(poses.of(code).first());
            all.add(poses.of(code).second());
        }
        return all;
    }

    private static double apart(Body a, Joint j, Body b, Joint k) {
        return a.get(j).minus(b.get(k)).length();
    }

    @Test
    void nearlyEveryPositionOfTheLexiconHasAPoseOfItsOwn() {
        long own = Lexicon.builtIn().positions().stream()
                .map(Position::code)
                .filter(poses.codes()::contains)
                .count();
        assertThat(own).isGreaterThan(Lexicon.builtIn().positions().size() * 9L / 10);
        assertThat(poses.of("nowhere")).as("an unknown one is drawn standing").isNotNull();
    }

    @Test
    void nobodySinksIntoTheMatOrFlies() {
        for (String code : poses.codes()) {
            for (Body b : List.of(poses.of(code).first(), poses.of(code).second())) {
                double lowest = Double.MAX_VALUE;
                for (Joint j : Joint.values()) {
                    assertThat(b.get(j).y()).as(code + " " + j).isBetween(-0.08, 2.6);
                    lowest = Math.min(lowest, b.get(j).y());
                }
                assertThat(lowest)
                        .as(code + ": something touches or is carried")
                        .isLessThan(1.2);
            }
        }
    }

    @Test
    void athletesOfOnePoseAreNearEachOtherUnlessTheyStandFree() {
        for (String code : poses.codes()) {
            Poses.Pair p = poses.of(code);
            double far = apart(p.first(), Joint.HIP, p.second(), Joint.HIP);
            assertThat(far).as(code).isLessThan(2.2);
        }
    }

    @Test
    void aMirrorTwiceIsTheSameAndKeepsEveryLength() {
        for (Body b : bodies()) {
            Body m = b.mirrored();
            for (Joint j : Joint.values()) {
                assertThat(apart(m.mirrored(), j, b, j)).isCloseTo(0, within(1e-9));
                assertThat(m.get(j).y()).isIn(heights(b));
            }
        }
    }

    private static List<Double> heights(Body b) {
        List<Double> heights = new ArrayList<>();
        for (Joint j : Joint.values()) {
            heights.add(b.get(j).y());
        }
        return heights;
    }

    @Test
    void onTheWayBetweenTwoPosesEveryJointMovesStraight() {
        Body a = poses.of("STD").first();
        Body b = poses.of("MNT").first();
        for (Joint j : Joint.values()) {
            assertThat(apart(a.towards(b, 0), j, a, j)).isCloseTo(0, within(1e-9));
            assertThat(apart(a.towards(b, 1), j, b, j)).isCloseTo(0, within(1e-9));
            Vec half = a.towards(b, 0.5).get(j);
            assertThat(half.minus(a.get(j)).length())
                    .isCloseTo(half.minus(b.get(j)).length(), within(1e-9));
        }
        Vec by = new Vec(0.3, 0, -0.2);
        assertThat(a.moved(by).get(Joint.HIP).minus(a.get(Joint.HIP)).minus(by).length())
                .isCloseTo(0, within(1e-9));
    }

    @Test
    void theOneOnTopIsHigherThanTheOneBelow() {
        for (String code : List.of("MNT", "SDC", "KOB", "BCK", "CLG")) {
            Poses.Pair p = poses.of(code);
            assertThat(p.first().get(Joint.HEAD).y())
                    .as(code)
                    .isGreaterThan(p.second().get(Joint.HEAD).y() - 0.35);
        }
        Poses.Pair mount = poses.of("MNT");
        assertThat(mount.first().get(Joint.HIP).y())
                .isGreaterThan(mount.second().get(Joint.HIP).y());
    }
}
