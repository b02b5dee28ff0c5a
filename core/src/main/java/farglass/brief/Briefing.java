package farglass.brief;

import farglass.conduct.Clause;
import farglass.conduct.EventPattern;
import farglass.conduct.Occurrence;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.matchup.gameplan.GamePage;
import farglass.plan.Brief;
import farglass.plan.Fork;
import farglass.plan.PinnedClaim;
import farglass.plan.Plan;
import farglass.profile.Claim;
import farglass.profile.Profile;
import farglass.scout.GameFigure;
import farglass.scout.GameFigures;
import farglass.scout.ScoutingReport;
import farglass.stats.TagRef;
import farglass.stats.Trial;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import farglass.text.Language;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.ResourceBundle;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The slides of a briefing: what it is about; the opponent, the dangers and the openings out of the report; then, in
 * the order of the plan, the game plan and every fork with the claims it rests on, the claims that no fork uses,
 * conduct and notes.
 */
public final class Briefing {
    /** Moments shown of one slide. */
    private static final int MOMENTS = 3;

    private static final long SEED = 1;

    private final Plan plan;
    private final @Nullable ScoutingReport report;
    private final @Nullable GamePage page;
    private final LibraryIndex index;
    private final Map<String, String> names;
    private final ResourceBundle words;
    private final Set<String> told = new LinkedHashSet<>();
    /** Whose claims, counted in which matches: a claim pinned in no-gi plays no-gi film. */
    private record Counted(String athlete, Filter filter) {}

    private final Map<Counted, List<Claim>> claims = new HashMap<>();
    private final List<Slide> slides = new ArrayList<>();

    private Briefing(
            Plan plan,
            @Nullable ScoutingReport report,
            @Nullable GamePage page,
            LibraryIndex index,
            Map<String, String> names) {
        this.plan = plan;
        this.report = report;
        this.page = page;
        this.index = index;
        this.names = names;
        this.words = ResourceBundle.getBundle("farglass.brief.Brief", Language.locale());
    }

    /**
     * @param report what is known of the opponent; null for a briefing of the plan alone
     * @param page the game plan; null where it is not worked out
     * @param occasion event, date and rules in words
     * @param names displayed names of athletes by id
     * @return all slides in their order, those left out among them
     */
    public static List<Slide> of(
            Plan plan,
            @Nullable ScoutingReport report,
            @Nullable GamePage page,
            LibraryIndex index,
            Map<String, String> names,
            String occasion) {
        return new Briefing(plan, report, page, index, names).slides(occasion);
    }

    private List<Slide> slides(String occasion) {
        Brief b = plan.brief();
        String them = names.getOrDefault(plan.them(), plan.them());
        add(
                "title",
                Slide.Kind.TITLE,
                "",
                b.nameless() ? words.getString("opponent.title") : them,
                b.nameless() ? List.of() : List.of(occasion),
                List.of());
        if (report != null && report.matches() > 0) {
            ReportSlides known = new ReportSlides(report, plan.report());
            add("report", known.athlete());
            game();
            add("dangers", known.dangers());
            add("openings", known.openings());
        }
        PlanSlides told = page == null ? null : new PlanSlides(page);
        if (told != null) {
            told.all().forEach(this::add);
        }
        for (Fork f : plan.openings()) {
            if (told == null || !says(told, f)) {
                fork(f);
            }
        }
        for (PinnedClaim c : plan.pinned()) {
            claim(c);
        }
        if (!plan.clauses().isEmpty()) {
            add(
                    "conduct",
                    Slide.Kind.CONDUCT,
                    words.getString("conduct"),
                    words.getString("conduct.text"),
                    plan.clauses().stream().map(Clause::text).toList(),
                    List.of());
        }
        if (!plan.remarks().isBlank()) {
            add("notes", Slide.Kind.NOTES, words.getString("notes"), plan.remarks(), List.of(), List.of());
        }
        List<Slide> ordered = new ArrayList<>(slides);
        ordered.sort(Comparator.comparingInt(s -> place(b, s)));
        return List.copyOf(ordered);
    }

    private int place(Brief b, Slide s) {
        int at = b.order().indexOf(s.id());
        return at < 0 ? b.order().size() + slides.indexOf(s) : at;
    }

    private void add(
            String id, Slide.Kind kind, String heading, String text, List<String> points, List<TagRef> moments) {
        Brief b = plan.brief();
        slides.add(new Slide(
                id,
                kind,
                heading,
                nameless(text),
                points.stream().map(this::nameless).toList(),
                b.notes().getOrDefault(id, ""),
                moments,
                b.hidden().contains(id)));
    }

    private void add(String id, ReportSlides.Told told) {
        if (!told.sentences().isEmpty()) {
            add(
                    id,
                    Slide.Kind.REPORT,
                    words.getString(id),
                    told.sentences().get(0),
                    told.sentences().subList(1, told.sentences().size()),
                    told.moments().stream()
                            .filter(t -> filmed(t.match()))
                            .limit(MOMENTS)
                            .toList());
        }
    }

