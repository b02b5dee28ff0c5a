package farglass.scout;

import farglass.profile.Claim;
import farglass.stats.Grade;
import farglass.text.Language;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Dangers and openings: what works more often in a match than with the other athletes, for and against, in order of the
 * points it brings more than usual.
 */
final class Edges {
    private static final int MOST = 5;
    /** Points an attack brings in the usual rules; a submission ends the match and counts as much as a clear lead. */
    private static final Map<String, Double> VALUE = Map.of(
            "takedown", 2.0,
            "sweep", 2.0,
            "pass", 3.0,
            "pin-advance", 3.0,
            "back-take", 4.0,
            "submission", 10.0);
    /** Times it must have worked. */
    private static final int LANDED = 2;
    /** Standard deviations: a chance of nine in ten, for what he does himself and does most. */
    private static final double LIKELY = 1.28;
    /** A chance of 95 %, for the five families of what is done against him. */
    private static final double CLEARLY = 1.645;
    /** A chance of 98 %, for single techniques, of which many are looked at. */
    private static final double SURELY = 2.05;

    private static final double WIDTH = 2 * 1.645;
    private static final double TEN_MINUTES_MS = 600_000;

    private Edges() {}

    /** What the athlete lands more often than others, all time taken together. */
    static List<Edge> dangers(Known k, Stakes stakes) {
        List<Edge> edges = new ArrayList<>();
        for (Claim lands : k.all("lands.")) {
            String code = lands.id().substring(lands.id().indexOf('.') + 1);
            double value = VALUE.getOrDefault(family(k, code), 0.0);
            Claim works = k.any("technique." + code).orElse(null);
            if (value > 0
                    && works != null
                    && lands.estimate().x() >= LANDED
                    && (Known.above(lands)
                            || beyond(lands, LIKELY)
                            || (stakes.worst().contains(code) && more(k, lands) > 0))) {
                Sentence.Builder s = new Sentence.Builder("danger." + code)
                        .say(
                                "danger",
                                lands,
                                Known.says(lands),
                                lands.args().get(1),
                                Known.x(works),
                                Known.n(works),
                                k.matches());
                s.say("danger.usual", lands, Known.says(lands), inSo(k, lands));
                edges.add(edge(s.build(), code, true, value * more(k, lands), stakes));
            }
        }
        return best(edges);
    }

    /**
     * Where the athlete can be beaten: what the others land against him more often than usual, or with more success;
     * then, not to be weighed in points, an error that was punished and bad places in which he is often.
     */
    static List<Edge> openings(Known k, Stakes stakes) {
        List<Edge> edges = new ArrayList<>();
        for (Claim suffers : k.all("suffers.all.")) {
            String family = suffers.id().substring(suffers.id().lastIndexOf('.') + 1);
            if (suffers.estimate().x() >= LANDED && beyond(suffers, CLEARLY)) {
                Sentence.Builder s = new Sentence.Builder("opening." + family)
                        .say("opening." + family, suffers, Known.says(suffers), Known.x(suffers), k.matches());
                s.say("danger.usual", suffers, Known.says(suffers), inSo(k, suffers));
                k.firm("against.all." + family)
                        .filter(c -> Known.says(c) != Assertion.Says.COUNTED)
                        .ifPresent(
                                c -> s.say("opening.works", c, Known.says(c), Known.x(c), Known.n(c), Known.others(c)));
                edges.add(edge(s.build(), family, false, VALUE.getOrDefault(family, 0.0) * more(k, suffers), stakes));
            }
        }
        for (Claim c : k.all("against.")) {
            String code = c.id().substring(c.id().lastIndexOf('.') + 1);
            if (c.template().equals("against.technique") && c.estimate().x() >= LANDED && beyond(c, SURELY)) {
                double brings = VALUE.getOrDefault(family(k, code), 0.0)
                        * (c.estimate().mean() - Known.average(c))
                        * c.estimate().n()
                        / k.matches();
                Sentence s = new Sentence.Builder("opening." + code)
                        .say(
                                "beaten.technique",
                                c,
                                Known.says(c),
                                c.args().get(1),
                                Known.x(c),
                                Known.n(c),
                                Known.others(c))
                        .build();
                edges.add(edge(s, code, false, brings, stakes));
            }
        }
        BeatenPart.error(k, "opening.").ifPresent(e -> edges.add(unweighed(e)));
        for (String place : BeatenPart.BAD_PLACES) {
            TimeThere.sentence(k, "opening." + place, "beaten.", place).ifPresent(e -> edges.add(unweighed(e)));
        }
        for (String technique : stakes.best()) {
            ours(k, technique, stakes).ifPresent(edges::add);
        }
        return best(edges);
    }

