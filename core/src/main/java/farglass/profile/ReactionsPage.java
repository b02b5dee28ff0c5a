package farglass.profile;

import farglass.match.Tag;
import farglass.stats.Estimate;
import farglass.stats.Proportion;
import farglass.stats.Trial;
import farglass.tendency.Dilemmas;
import farglass.tendency.Evidence;
import farglass.tendency.Reactions;
import farglass.text.CoreWords;
import farglass.text.Language;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What answers what, and the attacks that open one another. */
final class ReactionsPage {
    private static final int TRIGGERS = 8;
    private static final int PAIRS = 12;

    private final ClaimFactory q;

    private ReactionsPage(ClaimFactory q) {
        this.q = q;
    }

    static ClaimPage of(ClaimFactory q) {
        return new ReactionsPage(q).page();
    }

    private ClaimPage page() {
        List<Section> sections = new ArrayList<>();
        sections.add(Section.of("reactions.dilemmas", dilemmas()));
        rows(sections, true, "reactions.own", "reaction.own");
        rows(sections, false, "reactions.others", "reaction.others");
        sections.add(Section.of("reactions.feints", feints()));
        return new ClaimPage(Question.REACTIONS, sections);
    }

    private void rows(List<Section> sections, boolean own, String title, String template) {
        List<Reactions.Row> rows = Reactions.of(q.evidence(), own, TRIGGERS, q.stream(title));
        if (rows.isEmpty()) {
            sections.add(Section.of(title + ".none", List.of()));
        }
        for (Reactions.Row row : rows) {
            String trigger = q.lexicon().techniqueName(row.trigger());
            List<Claim> claims = answers(q, template, row);
            boolean timed = !Double.isNaN(row.medianDelayMs());
            String delay = timed ? String.format(Language.locale(), "%.1f", row.medianDelayMs() / 1000) : "";
            sections.add(new Section(
                    timed ? title : title + ".untimed",
                    q.words(trigger, Integer.toString(row.count()), delay),
                    claims,
                    null,
                    title + ".empty"));
        }
    }

    /** One claim per answer to a trigger. */
    static List<Claim> answers(ClaimFactory q, String template, Reactions.Row row) {
        ReactionsPage page = new ReactionsPage(q);
        String trigger = q.lexicon().techniqueName(row.trigger());
        return row.answers().stream()
                .map(a -> page.claim(template, row, trigger, a))
                .toList();
    }

    private Claim claim(String template, Reactions.Row row, @Nullable String trigger, Reactions.Answer a) {
        String key = a.answer().equals("none") ? template + ".none" : template;
        Claim c = Claim.of(
                template + "." + row.trigger() + "." + a.answer(),
                Claim.Topic.REACTION,
                key,
                q.words(trigger, name(a.answer()), success(a.conceded())),
                Claim.Unit.SHARE,
                a.share(),
                a.trials());
        return a.moreThanChance() ? c.noted(SequenceClaims.BADGE) : c;
    }

    private static String success(Estimate e) {
        return e.n() == 0 ? "0" : Long.toString((long) e.x());
    }

    private String name(String answer) {
        return answer.startsWith("=")
                ? CoreWords.code(answer.substring(1))
                : q.lexicon().techniqueName(answer);
    }

    private List<Claim> dilemmas() {
        return Dilemmas.pairs(q.evidence(), this::success).stream()
                .limit(PAIRS)
                .map(this::dilemma)
                .toList();
    }

    private Claim dilemma(Dilemmas.Row r) {
        Set<Trial> with = new HashSet<>(r.trials());
        List<Trial> without = q.evidence().ownWith(r.y()).stream()
                .filter(Evidence.Act::decided)
                .map(Evidence.Act::trial)
                .filter(t -> !with.contains(t))
                .toList();
        Claim c = q.difference(
                "dilemma." + r.x() + "." + r.y(),
                Claim.Topic.DILEMMA,
                "dilemma",
                q.words(q.lexicon().techniqueName(r.x()), q.lexicon().techniqueName(r.y())),
                r.trials(),
                without,
                q.success(r.y()),
                q.rho(q.lexicon().familyOf(r.y())));
        return r.sure() ? c.noted(SequenceClaims.BADGE) : c;
    }

    static List<Dilemmas.Row> dilemmas(ClaimFactory q) {
        return Dilemmas.of(q.evidence(), new ReactionsPage(q)::success);
    }

    private Estimate success(String technique, List<Trial> trials) {
        return Proportion.of(trials, q.success(technique), q.rho(q.lexicon().familyOf(technique)), q.stream(technique));
    }

    /** Feints whose effect was tagged. */
    private List<Claim> feints() {
        List<Evidence.Act> feints = q.evidence().ownOf("feint").stream()
                .filter(a -> a.action().believed() != null)
                .toList();
        List<Claim> claims = new ArrayList<>();
        feints.stream().map(ReactionsPage::target).distinct().sorted().forEach(target -> {
            List<Trial> trials = feints.stream()
                    .filter(a -> target(a).equals(target))
                    .map(a -> a.trial(Boolean.TRUE.equals(a.action().believed())))
                    .toList();
            claims.add(q.plain(
                    "feint." + target,
                    Claim.Topic.REACTION,
                    "feint.believed",
                    q.words(q.lexicon().techniqueName(target)),
                    trials));
        });
        return claims;
    }

    private static String target(Evidence.Act a) {
        Tag.Action action = a.action();
        return action.target() == null ? "feint" : action.target();
    }
}
