package farglass.tendency;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Tag;
import farglass.match.TagInfo;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ChainMemoryTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();

    private static Tag.Action changed(Tag.Action a, int how) {
        return switch (how) {
            case 0 -> a.result(a.completed() ? Outcome.STUFFED : Outcome.COMPLETED, 1, null, null);
            case 1 -> a.with(new TagInfo("renamed", null, 0.3, null, Map.of()));
            case 2 -> Tag.Action.of(a.t(), a.by().other(), a.technique());
            default -> Tag.Action.of(a.t(), a.by(), "guard-pull");
        };
    }

    private static MatchRecord changed(MatchRecord r, Random random) {
        List<Tag> tags = new ArrayList<>(r.tags());
        int i = random.nextInt(tags.size());
        while (!(tags.get(i) instanceof Tag.Action)) {
            i = (i + 1) % tags.size();
        }
        int how = random.nextInt(5);
        if (how == 4) {
            tags.remove(i);
        } else {
            tags.set(i, changed((Tag.Action) tags.get(i), how));
        }
        return r.withTags(tags);
    }

    private static List<Chain> chains(LibraryIndex index, Evidence of) {
        return Chains.of(Evidence.of(index, of.athlete(), of.filter()), 7);
    }

    @Test
    void whatIsRememberedIsWhatAFreshSearchFinds() {
        Evidence first = ChainsTest.library(40, 0.4, 3);
        List<MatchRecord> records = new ArrayList<>(
                first.matches().stream().map(Evidence.Seen::record).toList());
        LibraryIndex index = first.index();
        List<Chain> before = chains(index, first);
        Random random = new Random(5);
        int moved = 0;
        for (int round = 0; round < 30; round++) {
            int at = random.nextInt(records.size());
            records.set(at, changed(records.get(at), random));
            index = index.with(records);
            List<Chain> now = chains(index, first);
            assertThat(now).isNotEmpty().isEqualTo(chains(LibraryIndex.of(records, LEXICON), first));
            moved += now.equals(before) ? 0 : 1;
            before = now;
        }
        assertThat(moved).isBetween(5, 29);
    }

    @Test
    void aSearchStandsWhileTheStepsAreTheSame() {
        ChainMemory memory = new ChainMemory();
        List<Exchanges.Exchange> exchanges = Exchanges.of(ChainsTest.library(6, 1, 1));
        List<Exchanges.Exchange> alike = Exchanges.of(ChainsTest.library(6, 1, 1));
        List<Exchanges.Exchange> other = Exchanges.of(ChainsTest.library(6, 1, 2));
        ChainMemory.Asked asked = new ChainMemory.Asked("us", Filter.ALL, 1);
        Chains.Found found = found(exchanges);
        assertThat(memory.of(asked, exchanges, () -> found)).isSameAs(found);
        assertThat(memory.of(asked, alike, () -> found(alike))).isSameAs(found);
        assertThat(memory.of(new ChainMemory.Asked("us", Filter.ALL, 2), alike, () -> found(alike)))
                .as("another seed")
                .isNotSameAs(found);
        assertThat(memory.of(asked, alike.subList(1, alike.size()), () -> found(alike)))
                .as("an exchange less")
                .isNotSameAs(found);
        Chains.Found second = found(other);
        assertThat(memory.of(asked, other, () -> second)).isSameAs(second);
        for (int seed = 10; seed < 18; seed++) {
            memory.of(new ChainMemory.Asked("us", Filter.ALL, seed), other, () -> found(other));
        }
        assertThat(memory.of(asked, other, () -> found(other)))
                .as("long not asked for")
                .isNotSameAs(second);
    }

    private static Chains.Found found(List<Exchanges.Exchange> exchanges) {
        return new Chains.Found(exchanges, new int[0][], List.of());
    }
}
