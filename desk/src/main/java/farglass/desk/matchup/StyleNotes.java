package farglass.desk.matchup;

import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Result;
import farglass.profile.Claim;
import farglass.profile.ClaimPage;
import farglass.profile.ClaimWriter;
import farglass.profile.Profile;
import farglass.profile.Question;
import farglass.profile.Section;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import farglass.text.CoreWords;
import farglass.time.Dates;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.layout.VBox;

/** What no rate says, in lines: each one's sides, first grips and openings, and how they met before. */
record StyleNotes(List<String> sides, List<String> grips, List<String> history) {
    private static final long SEED = 1;
    private static final int TOLD = 6;

    static StyleNotes of(LibraryIndex index, String us, String them, Filter filter, ClaimWriter writer) {
        List<String> sides = new ArrayList<>();
        List<String> grips = new ArrayList<>();
        for (String who : List.of(us, them)) {
            for (Question q : List.of(Question.PASSING, Question.GUARDS, Question.TAKEDOWNS)) {
                ClaimPage page = Profile.page(index, who, filter, SEED, q);
                for (Section s : page.sections()) {
                    for (Claim c : s.claims()) {
                        if (c.topic() == Claim.Topic.SIDE) {
                            add(sides, c, writer);
                        } else if (c.topic() == Claim.Topic.OPENING) {
                            add(grips, c, writer);
                        }
                    }
                }
            }
        }
        return new StyleNotes(sides, grips, history(index, us, them));
    }

    private static void add(List<String> lines, Claim c, ClaimWriter writer) {
        String line =
                writer.sentence(c) + "  " + writer.number(c) + " (" + writer.interval(c) + "), " + writer.counts(c);
        if (!lines.contains(line) && lines.size() < 2 * TOLD) {
            lines.add(line);
        }
    }

    private static List<String> history(LibraryIndex index, String us, String them) {
        List<String> lines = new ArrayList<>();
        for (MatchRecord r : index.records(us)) {
            if (r.cornerOf(them).isEmpty()) {
                continue;
            }
            Result result = r.details().result();
            Corner winner = result == null ? null : result.winner();
            lines.add(Words.of(
                    "matchup.met",
                    Dates.words(r.details().date()),
                    String.valueOf(r.details().event()),
                    winner == null
                            ? Words.of("matchup.met.nobody")
                            : r.athlete(winner).name(),
                    result == null ? "" : CoreWords.code(result.method().code())));
        }
        return lines;
    }

    void fill(VBox box) {
        box.getChildren().clear();
        part(box, "matchup.sides", "matchup.sides.none", sides);
        part(box, "matchup.grips", "matchup.grips.none", grips);
        part(box, "matchup.history", "matchup.history.none", history);
    }

    private static void part(VBox box, String key, String none, List<String> lines) {
        box.getChildren().add(Ui.label(Words.of(key), "heading"));
        if (lines.isEmpty()) {
            box.getChildren().add(Ui.empty(Words.of(none)));
        }
        lines.forEach(l -> box.getChildren().add(Ui.prose(l, "pinned-sentence")));
    }
}
