package farglass.debrief;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.rules.Rulesets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * All assignments with what became of them.
 *
 * @param rows latest first
 */
public record Season(List<Row> rows) {
    public Season {
        rows = List.copyOf(rows);
    }

    /** How far an assignment has come against one opponent. */
    public enum State {
        /** There is no plan yet. */
        OPEN,
        /** There is a plan, and the day has not come. */
        PLANNED,
        /** The day is over and no match of the two is in the library. */
        WAITING,
        /** The match is there. */
        FOUGHT
    }

    /**
     * @param plan null when there is none
     * @param match null when it has not taken place, or is not in the library
     * @param won null for a draw, and while nobody knows
     * @param scored forecasts of the plan that the match decides
     */
    public record Row(
            Assignment assignment,
            String them,
            State state,
            @Nullable Plan plan,
            @Nullable MatchRecord match,
            @Nullable Boolean won,
            List<Scored> scored) {
        public Row {
            scored = List.copyOf(scored);
        }
    }

    /** All assignments with what was planned and what came of it, the newest first. */
    public static Season of(
            Collection<Assignment> assignments,
            Collection<Plan> plans,
            Collection<MatchRecord> records,
            Rulesets rulesets,
            Lexicon lexicon,
            LocalDate today) {
        List<Row> rows = new ArrayList<>();
        for (Assignment a : assignments) {
            for (String them : a.opponents()) {
                Plan plan = plans.stream()
                        .filter(p -> p.id().equals(planId(a, them)))
                        .findFirst()
                        .orElse(null);
                rows.add(row(a, them, plan, match(a, them, records), rulesets, lexicon, today));
            }
        }
        rows.sort(Comparator.comparing(
                (Row r) -> r.assignment().date(), Comparator.nullsFirst(Comparator.reverseOrder())));
        return new Season(rows);
    }

    /** Id of the plan of an assignment against an opponent. */
    public static String planId(Assignment a, String them) {
        return a.id() + "." + them;
    }

    /** The match of the two on the day of the assignment, of several the first on file; null when there is none. */
    public static @Nullable MatchRecord match(Assignment a, String them, Collection<MatchRecord> records) {
        return records.stream()
                .filter(r -> a.date() != null && a.date().equals(r.details().date()))
                .filter(r -> r.cornerOf(a.us()).isPresent() && r.cornerOf(them).isPresent())
                .findFirst()
                .orElse(null);
    }

    private static Row row(
            Assignment a,
            String them,
            @Nullable Plan plan,
            @Nullable MatchRecord match,
            Rulesets rulesets,
            Lexicon lexicon,
            LocalDate today) {
        if (match == null) {
            boolean over = a.date() != null && a.date().isBefore(today);
            State state = over ? State.WAITING : plan == null ? State.OPEN : State.PLANNED;
            return new Row(a, them, state, plan, null, null, List.of());
        }
        Corner us = match.cornerOf(a.us()).orElseThrow();
        var rules = rulesets.orUsual(a.ruleset(), a.date());
        Scored.Ending end = Scored.Ending.of(match, rules, lexicon);
        Boolean won = (!end.decided() || end.winner() == null) ? null : Boolean.valueOf(end.winner() == us);
        List<Scored> scored =
                plan == null ? List.of() : Scored.of(plan.approach().forecasts(), match, us, rules, lexicon);
        return new Row(a, them, State.FOUGHT, plan, match, won, scored);
    }

    /** Over all plans that were fought. */
    public Calibration calibration() {
        return Calibration.of(rows.stream().flatMap(r -> r.scored().stream()).toList());
    }
}