    /** What we do well and what is worth most against him, with his record against it where there is one. */
    private static Optional<Edge> ours(Known k, String technique, Stakes stakes) {
        Sentence.Builder s = new Sentence.Builder("opening.ours." + technique);
        Claim against = k.any("against." + technique).orElse(null);
        Claim family = k.any("against.all." + family(k, technique)).orElse(null);
        Claim known = against != null ? against : family;
        // what works less than against others is no opening, whatever it is worth to us
        if (known == null || known.estimate().mean() < Known.average(known)) {
            return Optional.empty();
        }
        if (against != null) {
            s.say(
                    "opening.ours",
                    against,
                    Known.says(against),
                    against.args().get(1),
                    Known.x(against),
                    Known.n(against));
            s.others(against);
        } else {
            String name = String.valueOf(k.profile().evidence().lexicon().techniqueName(technique));
            s.say(
                    "opening.ours.family." + family(k, technique),
                    known,
                    Known.says(known),
                    name,
                    Known.x(known),
                    Known.n(known));
            s.others(known);
        }
        return Optional.of(edge(s.build(), technique, false, 0, stakes));
    }

    private static String family(Known k, String code) {
        return k.profile().evidence().lexicon().familyOf(code);
    }

    /** Whether a number on more than thin evidence lies so many standard deviations above the others'. */
    private static boolean beyond(Claim c, double deviations) {
        double sd = (c.estimate().hi() - c.estimate().lo()) / WIDTH;
        return c.estimate().grade() != Grade.THIN && c.estimate().mean() - Known.average(c) >= deviations * sd;
    }

    /** How many more than usual fall into a match. */
    private static double more(Known k, Claim rate) {
        double tens = k.profile().evidence().exposureMs() / TEN_MINUTES_MS;
        return (rate.estimate().mean() - Known.average(rate)) * tens / k.matches();
    }

    /** What would be usual in as much film: "1.4". */
    private static String inSo(Known k, Claim rate) {
        double tens = k.profile().evidence().exposureMs() / TEN_MINUTES_MS;
        return String.format(Language.locale(), "%.1f", Known.average(rate) * tens);
    }

    private static Edge unweighed(Sentence s) {
        return new Edge(s, 0, false, Optional.empty());
    }

    private static Edge edge(Sentence s, String technique, boolean theirs, double brings, Stakes stakes) {
        Optional<Sentence> answer = theirs ? stakes.answer(technique) : stakes.own(technique);
        var worth = stakes.worth(technique, theirs);
        return new Edge(s, worth.orElse(brings), worth.isPresent(), answer);
    }

    /** Those whose worth against our athlete is known first. */
    private static List<Edge> best(List<Edge> found) {
        List<Edge> edges = new ArrayList<>();
        for (Edge e : found) {
            boolean said = edges.stream()
                    .anyMatch(x -> x.sentence().main().equals(e.sentence().main()));
            if (!said) {
                edges.add(e);
            }
        }
        edges.sort(Comparator.comparing((Edge e) -> !e.against())
                .thenComparing(Comparator.comparingDouble(Edge::worth).reversed())
                .thenComparing(e -> e.sentence().id()));
        return edges.subList(0, Math.min(MOST, edges.size()));
    }
}
