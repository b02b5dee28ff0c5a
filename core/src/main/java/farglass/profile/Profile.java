package farglass.profile;

import static java.util.Objects.requireNonNull;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.stats.Grade;
import farglass.tendency.Baseline;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;

/**
 * What an athlete does: a page for every question, and all that is worth saying as ranked claims.
 *
 * @param athlete id
 * @param name displayed name
 * @param evidence what it rests on
 * @param pages one per question asked
 * @param claims worth saying on their own, strongest evidence first, thin ones last; no two say the same
 */
public record Profile(
        String athlete, String name, Evidence evidence, Map<Question, ClaimPage> pages, List<Claim> claims) {
    /**
     * Grade, then by how far the athlete departs from the library's average, then the question's order and use. Thin
     * claims never stand above others.
     */
    static final Comparator<Claim> ORDER = Comparator.comparing(
                    (Claim c) -> c.estimate().grade())
            .thenComparing(Comparator.comparingDouble(Claim::departure).reversed())
            .thenComparing(Claim::topic)
            .thenComparing(Comparator.comparingDouble((Claim c) -> c.topic() == Claim.Topic.TECHNIQUE
                            ? c.estimate().n()
                            : c.estimate().mean())
                    .reversed())
            .thenComparing(Claim::id);

    private static final Set<Claim.Topic> ALWAYS = Set.of(
            Claim.Topic.OPENING,
            Claim.Topic.PLACE,
            Claim.Topic.GUARD,
            Claim.Topic.HOLD,
            Claim.Topic.SIDE,
            Claim.Topic.TECHNIQUE,
            Claim.Topic.FINISH,
            Claim.Topic.DILEMMA,
            Claim.Topic.CHAIN,
            Claim.Topic.PREFERENCE,
            Claim.Topic.NOT_SEEN);
    /** A reaction is worth saying when it is what usually happens. */
    private static final double USUAL = 0.4;

    private static final List<Question> LONGEST_FIRST = longestFirst();

    private static List<Question> longestFirst() {
        List<Question> order = new ArrayList<>(
                List.of(Question.CHAINS, Question.REACTIONS, Question.GUARDS, Question.THEN_AND_NOW, Question.WHEN));
        Arrays.stream(Question.values()).filter(x -> !order.contains(x)).forEach(order::add);
        return List.copyOf(order);
    }

    public Profile {
        claims = List.copyOf(claims);
        pages = Map.copyOf(pages);
    }

    /**
     * @param records the whole library: other athletes' matches give the baseline
     * @param seed seed of the bootstrap checks and simulated libraries
     */
    public static Profile of(List<MatchRecord> records, String athlete, Filter filter, Lexicon lexicon, long seed) {
        return of(LibraryIndex.of(records, lexicon), athlete, filter, seed);
    }

    /** Works out all pages; takes up to seconds on a large library. The seed is that of the intervals. */
    public static Profile of(LibraryIndex index, String athlete, Filter filter, long seed) {
        ClaimFactory q = inquiry(index, athlete, filter, seed);
        Map<Question, ClaimPage> pages = new EnumMap<>(Question.class);
        for (ClaimPage p : together(q)) {
            pages.put(p.question(), p);
        }
        return new Profile(athlete, index.name(athlete), q.evidence(), pages, worthSaying(List.copyOf(pages.values())));
    }

    /** All pages, the longest work first, each taken up by whichever core is free. */
    private static ClaimPage[] together(ClaimFactory q) {
        ClaimPage[] made = new ClaimPage[LONGEST_FIRST.size()];
        AtomicInteger next = new AtomicInteger();
        IntStream.range(0, Runtime.getRuntime().availableProcessors())
                .parallel()
                .forEach(core -> {
                    for (int i = next.getAndIncrement(); i < made.length; i = next.getAndIncrement()) {
                        made[i] = page(LONGEST_FIRST.get(i), q);
                    }
                });
        return made;
    }

    /** One page alone: what an open page needs when a tag has changed. */
    public static ClaimPage page(LibraryIndex index, String athlete, Filter filter, long seed, Question question) {
        return page(question, inquiry(index, athlete, filter, seed));
    }

    static ClaimFactory inquiry(LibraryIndex index, String athlete, Filter filter, long seed) {
        return new ClaimFactory(
                Evidence.of(index, athlete, filter), Baseline.of(index, filter), index.name(athlete), seed);
    }

    private static List<Claim> worthSaying(List<ClaimPage> pages) {
        List<Claim> candidates = new ArrayList<>();
        for (ClaimPage p : pages) {
            p.claims().stream().filter(Profile::worth).forEach(candidates::add);
        }
        candidates.sort(ORDER);
        List<Claim> claims = new ArrayList<>();
        for (Claim c : candidates) {
            boolean said = !c.trials().isEmpty() && claims.stream().anyMatch(c::saysTheSameAs);
            if (!said && claims.stream().noneMatch(o -> o.id().equals(c.id()))) {
                claims.add(c);
            }
        }
        return claims;
    }

    private static boolean worth(Claim c) {
        if (c.remarks().prominence() != Claim.Prominence.HEADLINE) {
            return false;
        }
        if (c.template().endsWith(".none")) {
            return c.departure() > 0;
        }
        return switch (c.unit()) {
            case DIFFERENCE -> c.departure() > 0;
            case PER_TEN_MINUTES -> c.topic() == Claim.Topic.RATE && c.departure() > 0;
            default ->
                ALWAYS.contains(c.topic())
                        || (c.topic() == Claim.Topic.REACTION
                                && c.estimate().grade() != Grade.THIN
                                && c.estimate().mean() >= USUAL)
                        || (c.topic() == Claim.Topic.PATIENCE && c.estimate().grade() != Grade.THIN);
        };
    }

    /** One page. */
    public ClaimPage page(Question question) {
        return requireNonNull(pages.get(question));
    }

    /** Claims of a grade, in their order. */
    public List<Claim> graded(Grade grade) {
        return claims.stream().filter(c -> c.estimate().grade() == grade).toList();
    }

    private static ClaimPage page(Question question, ClaimFactory q) {
        return switch (question) {
            case GUARDS -> GuardsPage.of(q);
            case PASSING -> PassingPage.of(q);
            case TAKEDOWNS -> TakedownsPage.of(q);
            case FINISHES -> FinishesPage.of(q);
            case REACTIONS -> ReactionsPage.of(q);
            case CHAINS -> ChainsPage.of(q);
            case WHEN -> WhenPage.of(q);
            case ERRORS -> ErrorsPage.of(q);
            case THEN_AND_NOW -> ThenAndNowPage.of(q);
            case NOT_SEEN -> NotSeenPage.of(q);
            case MATTERS -> MattersPage.of(q);
            case PATIENCE -> PatiencePage.of(q);
            case SAYS -> SaysPage.of(q);
        };
    }
}
