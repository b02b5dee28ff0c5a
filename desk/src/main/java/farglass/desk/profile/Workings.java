package farglass.desk.profile;

import farglass.ask.Asked;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.plan.OwnClaim;
import farglass.plan.Plan;
import farglass.profile.Answer;
import farglass.profile.Claim;
import farglass.profile.Comparison;
import farglass.profile.OwnClaims;
import farglass.profile.Page;
import farglass.profile.Profile;
import farglass.profile.Question;
import farglass.profile.Report;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.Flows;
import farglass.tendency.LibraryIndex;
import java.util.List;

/**
 * What the station works out, off the interface thread: one index follows the records, so that a changed tag costs one record
 * and the page in sight.
 */
final class Workings {
    private static final long SEED = 1;
    /** Claims that a page shows at first. */
    private static final int IN_SIGHT = 12;

    private final Lexicon lexicon;
    private LibraryIndex index;

    Workings(Lexicon lexicon) {
        this.lexicon = lexicon;
        this.index = LibraryIndex.empty(lexicon);
    }

    private synchronized LibraryIndex index(List<MatchRecord> records) {
        index = index.with(records);
        return index;
    }

    Evidence evidence(List<MatchRecord> records, String who, Filter filter) {
        return Evidence.of(index(records), who, filter);
    }

    Profile profile(List<MatchRecord> records, String who, Filter filter) {
        Profile p = Profile.of(index(records), who, filter, SEED);
        check(p.claims());
        return p;
    }

    /** Draws what the first rows will say of their intervals, which would hold the interface up. */
    private static void check(List<Claim> claims) {
        claims.stream().limit(IN_SIGHT).forEach(c -> c.estimate().check());
    }

    Page page(List<MatchRecord> records, String who, Filter filter, Question question) {
        Page page = Profile.page(index(records), who, filter, SEED, question);
        check(page.claims());
        return page;
    }

    Flows flows(List<MatchRecord> records, String who, Filter filter) {
        return Flows.of(evidence(records, who, filter));
    }

    Answer answer(List<MatchRecord> records, String who, Asked asked) {
        Answer answer = Answer.of(index(records), who, asked, SEED);
        check(answer.claims());
        return answer;
    }

    Comparison comparison(List<MatchRecord> records, String a, Filter ofA, String b, Filter ofB) {
        LibraryIndex all = index(records);
        return Comparison.of(Profile.of(all, a, ofA, SEED), Profile.of(all, b, ofB, SEED));
    }

    Report report(List<MatchRecord> records, String who, Filter filter) {
        return Report.of(index(records), who, filter);
    }

    /** The analyst's own claims about an athlete; {@code plan} may be null. */
    static List<Claim> own(Evidence evidence, String who, Plan plan) {
        if (plan == null) {
            return List.of();
        }
        return plan.own().stream()
                .filter(c -> c.athlete().equals(who))
                .map((OwnClaim c) -> OwnClaims.of(evidence, c.id(), c.sentence(), c.tags()))
                .toList();
    }
}
