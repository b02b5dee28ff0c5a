package farglass.profile;

import static farglass.match.Records.at;
import static farglass.match.Records.does;
import static farglass.match.Records.end;
import static farglass.match.Records.guard;
import static farglass.match.Records.named;
import static farglass.match.Records.s;
import static farglass.match.Records.start;
import static farglass.match.Records.tries;
import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.tendency.Filter;
import farglass.time.MatchTime;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What held when an attack began: grips and body facts, until they end or the position changes. */
class MattersTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final Filter PLAIN = new Filter(null, null, null, null, null, null, false);

    private static Tag.Grip grip(double at, Corner by, String grip, MatchTime until) {
        return new Tag.Grip(s(at), by, grip, Side.RIGHT, "deep", until, null, TagInfo.NONE);
    }

    /**
     * The collar is held when the first cut begins, and lost with the guard's change before the second; the sleeve is
     * held by its time through that change until before the third; the other's grip is not one's own.
     */
    private static MatchRecord match(int i) {
        return named(
                "m" + i,
                LocalDate.of(2030, 1, 1).plusDays(i),
                "us",
                "them" + i,
                start(),
                at(0, "STD"),
                guard(10, "CLG", Corner.B),
                grip(12, Corner.A, "collar-same", null),
                grip(13, Corner.A, "sleeve-same", s(35)),
                grip(14, Corner.B, "lapel", null),
                new Tag.Body(s(15), Corner.B, "hips-turned", null, null, TagInfo.NONE),
                does(20, Corner.A, "knee-cut", "HGD"),
                guard(25, "OPN", Corner.B),
                tries(30, Corner.A, "knee-cut"),
                tries(40, Corner.A, "knee-cut"),
                end(60));
    }

    private static List<Claim> claims() {
        List<MatchRecord> records = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            records.add(match(i));
        }
        Profile p = Profile.of(records, "us", PLAIN, LEXICON, 1);
        List<Claim> all = new ArrayList<>();
        p.page(Question.MATTERS).sections().forEach(section -> all.addAll(section.claims()));
        return all;
    }

    private static Claim claim(String id) {
        return claims().stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
    }

    /** The claim's words end with the successes and tries with it, and without it. */
    private static List<String> counts(Claim c) {
        List<String> words = c.args();
        int n = words.size();
        return List.of(words.get(n - 5), words.get(n - 4), words.get(n - 2), words.get(n - 1));
    }

    @Test
    void aGripWithoutAnEndIsLostWithTheChangeOfPosition() {
        assertThat(counts(claim("matters.grip.collar-same.pass"))).containsExactly("6", "6", "0", "12");
    }

    @Test
    void aGripWithAnEndIsHeldUntilThen() {
        assertThat(counts(claim("matters.grip.sleeve-same.pass"))).containsExactly("6", "12", "0", "6");
    }

    @Test
    void theOthersGripIsNotOnesOwn() {
        assertThat(claims()).extracting(Claim::id).noneMatch(id -> id.contains("lapel"));
        // the third cut begins with no own grip at all
        assertThat(counts(claim("matters.prepared.pass"))).containsExactly("6", "12", "0", "6");
    }

    @Test
    void aBodyFactOfTheOtherHoldsUntilThePositionChanges() {
        assertThat(counts(claim("matters.fact.other.hips-turned.pass"))).containsExactly("6", "6", "0", "12");
    }

    @Test
    void theFirstTryIsToldFromLaterOnes() {
        assertThat(counts(claim("matters.again.pass"))).containsExactly("0", "12", "6", "6");
    }
}
