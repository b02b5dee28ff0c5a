package farglass.work.publish;

import farglass.lexicon.Family;
import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.text.CoreWords;
import farglass.text.Language;
import farglass.work.words.WorkWords;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** A tag in a few words: what, and what about it. */
public record TagText(String what, String about, @Nullable Corner who) {
    /** A tag of a record in words; one that its tagger doubts ends with a question mark. */
    public static TagText of(MatchRecord r, Tag tag, Lexicon lexicon) {
        TagText text = plain(r, tag, lexicon);
        return tag.info().unsure() ? new TagText(text.what() + " ?", text.about(), text.who()) : text;
    }

    private static TagText plain(MatchRecord r, Tag tag, Lexicon lexicon) {
        if (tag instanceof Tag.Action a) {
            String sides = a.sides().isEmpty() ? "" : " " + letters(a.sides());
            return new TagText(lexicon.techniqueName(a.technique()) + sides, result(a, lexicon), a.by());
        }
        if (tag instanceof Tag.Position p) {
            Corner named = p.guard() != null && !passing(p, lexicon) ? p.guard() : p.holder();
            String who = named == null
                    ? ""
                    : WorkWords.of(
                            named == p.guard() ? "tag.plays" : "tag.ahead",
                            r.athlete(named).surname());
            return new TagText(lexicon.positionName(p.position()), who, named);
        }
        if (tag instanceof Tag.Grip g) {
            String hand = g.hand() == null
                    ? ""
                    : WorkWords.of("tag.hand", CoreWords.code(g.hand().code()));
            String depth = g.depth() == null ? "" : CoreWords.code(g.depth());
            return new TagText(
                    lexicon.grip(g.grip()).map(x -> x.name()).orElse(g.grip()),
                    List.of(hand, depth).stream().filter(s -> !s.isEmpty()).collect(Collectors.joining(", ")),
                    g.by());
        }
        if (tag instanceof Tag.Call c) {
            String value = c.value() == null ? "" : c.value() + " ";
            return new TagText(
                    value + CoreWords.code(c.call().code()), r.athlete(c.who()).surname(), c.who());
        }
        if (tag instanceof Tag.Remark m) {
            return new TagText(CoreWords.code(m.kind().code()), m.text() == null ? "" : m.text(), m.by());
        }
        if (tag instanceof Tag.Body b) {
            return new TagText(CoreWords.code(b.fact()), "", b.of());
        }
        if (tag instanceof Tag.Stop s) {
            return new TagText(CoreWords.code("stop"), s.reason() == null ? "" : CoreWords.code(s.reason()), null);
        }
        if (tag instanceof Tag.Resume s) {
            return new TagText(
                    CoreWords.code("resume"), s.position() == null ? "" : lexicon.positionName(s.position()), null);
        }
        return new TagText(CoreWords.code(tag.type()), "", null);
    }

    private static boolean passing(Tag.Position p, Lexicon lexicon) {
        return lexicon.position(p.position())
                .map(x -> x.family().equals("passing"))
                .orElse(false);
    }

    private static String letters(List<Side> sides) {
        return sides.stream()
                .map(s -> s == Side.NOT_VISIBLE
                        ? "?"
                        : CoreWords.code(s.code()).substring(0, 1).toUpperCase(Language.locale()))
                .collect(Collectors.joining(", "));
    }

    private static String result(Tag.Action a, Lexicon lexicon) {
        Integer reached = a.reached();
        if (reached != null) {
            return lexicon.family(lexicon.familyOf(a.technique()))
                    .map(Family::ladder)
                    .map(l -> l.get(reached - 1))
                    .orElse(reached.toString());
        }
        return a.outcome() == null ? "" : CoreWords.code(a.outcome().code());
    }

    /** Both parts on one line. */
    public String line() {
        return about.isEmpty() ? what : what + ", " + about;
    }
}
