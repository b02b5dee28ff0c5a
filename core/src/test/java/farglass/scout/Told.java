package farglass.scout;

import farglass.lexicon.Lexicon;
import farglass.profile.Claim;
import farglass.profile.ClaimPage;
import farglass.profile.Profile;
import farglass.profile.Question;
import farglass.profile.Section;
import farglass.stats.Estimate;
import farglass.stats.Grade;
import farglass.stats.TagRef;
import farglass.stats.Trial;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;

/** A profile of claims that a test says, and the report made of it. */
final class Told {
    static final double NONE = Double.NaN;
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final ReportWriter WRITER = new ReportWriter(Locale.ENGLISH);

    private final List<Claim> claims = new ArrayList<>();

    /** A share of {@code n} with its interval and what the others do. */
    Told share(String id, String template, int x, int n, double lo, double hi, double others, String... words) {
        return claim(id, template, Claim.Unit.SHARE, x, n, (double) x / n, lo, hi, others, Grade.FAIR, words);
    }

    Told time(String id, double share, double lo, double hi, double others, String... words) {
        return claim(
                id,
                id,
                Claim.Unit.TIME_SHARE,
                share * 6_000_000,
                6_000_000,
                share,
                lo,
                hi,
                others,
                Grade.STRONG,
                words);
    }

    Told rate(String id, int x, double minutes, double mean, double lo, double hi, double others, String... words) {
        return claim(id, id, Claim.Unit.PER_TEN_MINUTES, x, minutes * 60_000, mean, lo, hi, others, Grade.FAIR, words);
    }

    Told claim(
            String id,
            String template,
            Claim.Unit unit,
            double x,
            double n,
            double mean,
            double lo,
            double hi,
            double others,
            Grade grade,
            String... words) {
        List<String> args = new ArrayList<>(List.of("Tolendt"));
        args.addAll(List.of(words));
        List<Trial> trials = IntStream.range(0, (int) Math.min(n, 30))
                .mapToObj(i -> new Trial(new TagRef("m" + i, "t1"), 0, MatchTime.ofMs(1000L * i), i < x, 1, false))
                .toList();
        Estimate e = new Estimate(
                new Estimate.Observed(x, n, n == 0 ? NONE : x / n, 6, Math.min(n, 30)),
                mean,
                new Estimate.Interval(lo, hi),
                grade,
                new Estimate.Reference(others, "others"),
                null,
                trials.stream().map(Trial::tag).toList());
        claims.add(Claim.of(id, Claim.Topic.TECHNIQUE, template, args, unit, e, trials));
        return this;
    }

    /** The last claim as thin. */
    Told thin() {
        Claim c = claims.remove(claims.size() - 1);
        Estimate e = c.estimate();
        claims.add(Claim.of(
                c.id(),
                c.topic(),
                c.template(),
                c.args(),
                c.unit(),
                new Estimate(e.observed(), e.mean(), e.interval(), Grade.THIN, e.reference(), null, e.tags()),
                c.trials()));
        return this;
    }

    Profile profile() {
        Map<Question, ClaimPage> pages = new EnumMap<>(Question.class);
        for (Question q : Question.values()) {
            List<Claim> here = q == Question.GUARDS ? claims : List.of();
            pages.put(
                    q,
                    new ClaimPage(q, List.of(new Section("guard.which", List.of(), here, null, "guard.which.empty"))));
        }
        Evidence evidence = Evidence.of(LibraryIndex.empty(LEXICON), "brisa-tolendt", Filter.ALL);
        return new Profile("brisa-tolendt", "Brisa Tolendt", evidence, pages, claims);
    }

    Known known() {
        return new Known(profile());
    }

    /** Sentences in words. */
    static List<String> texts(List<Sentence> sentences) {
        return sentences.stream().map(WRITER::text).toList();
    }
}
