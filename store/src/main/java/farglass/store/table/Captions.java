package farglass.store.table;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.text.PlainLine;
import farglass.time.FilmTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/** WebVTT captions of a record's tags against the time of its first film. */
public final class Captions {
    private static final long SHOWN_MS = 2000;
    /** Characters of a cue. */
    private static final int MOST = 1000;

    private Captions() {}

    private record Cue(long from, String text) {}

    /** One cue of two seconds for every showing of every tag, replays too. */
    public static String write(MatchRecord r, Lexicon lexicon) {
        List<Cue> cues = new ArrayList<>();
        for (Tag tag : r.tags()) {
            String text = text(r, tag, lexicon);
            if (!text.isEmpty()) {
                for (FilmTime f : r.clock().filmTimes(tag.t())) {
                    cues.add(new Cue(f.ms(), text));
                }
            }
        }
        cues.sort(Comparator.comparingLong(Cue::from));
        StringBuilder out = new StringBuilder("WEBVTT\n");
        for (Cue c : cues) {
            out.append('\n')
                    .append(time(c.from()))
                    .append(" --> ")
                    .append(time(c.from() + SHOWN_MS))
                    .append('\n');
            // a blank line would end the cue
            String line = PlainLine.of(c.text(), MOST);
            out.append(line.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;"))
                    .append('\n');
        }
        return out.toString();
    }

    private static String text(MatchRecord r, Tag tag, Lexicon lexicon) {
        if (tag instanceof Tag.Action a) {
            String outcome = a.outcome() == null ? "" : ", " + a.outcome().code();
            return name(r, a.by()) + ": " + lexicon.techniqueName(a.technique()) + outcome;
        }
        if (tag instanceof Tag.Position p) {
            String ahead = p.holder() == null ? "" : ", " + name(r, p.holder()) + " ahead";
            return lexicon.positionName(p.position()) + ahead;
        }
        if (tag instanceof Tag.Remark m && m.text() != null) {
            return m.text();
        }
        return "";
    }

    private static String name(MatchRecord r, Corner c) {
        return r.athlete(c).surname();
    }

    private static String time(long ms) {
        return String.format(
                Locale.ROOT, "%02d:%02d:%02d.%03d", ms / 3_600_000, ms / 60_000 % 60, ms / 1000 % 60, ms % 1000);
    }
}
