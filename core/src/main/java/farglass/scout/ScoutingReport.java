package farglass.scout;

import farglass.profile.Profile;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * What a coach wants to know of an athlete, on one page.
 *
 * <p>A sentence stands here because its number departs from the other athletes' (posterior chance of at least 95 %),
 * because it is clearly the most frequent of its kind, because it counts what ended matches, or because much of our
 * chance to win hangs on it when a meeting is set. What is as with
 * everybody is left out; what is thin is told under {@link Heading#UNKNOWN}.
 *
 * @param parts in the order of {@link Heading}; a part with nothing to say is left out
 * @param dangers what to beware of, the worst first, at most five
 * @param openings where the athlete can be beaten, the best first, at most five
 */
public record ScoutingReport(
        String athlete, String name, int matches, List<Part> parts, List<Edge> dangers, List<Edge> openings) {
    private static final int SENTENCES = 4;

    /** One part of it. */
    public record Part(Heading heading, List<Sentence> sentences) {
        public Part {
            sentences = List.copyOf(sentences);
        }
    }

    public ScoutingReport {
        parts = List.copyOf(parts);
        dangers = List.copyOf(dangers);
        openings = List.copyOf(openings);
    }

    /**
     * The report of an athlete for nobody in particular: dangers and openings by what they bring and how far they
     * depart.
     */
    public static ScoutingReport of(Profile profile) {
        return of(profile, Stakes.NONE);
    }

    /** @param stakes what they are worth against our own athlete, and what he has against them */
    public static ScoutingReport of(Profile profile, Stakes stakes) {
        Known k = new Known(profile);
        Map<Heading, List<Sentence>> parts = new EnumMap<>(Heading.class);
        parts.put(Heading.START, StartPart.of(k));
        parts.put(Heading.STANDING, StandingPart.of(k));
        parts.put(Heading.BOTTOM, BottomPart.of(k));
        parts.put(Heading.TOP, TopPart.of(k));
        parts.put(Heading.FINISHES, FinishPart.of(k));
        parts.put(Heading.SIDES, SidesPart.of(k));
        parts.put(Heading.MOMENTS, MomentsPart.of(k));
        parts.put(Heading.BEATEN, BeatenPart.of(k));
        parts.put(Heading.CHANGED, ChangedPart.of(k));
        parts.put(Heading.UNKNOWN, UnknownPart.of(k));
        SequencesPart.addTo(k, parts);
        LeveragePart.addTo(k, stakes, parts);
        parts.put(Heading.SUMMARY, SummaryPart.of(k, parts));
        return new ScoutingReport(
                profile.athlete(),
                profile.name(),
                k.matches(),
                parts.entrySet().stream()
                        .filter(e -> !e.getValue().isEmpty())
                        .map(e -> new Part(
                                e.getKey(),
                                e.getValue().stream().limit(SENTENCES).toList()))
                        .toList(),
                Edges.dangers(k, stakes),
                Edges.openings(k, stakes));
    }

    /** All sentences, in their order, those of dangers and openings last. */
    public List<Sentence> sentences() {
        List<Sentence> all = new java.util.ArrayList<>();
        parts.forEach(p -> all.addAll(p.sentences()));
        dangers.forEach(e -> all.add(e.sentence()));
        openings.forEach(e -> all.add(e.sentence()));
        return all;
    }
}
