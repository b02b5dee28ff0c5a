package farglass.ask;

import farglass.match.RecordKind;
import farglass.match.Role;
import farglass.match.Side;
import farglass.tendency.Filter;
import farglass.tendency.Moment;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;

/** The fixed words of the question line; everything else comes from the lexicon and the names. */
final class AskWords {
    static final Map<String, Side> SIDES =
            Map.of("left", Side.LEFT, "right", Side.RIGHT, "l", Side.LEFT, "r", Side.RIGHT);
    static final Map<String, Asked.Measure> MEASURES = measures();
    static final Map<String, UnaryOperator<Filter>> FILTERS = filters();
    /** Words that carry nothing. */
    static final Set<String> SKIPPED = Set.of(
            "to", "the", "in", "when", "how", "does", "do", "she", "he", "they", "a", "an", "of", "is", "are", "what",
            "and", "with", "her", "his", "their", "it", "at", "from", "which", "for");

    private static Map<String, Asked.Measure> measures() {
        Map<String, Asked.Measure> m = new LinkedHashMap<>();
        m.put("works", Asked.Measure.WORKS);
        m.put("success", Asked.Measure.WORKS);
        m.put("how often", Asked.Measure.RATE);
        m.put("rate", Asked.Measure.RATE);
        m.put("often", Asked.Measure.RATE);
        m.put("side", Asked.Measure.SIDES);
        m.put("sides", Asked.Measure.SIDES);
        m.put("how long", Asked.Measure.LASTS);
        m.put("lasts", Asked.Measure.LASTS);
        m.put("held", Asked.Measure.LASTS);
        m.put("next", Asked.Measure.NEXT);
        m.put("then", Asked.Measure.NEXT);
        m.put("answers to", Asked.Measure.ANSWERS);
        m.put("answers", Asked.Measure.ANSWERS);
        m.put("reactions", Asked.Measure.ANSWERS);
        m.put("of the others", Asked.Measure.AGAINST);
        m.put("against her", Asked.Measure.AGAINST);
        m.put("against him", Asked.Measure.AGAINST);
        return Collections.unmodifiableMap(m);
    }

    private static Map<String, UnaryOperator<Filter>> filters() {
        Map<String, UnaryOperator<Filter>> m = new LinkedHashMap<>();
        m.put("gi", f -> f.attire("gi"));
        m.put("no-gi", f -> f.attire("no-gi"));
        m.put("no gi", f -> f.attire("no-gi"));
        m.put("behind", f -> f.moment(f.moment().score(Moment.Standing.BEHIND)));
        m.put("losing", f -> f.moment(f.moment().score(Moment.Standing.BEHIND)));
        m.put("ahead", f -> f.moment(f.moment().score(Moment.Standing.AHEAD)));
        m.put("leading", f -> f.moment(f.moment().score(Moment.Standing.AHEAD)));
        m.put("level", f -> f.moment(f.moment().score(Moment.Standing.LEVEL)));
        m.put("tied", f -> f.moment(f.moment().score(Moment.Standing.LEVEL)));
        m.put("first third", f -> f.moment(f.moment().clock(Moment.Part.FIRST_THIRD)));
        m.put("second third", f -> f.moment(f.moment().clock(Moment.Part.SECOND_THIRD)));
        m.put("last third", f -> f.moment(f.moment().clock(Moment.Part.LAST_THIRD)));
        m.put("early", f -> f.moment(f.moment().clock(Moment.Part.FIRST_THIRD)));
        m.put("late", f -> f.moment(f.moment().clock(Moment.Part.LAST_THIRD)));
        m.put("last two minutes", f -> f.moment(f.moment().clock(Moment.Part.LAST_TWO_MINUTES)));
        m.put("on top", f -> f.moment(f.moment().role(Role.HOLDER)));
        m.put("as guard", f -> f.moment(f.moment().role(Role.GUARD)));
        m.put("underneath", f -> f.moment(f.moment().role(Role.UNDER)));
        m.put("with rounds", f -> f.kinds(Set.of(RecordKind.MATCH, RecordKind.ROUND)));
        m.put("in training", f -> f.kinds(Set.of(RecordKind.ROUND)));
        return Collections.unmodifiableMap(m);
    }

    private AskWords() {}
}
