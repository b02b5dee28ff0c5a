package farglass.scout;

import farglass.profile.Claim;
import java.util.ArrayList;
import java.util.List;

/** Which guards are played, and what is done from them. */
final class BottomPart {
    private static final int GUARDS = 2;
    private static final int ATTACKS = 2;
    /** Stays in which an attack must have been tried to be named. */
    private static final int TRIED = 3;

    private BottomPart() {}

    static List<Sentence> of(Known k) {
        List<Sentence> list = new ArrayList<>();
        List<Claim> used = k.firmly("guard.").stream()
                .filter(c -> c.template().equals("guard.used"))
                .toList();
        List<Claim> named = new ArrayList<>();
        for (Claim c : used) {
            boolean most = c.equals(used.get(0)) && Known.largest(used);
            if (named.size() < GUARDS && (most || Known.above(c))) {
                named.add(c);
            }
        }
        if (!named.isEmpty()) {
            list.add(guards(k, named, used));
        }
        for (Claim g : named) {
            attacks(k, g, list);
        }
        if (named.isEmpty()) {
            Choice.sentence(k, "bottom.choice", "guard.chosen", "bottom.works").ifPresent(list::add);
        }
        k.firm("against.all.pass")
                .filter(Known::below)
                .ifPresent(c -> list.add(new Sentence.Builder("bottom.defends")
                        .say("bottom.defends", c, Assertion.Says.LESS, Known.x(c), Known.n(c), Known.others(c))
                        .build()));
        return list;
    }

    private static Sentence guards(Known k, List<Claim> named, List<Claim> used) {
        Sentence.Builder s = new Sentence.Builder("bottom.guards");
        k.firm("place.guard")
                .filter(Known::above)
                .ifPresent(c -> s.say(
                        "bottom.time",
                        c,
                        Assertion.Says.MORE,
                        Known.percent(c.estimate().mean()),
                        Known.others(c)));
        String key = "bottom.guards";
        for (Claim g : named) {
            boolean most = g.equals(used.get(0)) && Known.largest(used);
            s.say(
                    key,
                    g,
                    most ? Assertion.Says.MOST : Assertion.Says.MORE,
                    g.args().get(1),
                    Known.percent(g.estimate().raw()));
            if (Known.above(g)) {
                s.others(g);
            }
            key = "bottom.then";
        }
        return s.build();
    }

    /** "From lasso guard the lasso sweep (in 6 of 11 stays) and the triangle (4)". */
    private static void attacks(Known k, Claim guard, List<Sentence> list) {
        String place = guard.id().substring(guard.id().indexOf('.') + 1);
        List<Claim> tries = k.firmly("tries." + place + ".guard.").stream()
                .filter(c -> c.estimate().x() >= TRIED)
                .limit(ATTACKS)
                .toList();
        if (tries.isEmpty()) {
            return;
        }
        Sentence.Builder s = new Sentence.Builder("bottom.from." + place);
        for (Claim c : tries) {
            boolean first = c.equals(tries.get(0));
            s.say(
                    first ? "bottom.from" : "bottom.and",
                    c,
                    Known.says(c),
                    guard.args().get(1),
                    c.args().get(2),
                    Known.x(c),
                    Known.n(c));
            if (Known.says(c) != Assertion.Says.COUNTED) {
                s.others(c);
            }
            String technique = c.id().substring(c.id().lastIndexOf('.') + 1);
            // its success is that of this guard only where it is hardly tried elsewhere
            k.firm("technique." + technique)
                    .filter(w -> w.estimate().n() <= 2 * c.estimate().x())
                    .ifPresent(w -> s.say("bottom.worked", w, Assertion.Says.COUNTED, Known.x(w), Known.n(w)));
        }
        list.add(s.build());
    }
}
