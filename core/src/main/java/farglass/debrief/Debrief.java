package farglass.debrief;

import farglass.conduct.Clause;
import farglass.conduct.ClauseReader;
import farglass.conduct.Compliance;
import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.matchup.advise.Meeting;
import farglass.plan.Plan;
import farglass.rules.Ruleset;
import farglass.tendency.LibraryIndex;
import farglass.tendency.MatchFacts;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A plan held against the match that took place.
 *
 * @param branches every fork, met or not, followed or not
 * @param conduct every clause that can be measured, in this match and in the meeting before it
 * @param forecasts those frozen with the plan that the match decides
 * @param claims those the plan rested on
 * @param decisions of our own plan, else of the computed one; empty without a model
 * @param surprises least expected attempts first; empty without a model
 */
public record Debrief(
        MatchRecord record,
        List<Adherence> branches,
        List<Promise> conduct,
        List<Scored> forecasts,
        List<ClaimCheck> claims,
        List<DecisionCheck> decisions,
        List<Surprise> surprises) {
    private static final int SURPRISES = 6;

    /** @param before how it was kept in the last meeting before this match; null when there was none */
    public record Promise(
            Clause clause, Compliance kept, @Nullable Compliance before) {}

    /**
     * @param record a match in which our athlete fights
     * @param index facts of all records, this one among them
     * @param meeting the model from before the match, or null
     */
    public static Debrief of(
            Plan plan, MatchRecord record, LibraryIndex index, Ruleset rules, @Nullable Meeting meeting) {
        Lexicon lexicon = index.lexicon();
        Corner us = record.cornerOf(plan.us())
                .orElseThrow(() -> new IllegalArgumentException(plan.us() + " does not fight in this match"));
        MatchFacts facts = MatchFacts.of(record, lexicon);
        return new Debrief(
                record,
                Adherence.of(
                        plan.openings().stream().map(f -> Branch.of(f, lexicon)).toList(), record, us, lexicon),
                conduct(plan, record, index),
                Scored.of(plan.approach().forecasts(), record, us, rules, lexicon),
                ClaimCheck.of(plan.pinned(), index, record.id()),
                meeting == null ? List.of() : DecisionCheck.of(plan, facts, us, index, meeting),
                meeting == null
                        ? List.of()
                        : Surprise.of(
                                facts, us, meeting.model(), meeting.model().groups(), SURPRISES));
    }

    private static List<Promise> conduct(Plan plan, MatchRecord record, LibraryIndex index) {
        MatchRecord earlier = index.records(plan.us()).stream()
                .filter(r ->
                        !r.id().equals(record.id()) && r.cornerOf(plan.them()).isPresent())
                .filter(r -> r.details().date() != null
                        && record.details().date() != null
                        && r.details().date().isBefore(record.details().date()))
                .max(java.util.Comparator.comparing(r -> r.details().date()))
                .orElse(null);
        List<Promise> list = new ArrayList<>();
        for (Clause c : plan.clauses()) {
            var measure = ClauseReader.read(c.text(), index.lexicon()).measure();
            if (measure != null) {
                list.add(new Promise(
                        c,
                        Compliance.of(measure, List.of(record), plan.us(), index.lexicon()),
                        earlier == null ? null : Compliance.of(measure, List.of(earlier), plan.us(), index.lexicon())));
            }
        }
        return list;
    }

    /** How well the frozen forecasts held in this match. */
    public Calibration calibration() {
        return Calibration.of(forecasts);
    }
}