    private void add(PlanSlides.Told told) {
        add(
                told.id(),
                Slide.Kind.PLAN,
                words.getString(told.heading()),
                told.text(),
                told.points(),
                told.tags().stream()
                        .filter(t -> filmed(t.match()))
                        .limit(MOMENTS)
                        .toList());
    }

    /** Whether a fork says no more than a decision of the page. */
    private static boolean says(PlanSlides told, Fork f) {
        return f.next().isEmpty()
                && f.claims().isEmpty()
                && told.decisions().stream().anyMatch(l -> l.text().equalsIgnoreCase(f.text() + "."));
    }

    /** The opponent's game drawn, where there is one. */
    private void game() {
        GameFigure figure = GameFigures.of(Evidence.of(index, plan.them(), Filter.ALL));
        if (!figure.links().isEmpty()) {
            String id = "game";
            Brief b = plan.brief();
            slides.add(new Slide(
                    id,
                    Slide.Kind.REPORT,
                    words.getString(id),
                    words.getString("game.text"),
                    List.of(words.getString("game.legend")),
                    b.notes().getOrDefault(id, ""),
                    List.of(),
                    b.hidden().contains(id),
                    figure));
        }
    }

    /** Without the names of the two, where the user wants it so. */
    private String nameless(String text) {
        if (!plan.brief().nameless()) {
            return text;
        }
        String said = text;
        for (String id : List.of(plan.us(), plan.them())) {
            String whole = names.getOrDefault(id, id);
            String word = words.getString(id.equals(plan.us()) ? "us" : "opponent");
            said = said.replace(whole, word);
            for (String part : whole.split(" ")) {
                said = said.replaceAll("\\b" + java.util.regex.Pattern.quote(part) + "\\b", word);
            }
        }
        return said;
    }

    private void fork(Fork f) {
        List<String> points = new ArrayList<>();
        if (!f.note().isBlank()) {
            points.addAll(List.of(f.note().split("\n")));
        }
        f.next().forEach(n -> points.add(words.getString(n.ours() ? "then" : "answer") + " " + n.text()));
        add(
                "fork:" + f.id(),
                Slide.Kind.FORK,
                words.getString(f.ours() ? "fork.ours" : "fork.theirs"),
                f.text(),
                points,
                moments(f));
        f.claims().forEach(this::claim);
        f.next().forEach(this::fork);
    }

    private void claim(PinnedClaim c) {
        String id = "claim:" + c.athlete() + "/" + c.claim();
        if (!told.add(id)) {
            return;
        }
        String sentence = plan.judgement(c.athlete(), c.claim()).wording();
        add(
                id,
                Slide.Kind.CLAIM,
                words.getString("claim"),
                sentence.isEmpty() ? c.sentence() : sentence,
                List.of(c.counts() + ", " + c.grade().name().toLowerCase(Locale.ROOT)),
                moments(c));
    }

    /** Of the newest film first, what worked before what did not. */
    private List<TagRef> moments(PinnedClaim c) {
        List<Claim> all = claims.computeIfAbsent(
                new Counted(c.athlete(), c.filter()),
                k -> Profile.of(index, k.athlete(), k.filter(), SEED).claims());
        return all.stream()
                .filter(x -> x.id().equals(c.claim()))
                .findFirst()
                .map(x -> x.trials().stream()
                        .filter(t -> filmed(t.tag().match()))
                        .sorted(Comparator.comparing((Trial t) -> !t.worked())
                                .thenComparing(t -> date(t.tag().match()), Comparator.reverseOrder()))
                        .limit(MOMENTS)
                        .map(Trial::tag)
                        .toList())
                .orElse(List.of());
    }

    /** Where the one who acts has done on film what the fork names. */
    private List<TagRef> moments(Fork f) {
        EventPattern s = Occurrence.named(f.text(), f.ours(), index.lexicon()).orElse(null);
        List<TagRef> found = new ArrayList<>();
        if (s == null || s.kind() == EventPattern.Kind.PLACE) {
            return found;
        }
        String who = f.ours() ? plan.us() : plan.them();
        List<MatchRecord> records = index.records(who).stream()
                .filter(r -> filmed(r.id()))
                .sorted(Comparator.comparing((MatchRecord r) -> date(r.id())).reversed())
                .toList();
        for (MatchRecord r : records) {
            Corner me = r.cornerOf(who).orElseThrow();
            List<Occurrence> seen = new ArrayList<>(Occurrence.of(s, r, f.ours() ? me : me.other(), index.lexicon()));
            seen.sort(Comparator.comparing(o -> !(r.tags().get(o.tag()) instanceof Tag.Action a && a.completed())));
            seen.forEach(o -> found.add(new TagRef(r.id(), r.tagName(o.tag()))));
        }
        return found.stream().limit(MOMENTS).toList();
    }

    private @Nullable MatchRecord record(String match) {
        return index.record(match).orElse(null);
    }

    private boolean filmed(String match) {
        MatchRecord r = record(match);
        return r != null && !r.films().isEmpty();
    }

    private String date(String match) {
        MatchRecord r = record(match);
        return r == null ? "" : String.valueOf(r.details().date());
    }
}
