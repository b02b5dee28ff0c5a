package farglass.plan;

import farglass.camp.Camp;
import farglass.conduct.Clause;
import farglass.stats.TagRef;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
        Brief brief) {
    public Plan {
        pinned = List.copyOf(pinned);
        openings = List.copyOf(openings);
        judgements = List.copyOf(judgements);
        own = List.copyOf(own);
        clauses = List.copyOf(clauses);
        saved = List.copyOf(saved);
    }

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
                Brief.USUAL);
    }

    public static Plan empty(String id, String title, String us, String them) {
        return new Plan(id, title, us, them, List.of(), List.of(), "");
    }

    public Plan pin(PinnedClaim claim) {
        List<PinnedClaim> list = new ArrayList<>(pinned);
        list.removeIf(c -> c.sameAs(claim));
        list.add(claim);
        return new Plan(
                id, title, us, them, list, openings, remarks, judgements, own, approach, clauses, saved, camp, brief);
    }

    public Plan unpin(PinnedClaim claim) {
        return new Plan(
                id,
                title,
                us,
                them,
                pinned.stream().filter(c -> !c.sameAs(claim)).toList(),
                openings,
                remarks,
                judgements,
                own,
                approach,
                clauses,
                saved,
                camp,
                brief);
    }

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

    public Plan judge(Judgement j) {
        List<Judgement> list = new ArrayList<>(judgements);
        list.removeIf(o -> o.about(j.athlete(), j.claim()));
        if (!j.empty()) {
            list.add(j);
        }
        return new Plan(
                id, title, us, them, pinned, openings, remarks, list, own, approach, clauses, saved, camp, brief);
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
        return new Plan(
                id,
                title,
                us,
                them,
                pinned,
                openings,
                remarks,
                judgements,
                list,
                approach,
                clauses,
                saved,
                camp,
                brief);
    }

    /** Without one of the claims in own words. */
    public Plan withdraw(String ownClaim) {
        List<OwnClaim> list = own.stream().filter(o -> !o.id().equals(ownClaim)).toList();
        return new Plan(
                id,
                title,
                us,
                them,
                pinned,
                openings,
                remarks,
                judgements,
                list,
                approach,
                clauses,
                saved,
                camp,
                brief);
    }

    public Plan approach(Approach next) {
        return new Plan(
                id, title, us, them, pinned, openings, remarks, judgements, own, next, clauses, saved, camp, brief);
    }

    /** With a whole tree as a new opening, its nodes numbered anew. */
    public Plan adopt(Fork tree) {
        int[] free = {openings.stream().mapToInt(Fork::highestId).max().orElse(0)};
        List<Fork> list = new ArrayList<>(openings);
        list.add(tree.numbered(() -> "f" + ++free[0]));
        return new Plan(
                id, title, us, them, pinned, list, remarks, judgements, own, approach, clauses, saved, camp, brief);
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

    public Plan brief(Brief next) {
        return new Plan(
                id, title, us, them, pinned, openings, remarks, judgements, own, approach, clauses, saved, camp, next);
    }

    public Plan camp(Camp next) {
        return new Plan(
                id, title, us, them, pinned, openings, remarks, judgements, own, approach, clauses, saved, next, brief);
    }

    /** Without a clause. */
    public Plan release(String clause) {
        return clauses(clauses.stream().filter(c -> !c.id().equals(clause)).toList());
    }

    private Plan clauses(List<Clause> list) {
        return new Plan(
                id, title, us, them, pinned, openings, remarks, judgements, own, approach, list, saved, camp, brief);
    }

    /** Lays the present state by under a name, in place of an earlier one of that name. */
    public Plan save(String name) {
        List<Saved> list = new ArrayList<>(savedBut(name));
        list.add(new Saved(name.strip(), openings, approach));
        return saved(list);
    }

    /** Without a word about an athlete: claims about him, what was thought of them, and where forks rest on them. */
    public Plan without(String athlete) {
        return new Plan(
                id,
                title,
                us,
                them,
                pinned.stream().filter(c -> !c.athlete().equals(athlete)).toList(),
                openings.stream().map(f -> f.without(athlete)).toList(),
                remarks,
                judgements.stream().filter(j -> !j.athlete().equals(athlete)).toList(),
                own.stream().filter(o -> !o.athlete().equals(athlete)).toList(),
                approach,
                clauses,
                saved.stream()
                        .map(s -> new Saved(
                                s.name(),
                                s.openings().stream()
                                        .map(f -> f.without(athlete))
                                        .toList(),
                                s.approach()))
                        .toList(),
                camp,
                brief);
    }

    /** Takes over what was prepared for an earlier meeting; forecasts are made anew, and nothing has been trained yet. */
    public Plan from(Plan earlier) {
        return new Plan(
                id,
                title,
                us,
                them,
                earlier.pinned,
                earlier.openings,
                earlier.remarks,
                earlier.judgements,
                earlier.own,
                earlier.approach.freeze(List.of()),
                earlier.clauses,
                earlier.saved,
                camp,
                earlier.brief);
    }

    /** Forgets a state that was laid by. */
    public Plan forget(String name) {
        return saved(savedBut(name));
    }

    /** Goes back to a state that was laid by. */
    public Plan restore(Saved s) {
        return new Plan(
                id,
                title,
                us,
                them,
                pinned,
                s.openings(),
                remarks,
                judgements,
                own,
                s.approach(),
                clauses,
                saved,
                camp,
                brief);
    }

    private List<Saved> savedBut(String name) {
        return saved.stream().filter(s -> !s.name().equals(name.strip())).toList();
    }

    private Plan saved(List<Saved> list) {
        return new Plan(
                id, title, us, them, pinned, openings, remarks, judgements, own, approach, clauses, list, camp, brief);
    }

    public Plan title(String text) {
        return new Plan(
                id, text, us, them, pinned, openings, remarks, judgements, own, approach, clauses, saved, camp, brief);
    }

    public Plan remarks(String text) {
        return new Plan(
                id, title, us, them, pinned, openings, text, judgements, own, approach, clauses, saved, camp, brief);
    }

    /** Adds a first action of ours. */
    public Plan open(String text) {
        List<Fork> list = new ArrayList<>(openings);
        list.add(Fork.of(freeId(), true, text));
        return new Plan(
                id, title, us, them, pinned, list, remarks, judgements, own, approach, clauses, saved, camp, brief);
    }

    /** Adds what follows a node: their answer after ours, ours after theirs. */
    public Plan follow(String parent, String text) {
        Fork above = find(parent).orElseThrow(() -> new IllegalArgumentException("no fork " + parent));
        return change(parent, f -> f.followedBy(Fork.of(freeId(), !above.ours(), text)));
    }

    public Plan change(String fork, UnaryOperator<Fork> change) {
        return new Plan(
                id,
                title,
                us,
                them,
                pinned,
                openings.stream().map(f -> f.replace(fork, change)).toList(),
                remarks,
                judgements,
                own,
                approach,
                clauses,
                saved,
                camp,
                brief);
    }

    /** Without a node and all that follows it. */
    public Plan drop(String fork) {
        return new Plan(
                id,
                title,
                us,
                them,
                pinned,
                openings.stream()
                        .filter(f -> !f.id().equals(fork))
                        .map(f -> f.drop(fork))
                        .toList(),
                remarks,
                judgements,
                own,
                approach,
                clauses,
                saved,
                camp,
                brief);
    }

    public Optional<Fork> find(String fork) {
        return openings.stream().flatMap(f -> f.find(fork).stream()).findFirst();
    }

    /** Id the next new fork gets. */
    public String freeId() {
        return "f" + (openings.stream().mapToInt(Fork::highestId).max().orElse(0) + 1);
    }
}
