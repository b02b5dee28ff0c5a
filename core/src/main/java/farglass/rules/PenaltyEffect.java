package farglass.rules;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a penalty does. */
public sealed interface PenaltyEffect {
    /** Nothing but a warning. */
    record Warning() implements PenaltyEffect {
        @Override
        public String code() {
            return "warning";
        }
    }

    /** An advantage to the other. */
    record Advantage() implements PenaltyEffect {
        @Override
        public String code() {
            return "advantage";
        }
    }

    /**
     * Points to the other.
     *
     * @param value 1 to 9
     */
    record Points(int value) implements PenaltyEffect {
        @Override
        public String code() {
            return "points:" + value;
        }
    }

    /** The match is lost. */
    record Loss() implements PenaltyEffect {
        @Override
        public String code() {
            return "loss";
        }
    }

    /** As a ruleset's file writes it: {@code warning}, {@code advantage}, {@code points:2}, {@code loss}. */
    String code();

    /** Points to the other; 0 for every effect but points. */
    default int points() {
        return this instanceof Points p ? p.value() : 0;
    }

    /** Advantages to the other, 0 or 1. */
    default int advantages() {
        return this instanceof Advantage ? 1 : 0;
    }

    /** Whether the match is lost by it. */
    default boolean loses() {
        return this instanceof Loss;
    }

    /** Empty when it is none of those that {@link #code} gives. */
    static Optional<PenaltyEffect> parse(String code) {
        Matcher points = Pattern.compile("points:([1-9])").matcher(code);
        if (points.matches()) {
            return Optional.of(new Points(Integer.parseInt(points.group(1))));
        }
        return switch (code) {
            case "warning" -> Optional.of(new Warning());
            case "advantage" -> Optional.of(new Advantage());
            case "loss" -> Optional.of(new Loss());
            default -> Optional.empty();
        };
    }
}
