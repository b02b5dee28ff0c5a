package farglass.phrase;

import farglass.lexicon.Grip;
import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.text.CoreWords;
import java.util.ArrayList;
import java.util.List;

/** Writes a tag as the phrase that would make it, for correction by typing. */
public final class PhraseWriter {
    private PhraseWriter() {}

    /** The phrase; fields that the phrase line cannot say are left out. */
    public static String phrase(Tag tag, Lexicon lexicon) {
        List<String> w = new ArrayList<>();
        if (tag instanceof Tag.Action a) {
            w.add(a.by().code());
            w.add(Lexicon.normal(lexicon.techniqueName(a.technique())));
            a.sides().forEach(s -> w.add(TypedWords.written(s == Side.NOT_VISIBLE ? "hidden" : s.code())));
            if (a.outcome() != null) {
                w.add(TypedWords.written(a.outcome().code()));
            }
            if (a.reached() != null) {
                w.add(a.reached().toString());
            }
            if (a.to() != null && lexicon.position(a.to()).isPresent()) {
                w.add(TypedWords.written("to") + " " + Lexicon.normal(lexicon.positionName(a.to())));
            }
            if (a.target() != null) {
                w.add(Lexicon.normal(lexicon.techniqueName(a.target())));
            }
            if (a.believed() != null) {
                w.add(TypedWords.written(a.believed() ? "believed" : "ignored"));
            }
            a.checks().forEach((check, met) -> w.add((met ? "+" : "-") + check));
            if (a.answer() != null && lexicon.answers().contains(a.answer())) {
                w.add(TypedWords.written("answer") + " " + CoreWords.code(a.answer()));
            }
        } else if (tag instanceof Tag.Position p) {
            boolean guard = lexicon.position(p.position())
                    .map(x -> x.guard() && !x.family().equals("passing"))
                    .orElse(false);
            Corner named = guard ? p.guard() : p.holder();
            if (named != null) {
                w.add(named.code());
            }
            w.add(Lexicon.normal(lexicon.positionName(p.position())));
            if (p.side() != null && p.side() != Side.NOT_VISIBLE) {
                w.add(TypedWords.written(p.side().code()));
            }
            if (p.cause() != null) {
                w.add(TypedWords.written(p.cause().code()));
            }
        } else if (tag instanceof Tag.Grip g) {
            w.add(g.by().code());
            String name =
                    lexicon.grip(g.grip()).map(x -> Lexicon.normal(x.name())).orElse(g.grip());
            boolean other = lexicon.lookUp(name).stream().anyMatch(t -> !(t instanceof Grip));
            w.add(other && g.depth() == null ? TypedWords.written(PhraseWords.GRIP) + " " + name : name);
            if (g.hand() != null && g.hand() != Side.NOT_VISIBLE) {
                w.add(TypedWords.written(g.hand().code()));
            }
            if (g.depth() != null) {
                w.add(TypedWords.written(g.depth()));
            }
        } else if (tag instanceof Tag.Body b) {
            w.add(b.of().code());
            w.add(Lexicon.normal(CoreWords.code(b.fact())));
            if (b.side() != null && b.side() != Side.NOT_VISIBLE) {
                w.add(TypedWords.written(b.side().code()));
            }
        } else if (tag instanceof Tag.Call c) {
            w.add(TypedWords.written(c.call().code()));
            w.add(c.who().code());
            if (c.value() != null) {
                w.add(c.value().toString());
            }
        } else if (tag instanceof Tag.Remark r) {
            w.add(TypedWords.written(r.kind().code()));
            if (r.by() != null) {
                w.add(r.by().code());
            }
            w.add(r.text() == null ? "" : r.text());
            if (r.instead() instanceof String instead) {
                w.add(TypedWords.written("instead") + " " + instead);
            }
            if (r.punished() != null) {
                w.add(TypedWords.written(r.punished() ? "punished" : "unpunished"));
            }
        } else {
            w.add(TypedWords.written(tag.type()));
        }
        if (tag.info().unsure() && !(tag instanceof Tag.Remark)) {
            w.add("?");
        }
        return String.join(" ", w);
    }
}
