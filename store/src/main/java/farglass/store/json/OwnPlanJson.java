package farglass.store.json;

import farglass.matchup.advise.Intent;
import farglass.matchup.advise.OwnPlan;
import farglass.matchup.advise.OwnPlanWriter;
import farglass.matchup.advise.Uncertainty;
import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import java.util.Comparator;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** A coach's own plan with what it is worth, as {@code own} of {@code farglass.plan/1}. */
public final class OwnPlanJson {
    private static final Comparator<Exit.Key> EXITS =
            Comparator.comparing(k -> k.from().key() + " " + k.technique());

    private final OwnPlanWriter writer;
    private final Model model;

    /** @param model of the match, whose ways out the plan rests on */
    public OwnPlanJson(OwnPlanWriter writer, Model model) {
        this.writer = writer;
        this.model = model;
    }

    /** The plan as maps and lists; intervals are null before draws were made. */
    public Map<String, Object> row(OwnPlan p) {
        OwnPlan.Ranges r = p.ranges();
        return Row.of(
                "win",
                p.win(),
                "lo",
                r == null ? null : r.win().lo(),
                "hi",
                r == null ? null : r.win().hi(),
                "natural",
                p.natural(),
                "proposed",
                p.proposed(),
                "overNatural",
                r == null ? null : range(r.overNatural()),
                "overProposed",
                r == null ? null : range(r.overProposed()),
                "draws",
                p.draws(),
                "decisions",
                p.valued().stream().map(this::row).toList());
    }

    private static Map<String, Object> range(Uncertainty.Range r) {
        return Row.of("mean", r.mean(), "lo", r.lo(), "hi", r.hi());
    }

    private Map<String, Object> row(OwnPlan.Valued v) {
        Intent i = v.intent();
        Uncertainty.@Nullable Range r = v.range();
        return Row.of(
                "text",
                i.words(),
                "read",
                i.unvalued() == null ? writer.sentence(i) : null,
                "unvalued",
                i.unvalued() == null ? null : i.unvalued().name(),
                "decisions",
                i.decisions().stream().map(DecisionsJson::what).toList(),
                "never",
                i.barred().stream().sorted(EXITS).map(OwnPlanJson::exit).toList(),
                "worth",
                v.worth(),
                "lo",
                r == null ? null : r.lo(),
                "hi",
                r == null ? null : r.hi(),
                "holds",
                v.holds(),
                "tags",
                DecisionsJson.tags(i.tags(model).stream()));
    }

    private static Map<String, Object> exit(Exit.Key k) {
        return Row.of("place", k.from().key(), "technique", k.technique());
    }
}
