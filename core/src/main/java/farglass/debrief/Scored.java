package farglass.debrief;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Method;
import farglass.match.PositionLine;
import farglass.match.Result;
import farglass.matchup.model.ModelState;
import farglass.matchup.model.StateSpace;
import farglass.plan.Approach;
import farglass.rules.Ruleset;
import farglass.rules.Score;
import farglass.rules.Scoring;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A forecast and what became of it.
 *
 * @param outcome 1 it happened, 0 it did not, 1/2 for a draw where a win was forecast
 */
public record Scored(Approach.Forecast forecast, double outcome) {
    private static final double HALF = 0.5;

    public Scored {
        if (!(forecast.p() > 0 && forecast.p() < 1)) {
            throw new IllegalArgumentException("a forecast (" + forecast.p() + ") must lie between 0 and 1");
        }
    }

    /** (p - o)^2, 0 best (Brier 1950, one of his two classes). */
    public double brier() {
        return (forecast.p() - outcome) * (forecast.p() - outcome);
    }

    /** -ln of the chance given to what happened, 0 best (Good 1952). */
    public double log() {
        return -outcome * Math.log(forecast.p()) - (1 - outcome) * Math.log(1 - forecast.p());
    }

    /** All forecasts that the record decides. */
    public static List<Scored> of(
            List<Approach.Forecast> forecasts, MatchRecord record, Corner us, Ruleset rules, Lexicon lexicon) {
        Ending end = Ending.of(record, rules, lexicon);
        return forecasts.stream()
                .map(f -> outcome(f.what(), end, record, us, lexicon)
                        .map(o -> new Scored(f, o))
                        .orElse(null))
                .filter(java.util.Objects::nonNull)
                .toList();
    }

    /**
     * How a match ended: as it was announced, else as the rules engine has it.
     *
     * @param winner null for a draw
     * @param decided whether anybody knows
     */
    record Ending(@Nullable Corner winner, Method method, boolean decided) {
        static Ending of(MatchRecord record, Ruleset rules, Lexicon lexicon) {
            Result told = record.details().result();
            if (told != null) {
                return new Ending(told.winner(), told.method(), true);
            }
            Score.Verdict v = Scoring.of(record, rules, lexicon).result();
            return new Ending(v.winner(), v.method(), v.winner() != null || v.method() == Method.DRAW);
        }
    }

    private static Optional<Double> outcome(String what, Ending end, MatchRecord record, Corner us, Lexicon lexicon) {
        if (what.startsWith("visit ")) {
            return visited(what.substring("visit ".length()), record, us, lexicon);
        }
        if (!end.decided()) {
            return Optional.empty();
        }
        boolean tapped = end.method() == Method.SUBMISSION;
        return switch (what) {
            case "win", "win.natural" -> Optional.of(end.winner() == null ? HALF : end.winner() == us ? 1.0 : 0.0);
            case "submission.ours" -> Optional.of(tapped && end.winner() == us ? 1.0 : 0.0);
            case "submission.theirs" -> Optional.of(tapped && end.winner() == us.other() ? 1.0 : 0.0);
            default -> Optional.empty();
        };
    }

    private static Optional<Double> visited(String key, MatchRecord record, Corner us, Lexicon lexicon) {
        ModelState wanted;
        try {
            wanted = ModelState.ofKey(key);
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
        StateSpace groups = new StateSpace(lexicon);
        boolean there =
                PositionLine.of(record, lexicon).spans().stream().anyMatch(s -> wanted.equals(groups.place(s, us)));
        return Optional.of(there ? 1.0 : 0.0);
    }
}
