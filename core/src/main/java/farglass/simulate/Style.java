package farglass.simulate;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The hidden truth about a made-up athlete.
 *
 * @param mix relative weight of techniques within their family; those not named weigh {@link #UNNAMED}
 * @param activity factor on a family's usual rate; 1 where not named
 * @param skill added to the log odds of success, by technique code or {@code @family}
 * @param defence taken from the log odds of the other's success, by family
 * @param toRight chance that an attempt of a family begins to the own right; one half where not named
 * @param guards guards this athlete goes to, with weights
 * @param goesOn by own attempt, what this athlete goes on with, before what is usual
 * @param answers by the other's attempt, what this athlete answers, before what is usual
 * @param sequences favourite sequences: one step tried, the next follows whenever it can
 * @param dilemmas pairs of own attempts of which the second works better right after the first
 */
public record Style(
        String id,
        String name,
        String team,
        String colour,
        String marker,
        Map<String, Double> mix,
        Map<String, Double> activity,
        Map<String, Double> skill,
        Map<String, Double> defence,
        Map<String, Double> toRight,
        Map<String, Double> guards,
        Map<String, List<String>> goesOn,
        Map<String, List<String>> answers,
        List<List<String>> sequences,
        List<List<String>> dilemmas) {
    static final double UNNAMED = 0.03;

    double weight(String technique) {
        return mix.getOrDefault(technique, UNNAMED);
    }

    double activity(String family) {
        return activity.getOrDefault(family, 1.0);
    }

    double skill(String technique, String family) {
        return skill.getOrDefault(technique, 0.0) + skill.getOrDefault("@" + family, 0.0);
    }

    double defence(String family) {
        return defence.getOrDefault(family, 0.0);
    }

    /** The chance that an attempt of this family begins to the own right. */
    public double right(String family) {
        return toRight.getOrDefault(family, 0.5);
    }

    List<String> goesOn(String technique) {
        return goesOn.getOrDefault(technique, List.of());
    }

    List<String> answers(String technique) {
        return answers.getOrDefault(technique, List.of());
    }

    /** What follows an own attempt in a favourite sequence. */
    List<String> next(String technique) {
        List<String> next = new ArrayList<>();
        for (List<String> s : sequences) {
            int at = s.indexOf(technique);
            if (at >= 0 && at + 1 < s.size()) {
                next.add(s.get(at + 1));
            }
        }
        return next;
    }

    /** Whether the second works better right after the first. */
    boolean opens(String first, String second) {
        return dilemmas.contains(List.of(first, second));
    }

    static Builder of(String id, String name, String team, String colour, String marker) {
        return new Builder(id, name, team, colour, marker);
    }

    /** Collects a style line by line. */
    static final class Builder {
        private final String id;
        private final String name;
        private final String team;
        private final String colour;
        private final String marker;
        private final Map<String, Double> mix = new LinkedHashMap<>();
        private final Map<String, Double> activity = new LinkedHashMap<>();
        private final Map<String, Double> skill = new LinkedHashMap<>();
        private final Map<String, Double> defence = new LinkedHashMap<>();
        private final Map<String, Double> toRight = new LinkedHashMap<>();
        private final Map<String, Double> guards = new LinkedHashMap<>();
        private final Map<String, List<String>> goesOn = new LinkedHashMap<>();
        private final Map<String, List<String>> answers = new LinkedHashMap<>();
        private final List<List<String>> sequences = new ArrayList<>();
        private final List<List<String>> dilemmas = new ArrayList<>();

        private Builder(String id, String name, String team, String colour, String marker) {
            this.id = id;
            this.name = name;
            this.team = team;
            this.colour = colour;
            this.marker = marker;
        }

        Builder sequence(String... techniques) {
            sequences.add(List.of(techniques));
            return this;
        }

        Builder dilemma(String first, String second) {
            dilemmas.add(List.of(first, second));
            return this;
        }

        Builder does(double weight, String... techniques) {
            for (String t : techniques) {
                mix.put(t, weight);
            }
            return this;
        }

        Builder active(String family, double factor) {
            activity.put(family, factor);
            return this;
        }

        Builder skilled(String techniqueOrFamily, double logOdds) {
            skill.put(techniqueOrFamily, logOdds);
            return this;
        }

        Builder defends(String family, double logOdds) {
            defence.put(family, logOdds);
            return this;
        }

        Builder right(String family, double chance) {
            toRight.put(family, chance);
            return this;
        }

        Builder guard(String code, double weight) {
            guards.put(code, weight);
            return this;
        }

        Builder then(String after, String... next) {
            goesOn.put(after, List.of(next));
            return this;
        }

        Builder answers(String to, String... next) {
            answers.put(to, List.of(next));
            return this;
        }

        Style build() {
            return new Style(
                    id, name, team, colour, marker, mix, activity, skill, defence, toRight, guards, goesOn, answers,
                    sequences, dilemmas);
        }
    }
}
