package farglass.scout;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.match.Role;
import java.text.MessageFormat;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.regex.Pattern;

/** Puts a report into words of one language. */
public final class ReportWriter {
    private static final Pattern WHOLE = Pattern.compile("\\d{1,9}");

    /** Letters of a line beside a way. */
    private static final int SHORTEST = 2;

    private static final int LINE = 15;

    private final ResourceBundle words;
    private final Locale locale;

    /** Writes in a language that has words. */
    public ReportWriter(Locale locale) {
        this.locale = locale;
        this.words = ResourceBundle.getBundle("farglass.scout.Report", locale);
    }

    /** A sentence with its full stop. */
    public String text(Sentence s) {
        StringBuilder text = new StringBuilder();
        s.assertions()
                .forEach(c -> text.append(format(
                        c.template(),
                        c.args().stream().map(ReportWriter::number).toArray())));
        return text.append('.').toString();
    }

    /** The heading of a part. */
    public String heading(Heading h) {
        return words.getString("heading." + h);
    }

    /** What stands in a box of a game figure. */
    public String box(GameFigure.Box b, Lexicon lexicon) {
        if (b.kind() == GameFigure.Kind.FINISH) {
            return words.getString("game.finish");
        }
        if (b.position().equals("STD")) {
            return words.getString("game.feet");
        }
        boolean above = b.role() == Role.HOLDER
                && lexicon.position(b.position()).map(Position::guard).orElse(false);
        String name = String.valueOf(lexicon.positionName(b.position()));
        return above ? format("game.above", name) : name;
    }

    /** What stands at a way of it, in short lines: "lasso sweep", "6 of 12". */
    public List<String> link(GameFigure.Link l, Lexicon lexicon) {
        List<String> lines = new ArrayList<>();
        String name = String.valueOf(lexicon.techniqueName(l.technique()));
        if (advance(l)) {
            name = format(
                    "game.to",
                    lexicon.technique(l.technique())
                            .map(t -> String.valueOf(lexicon.positionName(t.to().isEmpty() ? "" : t.to().get(0))))
                            .orElse(name));
        }
        StringBuilder line = new StringBuilder();
        for (String word : name.split(" ")) {
            if (line.length() > SHORTEST && line.length() + word.length() >= LINE) {
                lines.add(line.toString());
                line.setLength(0);
            }
            line.append(line.length() == 0 ? "" : " ").append(word);
        }
        lines.add(line.toString());
        lines.add(format("game.link", l.worked(), l.tries()));
        return lines;
    }

    /** A way in full, for those who do not see the drawing. */
    public String way(GameFigure f, GameFigure.Link l, Lexicon lexicon) {
        // an advance is named after where it leads
        String way = advance(l) ? "game.advance" : "game.way";
        return format(
                l.second() ? way + ".second" : way,
                box(f.box(l.from()).orElseThrow(), lexicon),
                lexicon.techniqueName(l.technique()),
                box(f.box(l.to()).orElseThrow(), lexicon),
                l.worked(),
                l.tries());
    }

    private static boolean advance(GameFigure.Link l) {
        return l.technique().startsWith("to-");
    }

    /** Whole numbers as such, so that the language may have its own word for one and for many. */
    private static Object number(String arg) {
        return WHOLE.matcher(arg).matches() ? (Object) Integer.valueOf(arg) : arg;
    }

    private String format(String key, Object... args) {
        return new MessageFormat(words.getString(key), locale).format(args);
    }
}
