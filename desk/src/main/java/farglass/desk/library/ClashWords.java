package farglass.desk.library;

import farglass.desk.shell.EditWords;
import farglass.desk.shell.Words;
import farglass.lexicon.Lexicon;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.store.Mirror;
import farglass.store.TeamChange;
import farglass.store.json.EditJson;
import farglass.store.json.FormatException;
import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;

/**
 * The two versions of what two people changed.
 *
 * @param stands what somebody else made of it
 * @param wanted what was wanted here
 */
record ClashWords(String stands, String wanted) {
    /** @param record the match it is about, or null */
    static ClashWords of(Mirror.Open c, MatchRecord record, Lexicon lexicon) {
        if (c.kind() == TeamChange.Kind.MATCH && record != null) {
            try {
                return of(EditJson.read(c.mine()), c.fields(), new EditWords(record, lexicon));
            } catch (FormatException e) {
                // told as any other thing is
            }
        }
        String parts = c.fields().stream()
                .map(f -> f.replaceFirst("^/", "").replace('/', ' '))
                .collect(Collectors.joining(", "));
        return new ClashWords(Words.of("team.other", parts), Words.of("team.other", parts));
    }

    private static ClashWords of(Edit edit, List<String> fields, EditWords words) {
        if (edit instanceof Edit.Replace r) {
            return new ClashWords(words.tag(r.before()), words.tag(r.after()));
        }
        if (edit instanceof Edit.Add a) {
            return new ClashWords(Words.of("team.away"), words.tag(a.tag()));
        }
        if (edit instanceof Edit.Remove r) {
            return new ClashWords(words.tag(r.tag()), Words.of("team.away"));
        }
        if (edit instanceof Edit.SetDetails d) {
            return new ClashWords(head(d.before(), fields), head(d.after(), fields));
        }
        return new ClashWords(words.edit(edit.inverse()), words.edit(edit));
    }

    private static String head(MatchRecord.Details d, List<String> fields) {
        return fields.stream().map(f -> Objects.toString(value(d, f), "-")).collect(Collectors.joining(", "));
    }

    private static Object value(MatchRecord.Details d, String field) {
        return switch (field) {
            case "date" -> d.date();
            case "event" -> d.event();
            case "round" -> d.round();
            case "division" -> d.division();
            case "attire" -> d.attire();
            case "ruleset" -> d.ruleset();
            case "lengthMs" -> Words.of("team.minutes", d.lengthMs() / 60_000.0);
            case "result" -> d.result() == null ? null : d.result().method().code();
            // of the athletes: the names as they are there
            default -> d.a().name() + " - " + d.b().name();
        };
    }
}
