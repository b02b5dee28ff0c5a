package farglass.simulate;

import java.util.Map;

/** How often made-up athletes try what, and how often it works, where their style says nothing else. */
final class SimulatedRates {
    /** Usual attempts per minute of a family while it is possible. */
    static final Map<String, Double> ATTEMPTS = Map.ofEntries(
            Map.entry("takedown", 1.1),
            Map.entry("guard-pull", 1.0),
            Map.entry("guard-entry", 1.6),
            Map.entry("sweep", 1.4),
            Map.entry("reversal", 0.3),
            Map.entry("pass", 1.7),
            Map.entry("pin-advance", 1.3),
            Map.entry("back-take", 0.7),
            Map.entry("submission", 0.8),
            Map.entry("escape", 0.9),
            Map.entry("recovery", 1.1),
            Map.entry("stand-up", 0.2));

    /** Usual log odds that an attempt of a family is completed. */
    static final Map<String, Double> ODDS = Map.ofEntries(
            Map.entry("takedown", -0.8),
            Map.entry("guard-pull", 2.6),
            Map.entry("guard-entry", 1.0),
            Map.entry("sweep", -0.9),
            Map.entry("reversal", -1.3),
            Map.entry("pass", -1.0),
            Map.entry("pin-advance", 0.3),
            Map.entry("back-take", -0.7),
            Map.entry("submission", -2.5),
            Map.entry("escape", -0.6),
            Map.entry("recovery", -0.2),
            Map.entry("stand-up", 0.4));

    /** Where a pass stopped half way leaves the two. */
    static final Map<String, String> CAUGHT_PASSING = Map.of(
            "knee-cut",
            "KCT",
            "leg-drag",
            "LDR",
            "over-under",
            "OVU",
            "double-under",
            "STK",
            "stack-pass",
            "STK",
            "body-lock-pass",
            "BLP",
            "long-step",
            "LST",
            "smash-pass",
            "SMH");

    private SimulatedRates() {}
}
