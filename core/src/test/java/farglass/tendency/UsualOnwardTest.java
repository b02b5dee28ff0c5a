package farglass.tendency;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Records;
import farglass.match.Tag;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What the own mix of attempts would make of a sequence, and what others make of it. */
class UsualOnwardTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();

    private static MatchRecord match(String id, String who, String... codes) {
        List<Tag> tags = new ArrayList<>(List.of(Records.start(), Records.guard(0.5, "LAS", Corner.A)));
        double t = 1;
        for (String code : codes) {
            tags.add(Records.tries(t++, Corner.A, code));
        }
        return Records.named(id, LocalDate.of(2030, 1, 1), who, "x", tags.toArray(new Tag[0]));
    }

    private static double chance(List<MatchRecord> records, String step, String next) {
        Evidence e = Evidence.of(LibraryIndex.of(records, LEXICON), "us", Filter.ALL);
        List<Exchanges.Exchange> exchanges = Exchanges.of(e);
        List<String> names = new ArrayList<>();
        int[][] symbols = exchanges.stream()
                .map(x -> x.steps().stream()
                        .mapToInt(s -> {
                            if (!names.contains(s.symbol())) {
                                names.add(s.symbol());
                            }
                            return names.indexOf(s.symbol());
                        })
                        .toArray())
                .toArray(int[][]::new);
        return new UsualOnward(exchanges, symbols).chance(names.indexOf("self " + step), names.indexOf("self " + next));
    }

    @Test
    void whatFollowsIsHeldAgainstTheSamePlaceWithoutWhatWentBefore() {
        // after the lasso sweep always the triangle; else never
        List<MatchRecord> records = new ArrayList<>();
        for (int m = 0; m < 10; m++) {
            records.add(match("m" + m, "us", "scissor-sweep", "omoplata", "scissor-sweep", "lasso-sweep", "triangle"));
        }
        assertThat(chance(records, "lasso-sweep", "triangle")).isLessThan(0.05);
    }

    @Test
    void withoutMemoryItIsAboutWhatHappens() {
        Random rng = new Random(5);
        List<String> codes = List.of("scissor-sweep", "omoplata", "lasso-sweep", "triangle");
        List<MatchRecord> records = new ArrayList<>();
        int begun = 0;
        int followed = 0;
        for (int m = 0; m < 400; m++) {
            String[] drawn = rng.ints(8, 0, 4).mapToObj(codes::get).toArray(String[]::new);
            records.add(match("m" + m, "us", drawn));
            for (int i = 0; i < 8; i++) {
                if (drawn[i].equals("lasso-sweep")) {
                    begun++;
                    boolean soon = (i + 1 < 8 && drawn[i + 1].equals("triangle"))
                            || (i + 2 < 8 && drawn[i + 2].equals("triangle"));
                    followed += soon ? 1 : 0;
                }
            }
        }
        assertThat(chance(records, "lasso-sweep", "triangle")).isCloseTo((double) followed / begun, within(0.03));
    }

    @Test
    void aStepNobodyShowsHasNoChance() {
        List<MatchRecord> records = List.of(match("m", "us", "scissor-sweep", "omoplata"));
        assertThat(chance(records, "lasso-sweep", "triangle")).isZero();
    }

    @Test
    void othersCountTheExchangesInWhichTheyGoOn() {
        FollowCounts counts = new FollowCounts();
        MatchFacts f = MatchFacts.of(
                match("m", "o", "lasso-sweep", "omoplata", "triangle", "lasso-sweep", "scissor-sweep"), LEXICON);
        counts.add(f.exchanges(Corner.A));
        assertThat(counts.begun("self lasso-sweep")).isEqualTo(1);
        assertThat(counts.followed("self lasso-sweep", "self triangle")).isEqualTo(1);
        assertThat(counts.followed("self lasso-sweep", "self scissor-sweep")).isEqualTo(1);
        assertThat(counts.followed("self omoplata", "self scissor-sweep"))
                .as("three steps on")
                .isZero();
        assertThat(counts.begun("self armbar")).isZero();
    }

    @Test
    void theAverageLeavesTheAthleteOut() {
        List<MatchRecord> records = new ArrayList<>();
        for (int m = 0; m < 4; m++) {
            records.add(match("u" + m, "us", "lasso-sweep", "triangle"));
            records.add(match("o" + m, "other", "lasso-sweep", m == 0 ? "triangle" : "omoplata"));
        }
        Baseline b = Baseline.of(LibraryIndex.of(records, LEXICON), Filter.ALL);
        assertThat(b.follows("self lasso-sweep", "self triangle", "us").n()).isEqualTo(4);
        assertThat(b.follows("self lasso-sweep", "self triangle", "us").x()).isEqualTo(1);
        assertThat(b.follows("self lasso-sweep", "self triangle", "somebody").x())
                .isEqualTo(5);
    }
}
