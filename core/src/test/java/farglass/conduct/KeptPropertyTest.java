package farglass.conduct;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.simulate.DemoLibrary;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What must hold of every clause over the demo's matches. */
class KeptPropertyTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final List<MatchRecord> MATCHES = DemoLibrary.matches(LEXICON, DemoLibrary.SEED);
    private static final String US = "ansa-kellivar";

    private static Compliance kept(String clause) {
        return Compliance.of(ClauseReader.read(clause, LEXICON).measure(), MATCHES, US, LEXICON);
    }

    private static List<MatchRecord> ours() {
        return MATCHES.stream().filter(r -> r.cornerOf(US).isPresent()).toList();
    }

    @Test
    void aLongerWindowIsKeptAtLeastAsOften() {
        double before = -1;
        for (int seconds : new int[] {2, 5, 10, 30, 60}) {
            Compliance k = kept("collar grip within " + seconds + " s of every restart");
            assertThat(k.met()).isGreaterThanOrEqualTo((int) before);
            before = k.met();
        }
        assertThat(before).isPositive();
    }

    @ParameterizedTest
    @ValueSource(strings = {"our half guard", "their closed guard", "our side control"})
    void aLongerLimitIsBrokenAtMostAsOften(String place) {
        int before = Integer.MAX_VALUE;
        for (int seconds : new int[] {5, 10, 20, 60, 300}) {
            Compliance k = kept(place + " at most " + seconds + " s at a time");
            int broken = k.of() - k.met();
            assertThat(broken).as(place + " " + seconds).isLessThanOrEqualTo(before);
            before = broken;
        }
    }

    @Test
    void withAndWithoutAreOpposites() {
        Compliance with = kept("no pass with their sleeve grip");
        Compliance without = kept("no pass without their sleeve grip");
        assertThat(with.of()).isEqualTo(without.of()).isPositive();
        assertThat(with.met() + without.met()).isEqualTo(with.of());
        assertThat(with.untold()).isEqualTo(without.untold());
    }

    @Test
    void atLeastAndAtMostShareOutTheMatches() {
        for (int n = 0; n < 6; n++) {
            Compliance more = kept("at least " + (n + 1) + " passes");
            Compliance less = kept("at most " + n + " passes");
            assertThat(more.met() + less.met()).isEqualTo(ours().size());
            assertThat(more.of()).isEqualTo(ours().size());
        }
    }

    @Test
    void howManyAgreesWithACountByHand() {
        int matches = 0;
        for (MatchRecord r : ours()) {
            Corner us = r.cornerOf(US).orElseThrow();
            long cuts = r.tags().stream()
                    .filter(t -> t instanceof Tag.Action a
                            && a.by() == us
                            && a.technique().equals("knee-cut"))
                    .count();
            matches += cuts >= 2 ? 1 : 0;
        }
        assertThat(kept("at least 2 knee cuts").met()).isEqualTo(matches);
    }

    @Test
    void everyOccasionCitesATagOfItsMatch() {
        for (String clause : List.of(
                "collar grip within 10 s of every restart",
                "their closed guard at most 20 s",
                "no pass with their sleeve grip",
                "at least 1 takedown")) {
            Compliance k = kept(clause);
            assertThat(k.trials()).isNotEmpty();
            k.trials().forEach(t -> {
                MatchRecord r = MATCHES.stream()
                        .filter(m -> m.id().equals(t.tag().match()))
                        .findFirst()
                        .orElseThrow();
                assertThat(r.tagName(t.index())).isEqualTo(t.tag().tag());
                assertThat(t.t()).isBetween(farglass.time.MatchTime.ZERO, r.end());
            });
            assertThat(k.share().lo()).isLessThanOrEqualTo(k.share().hi());
        }
    }
}
