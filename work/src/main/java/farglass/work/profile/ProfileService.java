package farglass.work.profile;

import farglass.ask.Asked;
import farglass.matchup.advise.Meeting;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.SolverSettings;
import farglass.plan.OwnClaim;
import farglass.plan.Plan;
import farglass.profile.Answer;
import farglass.profile.Claim;
import farglass.profile.ClaimPage;
import farglass.profile.Comparison;
import farglass.profile.OwnClaims;
import farglass.profile.Profile;
import farglass.profile.Question;
import farglass.profile.Report;
import farglass.scout.GameFigure;
import farglass.scout.GameFigures;
import farglass.scout.MeetingStakes;
import farglass.scout.ScoutingReport;
import farglass.scout.Stakes;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.Flows;
import farglass.tendency.LibraryIndex;
import farglass.work.meeting.MeetingService;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What is told of an athlete, by the matches as they are when it is asked. May be called from any thread; takes
 * milliseconds to seconds.
 */
public final class ProfileService {
    private static final long SEED = 1;
    /** Pages that tell sides, in the order of a match. */
    private static final List<Question> SIDED =
            List.of(Question.TAKEDOWNS, Question.GUARDS, Question.PASSING, Question.FINISHES);
    /** Claims that a page shows at first. */
    private static final int IN_SIGHT = 12;

    private final Supplier<LibraryIndex> index;
    /** The profile that was worked out last, or null. */
    private volatile @Nullable Profile last;

    /** @param index facts of all matches, asked anew each time */
    public ProfileService(Supplier<LibraryIndex> index) {
        this.index = index;
    }

    /** What counts of an athlete under a filter. */
    public Evidence evidence(String who, Filter filter) {
        return Evidence.of(index.get(), who, filter);
    }

    /** All pages; those that were asked for last stand as long as no match changes. */
    public Profile profile(String who, Filter filter) {
        LibraryIndex all = index.get();
        Profile known = last;
        if (known != null && known.evidence().index() == all && isOf(known, who, filter)) {
            return known;
        }
        Profile p = Profile.of(all, who, filter, SEED);
        check(p.claims());
        last = p;
        return p;
    }

    private static boolean isOf(Profile p, String who, Filter filter) {
        return p.athlete().equals(who) && p.evidence().filter().equals(filter);
    }

    /** Draws what the first rows will say of their intervals, which would hold the interface up. */
    private static void check(List<Claim> claims) {
        claims.stream().limit(IN_SIGHT).forEach(c -> c.estimate().check());
    }

    /**
     * What a coach wants to know of an athlete: against our own, when they are to meet, which takes some seconds; for
     * nobody in particular without a meeting, and with too little film of either.
     *
     * @param them all pages of the athlete
     */
    public static ScoutingReport scouting(Profile them, Optional<MeetingService.Ask> meeting) {
        return ScoutingReport.of(
                them, meeting.map(ask -> stakes(them.evidence().index(), ask)).orElse(Stakes.NONE));
    }

    /** The same of an athlete in all matches. */
    public static ScoutingReport scouting(LibraryIndex index, String who, Optional<MeetingService.Ask> meeting) {
        return scouting(Profile.of(index, who, Filter.ALL, SEED), meeting);
    }

    private static Stakes stakes(LibraryIndex all, MeetingService.Ask ask) {
        Meeting meeting = MeetingService.meeting(all, ask, SolverSettings.USUAL.coarse(), Constraints.NONE);
        if (!meeting.enough()) {
            return Stakes.NONE;
        }
        Profile ours = Profile.of(all, ask.us(), meeting.question().filter(), SEED);
        return MeetingStakes.of(ours, meeting.solve(meeting.glance()));
    }

    /** To which side every kind of attack begins. */
    public List<Claim> sides(String who, Filter filter) {
        LibraryIndex all = index.get();
        return SIDED.stream()
                .flatMap(q -> sides(Profile.page(all, who, filter, SEED, q)))
                .toList();
    }

    /** The same out of a profile. */
    public static Stream<Claim> sides(Profile profile) {
        return SIDED.stream().flatMap(q -> sides(profile.page(q)));
    }

    private static Stream<Claim> sides(ClaimPage page) {
        return page.claims().stream().filter(c -> c.topic() == Claim.Topic.SIDE && !c.id().startsWith("side.last."));
    }

    /** The game in one drawing. */
    public GameFigure game(String who, Filter filter) {
        return GameFigures.of(evidence(who, filter));
    }

    /** One page. */
    public ClaimPage page(String who, Filter filter, Question question) {
        ClaimPage page = Profile.page(index.get(), who, filter, SEED, question);
        check(page.claims());
        return page;
    }

    /** What the chart draws. */
    public Flows flows(String who, Filter filter) {
        return Flows.of(evidence(who, filter));
    }

    /** Answers a question in words. */
    public Answer answer(String who, Asked asked) {
        Answer answer = Answer.of(index.get(), who, asked, SEED);
        check(answer.claims());
        return answer;
    }

    /** Two athletes, or one under two filters, side by side. */
    public Comparison comparison(String a, Filter ofA, String b, Filter ofB) {
        LibraryIndex all = index.get();
        return Comparison.of(Profile.of(all, a, ofA, SEED), Profile.of(all, b, ofB, SEED));
    }

    /** The athlete's own faults, and where they were done right. */
    public Report report(String who, Filter filter) {
        return Report.of(index.get(), who, filter);
    }

    /** The analyst's own claims about an athlete; {@code plan} may be null. */
    public static List<Claim> own(Evidence evidence, String who, Plan plan) {
        if (plan == null) {
            return List.of();
        }
        return plan.own().stream()
                .filter(c -> c.athlete().equals(who))
                .map((OwnClaim c) -> OwnClaims.of(evidence, c.id(), c.sentence(), c.tags()))
                .toList();
    }
}
