package farglass.ask;

import farglass.match.RecordKind;
import farglass.match.Side;
import farglass.tendency.Filter;
import farglass.tendency.Moment;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;

/** The fixed words of the question line; everything else comes from the lexicon and the names. */
final class AskWords {
    static final Map<String, Side> SIDES =
            Map.of("left", Side.LEFT, "right", Side.RIGHT, "l", Side.LEFT, "r", Side.RIGHT);
    static final Map<String, Asked.Measure> MEASURES = new LinkedHashMap<>();
    static final Map<String, UnaryOperator<Filter>> FILTERS = new LinkedHashMap<>();
    /** Words that carry nothing. */
    static final Set<String> SKIPPED = Set.of(
            "to", "the", "in", "when", "how", "does", "do", "she", "he", "they", "a", "an", "of", "is", "are", "what",
            "and", "with", "her", "his", "their", "it", "at", "from", "which", "for");

    static {
        MEASURES.put("works", Asked.Measure.WORKS);
        MEASURES.put("success", Asked.Measure.WORKS);
        MEASURES.put("how often", Asked.Measure.RATE);
        MEASURES.put("rate", Asked.Measure.RATE);
        MEASURES.put("often", Asked.Measure.RATE);
        MEASURES.put("side", Asked.Measure.SIDES);
        MEASURES.put("sides", Asked.Measure.SIDES);
        MEASURES.put("how long", Asked.Measure.LASTS);
        MEASURES.put("lasts", Asked.Measure.LASTS);
        MEASURES.put("held", Asked.Measure.LASTS);
        MEASURES.put("next", Asked.Measure.NEXT);
        MEASURES.put("then", Asked.Measure.NEXT);
        MEASURES.put("answers to", Asked.Measure.ANSWERS);
        MEASURES.put("answers", Asked.Measure.ANSWERS);
        MEASURES.put("reactions", Asked.Measure.ANSWERS);
        MEASURES.put("of the others", Asked.Measure.AGAINST);
        MEASURES.put("against her", Asked.Measure.AGAINST);
        MEASURES.put("against him", Asked.Measure.AGAINST);
        FILTERS.put("gi", f -> f.attire("gi"));
        FILTERS.put("no-gi", f -> f.attire("no-gi"));
        FILTERS.put("no gi", f -> f.attire("no-gi"));
        FILTERS.put("behind", f -> f.moment(f.moment().score(Moment.Standing.BEHIND)));
        FILTERS.put("losing", f -> f.moment(f.moment().score(Moment.Standing.BEHIND)));
        FILTERS.put("ahead", f -> f.moment(f.moment().score(Moment.Standing.AHEAD)));
        FILTERS.put("leading", f -> f.moment(f.moment().score(Moment.Standing.AHEAD)));
        FILTERS.put("level", f -> f.moment(f.moment().score(Moment.Standing.LEVEL)));
        FILTERS.put("tied", f -> f.moment(f.moment().score(Moment.Standing.LEVEL)));
        FILTERS.put("first third", f -> f.moment(f.moment().clock(Moment.Part.FIRST_THIRD)));
        FILTERS.put("second third", f -> f.moment(f.moment().clock(Moment.Part.SECOND_THIRD)));
        FILTERS.put("last third", f -> f.moment(f.moment().clock(Moment.Part.LAST_THIRD)));
        FILTERS.put("early", f -> f.moment(f.moment().clock(Moment.Part.FIRST_THIRD)));
        FILTERS.put("late", f -> f.moment(f.moment().clock(Moment.Part.LAST_THIRD)));
        FILTERS.put("last two minutes", f -> f.moment(f.moment().clock(Moment.Part.LAST_TWO_MINUTES)));
        FILTERS.put("on top", f -> f.moment(f.moment().role("holder")));
        FILTERS.put("as guard", f -> f.moment(f.moment().role("guard")));
        FILTERS.put("underneath", f -> f.moment(f.moment().role("under")));
        FILTERS.put("with rounds", f -> f.kinds(Set.of(RecordKind.MATCH, RecordKind.ROUND)));
        FILTERS.put("in training", f -> f.kinds(Set.of(RecordKind.ROUND)));
    }

    private AskWords() {}
}
