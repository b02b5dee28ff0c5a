package farglass.work.publish;

import farglass.conduct.Clause;
import farglass.matchup.gameplan.GamePage;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.print.CornerCard;
import farglass.print.GamePlanPaper;
import farglass.print.PlanPage;
import farglass.rules.Ruleset;
import farglass.rules.Rulesets;
import farglass.store.WholeFile;
import farglass.store.json.PlanJson;
import farglass.text.CoreWords;
import farglass.time.Dates;
import farglass.work.words.WorkWords;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** A plan for those who carry it out: one page, the corner card, the document. */
public final class PlanPublication {
    private final Material material;
    private final Plan plan;

    /** A plan as it is now. */
    public PlanPublication(Material material, Plan plan) {
        this.material = material;
        this.plan = plan;
    }

    /** Event, day, rules and length in words. */
    public static String occasion(Assignment a, Rulesets rulesets) {
        String rules = rulesets.name(a.ruleset(), a.date());
        return WorkWords.of("plan.occasion", a.event(), Dates.words(a.date()), worn(a.attire(), rules), a.minutes());
    }

    /** Attire and rules; the name of many rules says the attire too. */
    private static String worn(@Nullable String attire, String rules) {
        if (attire == null) {
            return rules;
        }
        String named = CoreWords.code(attire);
        return rules.endsWith(", " + named) ? rules : named + ", " + rules;
    }

    /** The same where there is no assignment: rules and length alone. */
    public static String occasion(Ruleset rules, long minutes) {
        return WorkWords.of("card.occasion", rules.title(), minutes);
    }

    private Set<String> both() {
        return Set.of(plan.us(), plan.them());
    }

    /** The forks on one page, with what they rest on. */
    public Publication page(String occasion) {
        PlanPage page = new PlanPage(
                plan, material.name(plan.us()), material.name(plan.them()), occasion, WorkWords.of("care.page"));
        return Publication.file(both(), page::write);
    }

    /** The game plan on a page. */
    public Publication page(GamePage game, String occasion) {
        GamePlanPaper page = new GamePlanPaper(game, title(), occasion, WorkWords.of("care.page"));
        return Publication.file(both(), page::write);
    }

    private String title() {
        return WorkWords.of("plan.title", material.name(plan.them()));
    }

    /** The corner card; the target's name says the paper: one that ends in {@code -a4.pdf} is A4, any other A5. */
    public Publication card(GamePage game, String occasion) {
        CornerCard card = new CornerCard(
                game,
                title(),
                occasion,
                WorkWords.of("care.page"),
                plan.clauses().stream().map(Clause::text).toList());
        return Publication.file(
                both(),
                target -> card.write(
                        target,
                        target.getFileName().toString().endsWith("-a4.pdf")
                                ? CornerCard.Paper.A4
                                : CornerCard.Paper.A5));
    }

    /**
     * {@code farglass.plan/1}.
     *
     * @param computed what was worked out for the plan and stands beside it, by field
     */
    public Publication document(Map<String, Object> computed) {
        return Publication.file(both(), target -> WholeFile.write(target, PlanJson.write(plan, computed)));
    }
}
