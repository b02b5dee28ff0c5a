package farglass.matchup.model;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.match.Corner;
import farglass.match.Role;
import farglass.match.Span;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** The positions of the lexicon, like put to like, so that rates rest on more than a few occurrences. */
public final class StateSpace {
    /**
     * Positions that share their rates; the first gives the group its code. A position named nowhere is a group of its
     * own.
     */
    private static final List<List<String>> TOGETHER = List.of(
            List.of("CLN", "KNE"),
            List.of("SLG", "DLH"),
            List.of("BLS", "SBC"),
            List.of("HFG", "QTR", "TQM"),
            List.of("DHG", "RHG", "IHG"),
            List.of("BTF", "BHF"),
            List.of("SLX", "XGD"),
            List.of("LAS", "SPD", "CSG"),
            List.of("KGD", "HIG", "SHN"),
            List.of("ASH", "OAS", "SCI"),
            List.of("SAD", "B50"),
            List.of("HQ", "LST"),
            List.of("OVU", "STK"),
            List.of("LDR", "KCT"),
            List.of("SDC", "SCF"),
            List.of("MNT", "HMT"),
            List.of("CRB", "TRK"));

    private static final String UNSEEN = "UNK";
    private static final Set<String> CONTROLLED = Set.of("pin", "back-turtle");
    private static final Set<String> PAYING = Set.of("knee-on-belly", "mount", "back");

    private final Lexicon lexicon;
    private final Map<String, String> of = new HashMap<>();

    /** Classes of the positions of a lexicon. */
    public StateSpace(Lexicon lexicon) {
        this.lexicon = lexicon;
        TOGETHER.forEach(row -> row.forEach(code -> of.put(code, row.get(0))));
    }

    /** The class of a position; the position itself when it stands alone. */
    public String of(String position) {
        return of.getOrDefault(position, position);
    }

    /** Where an athlete is in a span; null while it is off the picture. */
    public @Nullable ModelState place(Span span, Corner me) {
        if (span.place().equals(UNSEEN) || span.place().equals("LCK")) {
            return null;
        }
        return new ModelState(of(span.place()), standing(Role.of(span, me)), false);
    }

    private static int standing(Role role) {
        return switch (role) {
            case HOLDER -> 1;
            case NEUTRAL -> 0;
            default -> -1;
        };
    }

    private @Nullable Position position(String group) {
        return lexicon.position(group).orElse(null);
    }

    /** Family and standing: what a place falls back to. */
    public String family(ModelState p) {
        Position x = position(p.group());
        return (x == null ? "other" : x.family()) + sign(p.standing());
    }

    private static String sign(int standing) {
        return standing > 0 ? "+" : standing < 0 ? "-" : "=";
    }

    /** Whether a class is a guard. */
    public boolean guard(String group) {
        Position x = position(group);
        return x != null && x.guard();
    }

    /** A place named after whoever passes, though the other still has guard. */
    public boolean passing(String group) {
        Position x = position(group);
        return x != null && x.family().equals("passing");
    }

    /** A pin, the back or the turtle: one athlete controls the other without a guard between them. */
    public boolean controlled(String group) {
        Position x = position(group);
        return x != null && CONTROLLED.contains(x.family());
    }

    /** Knee on belly, mount and back with hooks: what pays a second time only when control was lost between. */
    boolean paying(String group) {
        Position x = position(group);
        return x != null && x.scoring() != null && PAYING.contains(x.scoring());
    }

    double value(String group) {
        Position x = position(group);
        return x == null ? 0 : x.value();
    }

    /** The lexicon whose positions are told apart. */
    public Lexicon lexicon() {
        return lexicon;
    }
}
