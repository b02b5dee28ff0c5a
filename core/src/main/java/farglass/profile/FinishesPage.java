package farglass.profile;

import farglass.match.Corner;
import farglass.match.Method;
import farglass.match.Result;
import farglass.match.Situation;
import farglass.match.Tag;
import farglass.stats.BetaPrior;
import farglass.stats.TagRef;
import farglass.stats.Trial;
import farglass.tendency.Evidence;
import farglass.tendency.FinishTree;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/** From where does he finish: how matches end, what leads to the locks, how many locks finish and how soon. */
final class FinishesPage {
    private static final Set<String> ATTACK = Set.of("submission", "pin-advance", "back-take");

    private final ClaimFactory q;

    private FinishesPage(ClaimFactory q) {
        this.q = q;
    }

    static ClaimPage of(ClaimFactory q) {
        return new FinishesPage(q).page();
    }

    private ClaimPage page() {
        List<FinishTree.Node> trees = FinishTree.of(q.evidence());
        Section tree = Section.of("finishes.tree", List.of());
        Set<String> submission = Set.of("submission");
        return new ClaimPage(
                Question.FINISHES,
                List.of(
                        Section.of("finishes.ends", ends()),
                        trees.isEmpty() ? tree : tree.with(new Figure.Trees(trees)),
                        Section.of("finishes.locks", locks(trees)),
                        Section.of("finishes.times", times(trees)),
                        Section.of("finishes.styles", Techniques.chosen(q, "submission", "finishes.chosen")),
                        Section.of("finishes.works", Techniques.success(q, submission::contains)),
                        Section.of("finishes.tries", PlaceAttacks.of(q, this::control, ATTACK::contains)),
                        Section.of("finishes.sides", Techniques.sides(q, "submission")),
                        Section.of("finishes.rates", Techniques.rates(q, submission::contains)),
                        Section.of("finishes.against", Techniques.against(q, "submission")),
                        Section.of("finishes.backs", Techniques.against(q, "back-take"))));
    }

    /** A pin, or the back. */
    private boolean control(Situation at) {
        String group = PositionGroups.of(q.lexicon(), at.position(), at.role());
        return group.equals(PositionGroups.PINNING) || group.equals(PositionGroups.BACK_OF);
    }

    /** How matches ended that ended in the part of them that the filter asks for. */
    private List<Claim> ends() {
        List<Trial> wins = new ArrayList<>();
        List<Trial> losses = new ArrayList<>();
        List<Trial> finishes = new ArrayList<>();
        Map<String, List<Integer>> by = new TreeMap<>();
        for (Evidence.Seen seen : q.evidence().matches()) {
            Result result = seen.record().details().result();
            if (result == null || !seen.counts(end(seen, false).t())) {
                continue;
            }
            Corner winner = result.method() == Method.SUBMISSION ? result.winner() : null;
            boolean won = winner == seen.corner();
            wins.add(end(seen, won));
            losses.add(end(seen, winner == seen.corner().other()));
            if (won && result.technique() != null) {
                by.computeIfAbsent(result.technique(), k -> new ArrayList<>()).add(finishes.size());
                finishes.add(end(seen, true));
            }
        }
        List<Claim> claims = new ArrayList<>();
        if (!wins.isEmpty()) {
            claims.add(ending("finish.wins", q.words(), wins, q.submission(true)));
        }
        if (losses.stream().anyMatch(Trial::worked)) {
            claims.add(ending("finish.lost", q.words(), losses, q.submission(false)));
        }
        by.forEach((technique, places) -> {
            List<Trial> trials = new ArrayList<>();
            for (int i = 0; i < finishes.size(); i++) {
                Trial t = finishes.get(i);
                trials.add(new Trial(t.tag(), t.index(), t.t(), places.contains(i), t.weight(), t.unsure()));
            }
            Claim c = ending("finish.by", q.words(q.lexicon().techniqueName(technique)), trials, BetaPrior.jeffreys());
            claims.add(Claim.of(
                            "finish.by." + technique, c.topic(), c.template(), c.args(), c.unit(), c.estimate(), trials)
                    .withoutUnsure(c.withoutUnsure())
                    .doubted(c.doubts()));
        });
        return claims;
    }

    private Claim ending(String key, List<String> words, List<Trial> trials, BetaPrior prior) {
        return q.proportion(key, Claim.Topic.FINISH, key, words, trials, prior, 0, 0);
    }

    /** A match's last action, or its last tag: the place to look at to see how it ended. */
    private static Trial end(Evidence.Seen seen, boolean worked) {
        List<Tag> tags = seen.record().tags();
        if (tags.isEmpty()) {
            TagRef none = new TagRef(seen.record().id(), "0");
            return new Trial(none, 0, MatchTime.ZERO, worked, seen.weight(), false);
        }
        for (int i = tags.size() - 1; i >= 0; i--) {
            if (tags.get(i) instanceof Tag.Action) {
                return seen.trial(i, worked);
            }
        }
        return seen.trial(tags.size() - 1, worked);
    }

    private List<Claim> locks(List<FinishTree.Node> trees) {
        List<Claim> claims = new ArrayList<>();
        for (FinishTree.Node root : trees) {
            if (root.n() >= Techniques.ATTEMPTS) {
                claims.add(q.plain(
                        "lock." + root.step().code(),
                        Claim.Topic.FINISH,
                        "finishes.converts",
                        q.words(q.lexicon().techniqueName(root.step().code())),
                        root.trials()));
            }
        }
        return claims;
    }

    /** From the begin of the attempt to the tap, of those that finished. */
    private List<Claim> times(List<FinishTree.Node> trees) {
        List<Claim> claims = new ArrayList<>();
        for (FinishTree.Node root : trees) {
            List<Evidence.Act> finished = FinishTree.locks(q.evidence()).stream()
                    .filter(a -> a.action().completed()
                            && a.action().technique().equals(root.step().code()))
                    .toList();
            Claim c = q.time(
                    "tap." + root.step().code(),
                    Claim.Topic.PATIENCE,
                    "finishes.tap",
                    q.words(q.lexicon().techniqueName(root.step().code())),
                    finished.stream()
                            .map(a -> a.action().end().since(a.action().t()))
                            .toList(),
                    finished.stream().map(Evidence.Act::trial).toList());
            if (c != null) {
                claims.add(c);
            }
        }
        return claims;
    }
}
