package farglass.lexicon;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import farglass.check.SecondPass;
import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.Records;
import farglass.match.Tag;
import farglass.match.TermMerge;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class OwnTermsTest {
    private static final Lexicon BUILT_IN = Lexicon.builtIn();

    private static Technique cut() {
        return BUILT_IN.technique("knee-cut").orElseThrow();
    }

    private static Term aliased(Term t, String alias) {
        List<String> aliases = new ArrayList<>(t.aliases());
        aliases.add(alias);
        return Renamed.of(t, t.name(), aliases);
    }

    @Test
    void aHouseWordIsUnderstoodAndSurvivesARoundTrip() {
        OwnTerms own = OwnTerms.NONE
                .with(aliased(cut(), "the zipper"))
                .with(Renamed.valued(BUILT_IN.position("SDC").orElseThrow(), 0.7))
                .checking("knee-cut", List.of("head-low", "far-underhook"));
        OwnTerms again = OwnTerms.read(own.write());
        assertThat(again).isEqualTo(own);
        Lexicon l = again.in(BUILT_IN);
        assertThat(l.lookUp("The  Zipper")).extracting(Term::code).containsExactly("knee-cut");
        assertThat(l.position("SDC").orElseThrow().value()).isEqualTo(0.7);
        assertThat(l.checkpoints("knee-cut")).containsExactly("head-low", "far-underhook");
        assertThat(BUILT_IN.lookUp("the zipper")).isEmpty();
        assertThat(own.with(aliased(cut(), "other")).techniques()).hasSize(1);
    }

    @Test
    void namesAreShownInAnotherLanguageAndTheOldOnesStillTyped() {
        Lexicon pt = OwnTerms.NONE.shown("pt").in(BUILT_IN);
        Position side = pt.position("SDC").orElseThrow();
        assertThat(side.name())
                .isEqualTo(BUILT_IN.position("SDC").orElseThrow().names().get("pt"));
        assertThat(pt.lookUp("side control")).extracting(Term::code).contains("SDC");
        assertThat(pt.positions()).hasSameSizeAs(BUILT_IN.positions());
    }

    @Test
    void whatContradictsTheLexiconIsRefused() {
        OwnTerms stolen = OwnTerms.NONE.with(aliased(cut(), "toreando"));
        assertThatThrownBy(() -> stolen.with(aliased(
                                cut(),
                                BUILT_IN.technique("leg-drag")
                                        .orElseThrow()
                                        .aliases()
                                        .get(0)))
                        .in(BUILT_IN))
                .isInstanceOf(LexiconException.class);
        assertThatThrownBy(() -> OwnTerms.NONE.checking("knee-cut", List.of("Head Low")))
                .isInstanceOf(LexiconException.class);
        assertThatThrownBy(() -> OwnTerms.read("{\"techniques\": 3}")).isInstanceOf(LexiconException.class);
    }

    @Test
    void mergingTwoTermsRewritesTagsAndCanBeTakenBack() {
        MatchRecord r = Records.of(
                Records.start(),
                Records.guard(1, "SPD", Corner.A),
                Records.tries(2, Corner.B, "x-pass"),
                Records.does(3, Corner.B, "toreando", "SDC"),
                Records.end(9));
        Edit edit = TermMerge.edit(r, "x-pass", "toreando").orElseThrow();
        MatchRecord after = edit.apply(r);
        assertThat(after.tags().stream()
                        .filter(t -> t instanceof Tag.Action a && a.technique().equals("toreando")))
                .hasSize(2);
        assertThat(edit.inverse().apply(after)).isEqualTo(r);
        assertThat(TermMerge.edit(r, "knee-cut", "toreando")).isEmpty();
        MatchRecord places = TermMerge.edit(r, "SPD", "LAS").orElseThrow().apply(r);
        assertThat(((Tag.Position) places.tags().get(1)).position()).isEqualTo("LAS");
    }

    @Test
    void theSecondPassAsksForCheckpoints() {
        Lexicon l = OwnTerms.NONE.checking("knee-cut", List.of("head-low")).in(BUILT_IN);
        Tag.Action cut = Records.tries(2, Corner.B, "knee-cut")
                .sided(farglass.match.Side.LEFT)
                .answered("frame");
        MatchRecord r = Records.of(Records.start(), Records.guard(1, "SPD", Corner.A), cut, Records.end(9));
        SecondPass.Question q = SecondPass.of(r, 2, l).orElseThrow();
        assertThat(q.asks()).isEqualTo(SecondPass.Asks.CHECKPOINT);
        MatchRecord met = Edit.replace(r, 2, q.choices().get(0).tag()).apply(r);
        assertThat(((Tag.Action) met.tags().get(2)).checks()).containsEntry("head-low", true);
        assertThat(SecondPass.of(met, 2, l)).isEmpty();
    }
}
