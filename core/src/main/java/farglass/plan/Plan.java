package farglass.plan;

import farglass.camp.Camp;
import farglass.conduct.Clause;
import farglass.matchup.gameplan.Call;
import farglass.stats.TagRef;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;

/**
 * A plan for one meeting.
 *
 * @param us id of our athlete
 * @param them id of the opponent
 * @param pinned claims laid by for use
 * @param openings first things we may do; each is the root of a tree of forks
 * @param remarks free text
 * @param judgements what is thought of claims, at most one per claim
 * @param own claims in own words
 * @param approach how it is computed, and what was forecast
 * @param clauses of conduct
 * @param saved earlier states laid by for comparison
 * @param camp how the plan is trained, and what training has shown
 * @param brief what the user changed about the briefing
 * @param report what the user changed about reports
 * @param calls the corner's own calls, which stand in place of the computed ones; empty for those
 */
public record Plan(
        String id,
        String title,
        String us,
        String them,
        List<PinnedClaim> pinned,
        List<Fork> openings,
        String remarks,
        List<Judgement> judgements,
        List<OwnClaim> own,
        Approach approach,
        List<Clause> clauses,
        List<Saved> saved,
        Camp camp,
        Brief brief,
        ReportEdits report,
        List<Call> calls) {
    public Plan {
        calls = List.copyOf(calls.subList(0, Math.min(Call.MOST, calls.size())));
        pinned = List.copyOf(pinned);
        openings = List.copyOf(openings);
        judgements = List.copyOf(judgements);
        own = List.copyOf(own);
        clauses = List.copyOf(clauses);
        saved = List.copyOf(saved);
    }

    /** Tries in training from which on an action may be leant on (ruling M27). */
    private static final int TRAINED = 3;

    /** The approach with what training has shown of ours, which may be leant on as what matches show. */
    public Approach trainedApproach() {
        Map<String, Integer> tries = new TreeMap<>();
        camp.log().stream()
                .filter(l -> l.skill().startsWith("+"))
                .forEach(l -> tries.merge(l.skill().substring(1), l.tries(), Integer::sum));
        tries.values().removeIf(n -> n < TRAINED);
        return approach.trained(tries.keySet());
    }

    /** A plan as it was kept. */
    public Plan(
            String id,
            String title,
            String us,
            String them,
            List<PinnedClaim> pinned,
            List<Fork> openings,
            String remarks) {
        this(
                id,
                title,
                us,
                them,
                pinned,
                openings,
                remarks,
                List.of(),
                List.of(),
                Approach.USUAL,
                List.of(),
                List.of(),
                Camp.USUAL,
                Brief.USUAL,
                ReportEdits.NONE,
                List.of());
    }

    private Plan with(Consumer<PlanDraft> change) {
        PlanDraft d = new PlanDraft(this);
        change.accept(d);
        return d.plan();
    }

    /** A plan with nothing in it. */
    public static Plan empty(String id, String title, String us, String them) {
        return new Plan(id, title, us, them, List.of(), List.of(), "");
    }

    /** The same with a claim pinned. */
    public Plan pin(PinnedClaim claim) {
        List<PinnedClaim> list = new ArrayList<>(pinned);
        list.removeIf(c -> c.sameAs(claim));
        list.add(claim);
        return with(d -> d.pinned = list);
    }

    /** The same without a pinned claim; forks no longer rest on it. */
    public Plan unpin(PinnedClaim claim) {
        return with(
                d -> d.pinned = pinned.stream().filter(c -> !c.sameAs(claim)).toList());
    }

    /** Whether a claim about an athlete is pinned. */
    public boolean isPinned(String athlete, String claim) {
        return pinned.stream()
                .anyMatch(p -> p.athlete().equals(athlete) && p.claim().equals(claim));
    }

    /** What is thought of a claim; empty words when nothing is. */
    public Judgement judgement(String athlete, String claim) {
        return judgements.stream()
                .filter(j -> j.about(athlete, claim))
                .findFirst()
                .orElse(Judgement.none(athlete, claim));
    }

    /** The same with a judgement in place of the one before. */
    public Plan judge(Judgement j) {
        List<Judgement> list = new ArrayList<>(judgements);
        list.removeIf(o -> o.about(j.athlete(), j.claim()));
        if (!j.empty()) {
            list.add(j);
        }
        return with(d -> d.judgements = list);
    }

    /** The same with another report. */
    public Plan report(ReportEdits next) {
        return with(d -> d.report = next);
    }

    /** Adds a claim in own words. */
    public Plan claim(String athlete, String sentence, List<TagRef> tags) {
        int number = 1
                + own.stream()
                        .filter(o -> o.id().matches("own\\.\\d{1,6}"))
                        .mapToInt(o -> Integer.parseInt(o.id().substring(o.id().indexOf('.') + 1)))
                        .max()
                        .orElse(0);
        List<OwnClaim> list = new ArrayList<>(own);
        list.add(new OwnClaim("own." + number, athlete, sentence.strip(), tags));
        return with(d -> d.own = list);
    }

    /** Without one of the claims in own words. */
    public Plan withdraw(String ownClaim) {
        List<OwnClaim> list = own.stream().filter(o -> !o.id().equals(ownClaim)).toList();
        return with(d -> d.own = list);
    }

    /** The same with other dials, constraints and forecasts. */
    public Plan approach(Approach next) {
        return with(d -> d.approach = next);
    }

    /** With a whole tree as a new opening, its nodes numbered anew. */
    public Plan adopt(Fork tree) {
        int[] free = {openings.stream().mapToInt(Fork::highestId).max().orElse(0)};
        List<Fork> list = new ArrayList<>(openings);
        list.add(tree.numbered(() -> "f" + ++free[0]));
        return with(d -> d.openings = list);
    }

    /** Adds a clause beside a fork; an empty fork means the whole match. */
    public Plan promise(String fork, String text) {
        int number = 1
                + clauses.stream()
                        .mapToInt(c -> Integer.parseInt(c.id().substring(1)))
                        .max()
                        .orElse(0);
        List<Clause> list = new ArrayList<>(clauses);
        list.add(new Clause("c" + number, fork, text.strip()));
        return clauses(list);
    }

    /** The same with another briefing. */
    public Plan brief(Brief next) {
        return with(d -> d.brief = next);
    }

    /** The same with other calls, at most {@link Call#MOST}; none for the computed ones. */
    public Plan calls(List<Call> next) {
        return with(d -> d.calls = next);
    }

    /** The same with another camp. */
    public Plan camp(Camp next) {
        return with(d -> d.camp = next);
    }

    /** Without a clause. */
    public Plan release(String clause) {
        return clauses(clauses.stream().filter(c -> !c.id().equals(clause)).toList());
    }

    private Plan clauses(List<Clause> list) {
        return with(d -> d.clauses = list);
    }

    /** Lays the present state by under a name, in place of an earlier one of that name. */
    public Plan save(String name) {
        List<Saved> list = new ArrayList<>(savedBut(name));
        list.add(new Saved(name.strip(), openings, approach));
        return saved(list);
    }

    /** Without a word about an athlete: claims about him, what was thought of them, and where forks rest on them. */
    public Plan without(String athlete) {
        return with(d -> {
            d.pinned = pinned.stream().filter(c -> !c.athlete().equals(athlete)).toList();
            d.openings = openings.stream().map(f -> f.without(athlete)).toList();
            d.judgements = judgements.stream()
                    .filter(j -> !j.athlete().equals(athlete))
                    .toList();
            d.own = own.stream().filter(o -> !o.athlete().equals(athlete)).toList();
            d.report = report.without(athlete);
            d.saved = saved.stream()
                    .map(s -> new Saved(
                            s.name(),
                            s.openings().stream().map(f -> f.without(athlete)).toList(),
                            s.approach()))
                    .toList();
        });
    }

    /**
     * Takes over what was prepared for an earlier meeting; forecasts are made anew, and nothing has been trained yet.
     */
    public Plan from(Plan earlier) {
        return with(d -> {
            d.pinned = earlier.pinned;
            d.openings = earlier.openings;
            d.remarks = earlier.remarks;
            d.judgements = earlier.judgements;
            d.own = earlier.own;
            d.approach = earlier.approach.freeze(List.of());
            d.clauses = earlier.clauses;
            d.saved = earlier.saved;
            d.brief = earlier.brief;
            d.report = earlier.report;
            d.calls = earlier.calls;
        });
    }

    /** Forgets a state that was laid by. */
    public Plan forget(String name) {
        return saved(savedBut(name));
    }

    /** Goes back to a state that was laid by. */
    public Plan restore(Saved s) {
        return with(d -> {
            d.openings = s.openings();
            d.approach = s.approach();
        });
    }

    private List<Saved> savedBut(String name) {
        return saved.stream().filter(s -> !s.name().equals(name.strip())).toList();
    }

    private Plan saved(List<Saved> list) {
        return with(d -> d.saved = list);
    }

    /** The same under another title. */
    public Plan title(String text) {
        return with(d -> d.title = text);
    }

    /** The same with other remarks. */
    public Plan remarks(String text) {
        return with(d -> d.remarks = text);
    }

    /** Adds a first action of ours. */
    public Plan open(String text) {
        List<Fork> list = new ArrayList<>(openings);
        list.add(Fork.of(freeId(), true, text));
        return with(d -> d.openings = list);
    }

    /** Adds what follows a node: their answer after ours, ours after theirs. */
    public Plan follow(String parent, String text) {
        Fork above = find(parent).orElseThrow(() -> new IllegalArgumentException("no fork " + parent));
        return change(parent, f -> f.followedBy(Fork.of(freeId(), !above.ours(), text)));
    }

    /** The same with one fork changed, wherever in the tree it is. */
    public Plan change(String fork, UnaryOperator<Fork> change) {
        return with(d ->
                d.openings = openings.stream().map(f -> f.replace(fork, change)).toList());
    }

    /** Without a node and all that follows it. */
    public Plan drop(String fork) {
        return with(d -> d.openings = openings.stream()
                .filter(f -> !f.id().equals(fork))
                .map(f -> f.drop(fork))
                .toList());
    }

    /** A fork by its id, wherever in the tree it is. */
    public Optional<Fork> find(String fork) {
        return openings.stream().flatMap(f -> f.find(fork).stream()).findFirst();
    }

    /** Id the next new fork gets. */
    public String freeId() {
        return "f" + (openings.stream().mapToInt(Fork::highestId).max().orElse(0) + 1);
    }
}
