package farglass.check;

import farglass.lexicon.Lexicon;
import farglass.match.Edit;
import farglass.match.Finding;
import farglass.match.Finding.Severity;
import farglass.match.MatchRecord;
import farglass.match.RecordKind;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.text.CoreWords;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;

/** Beginning and end, stops and restarts. */
final class ShapeCheck {
    private ShapeCheck() {}

    static List<Finding> findings(MatchRecord r, Lexicon lexicon) {
        List<Finding> found = new ArrayList<>();
        if (r.tags().isEmpty()) {
            found.add(Finding.whole("empty", Severity.INFO, CoreWords.of("check.empty")));
            return found;
        }
        if (r.kind() == RecordKind.MATCH) {
            beginning(r, found);
            ending(r, lexicon, found);
        }
        stops(r, found);
        return found;
    }

    private static void beginning(MatchRecord r, List<Finding> found) {
        int starts = 0;
        for (int i = 0; i < r.tags().size(); i++) {
            if (r.tags().get(i) instanceof Tag.Start && ++starts > 1) {
                found.add(Finding.at(r, i, "second-start", Severity.WARNING, CoreWords.of("check.second-start"))
                        .repair(Edit.remove(r, i), CoreWords.of("repair.take-out")));
            }
        }
        MatchTime first = r.tags().get(0).t();
        if (starts == 0) {
            Tag start = new Tag.Start(first, TagInfo.NONE);
            found.add(Finding.at(r, 0, "no-start", Severity.INFO, CoreWords.of("check.no-start"))
                    .repair(new Edit.Add(0, start), CoreWords.of("repair.start")));
        }
        boolean placed = r.tags().stream().anyMatch(t -> t instanceof Tag.Position p && p.t().equals(first));
        boolean acts = r.tags().stream().anyMatch(t -> t instanceof Tag.Action || t instanceof Tag.Position);
        if (!placed && acts && first.equals(MatchTime.ZERO)) {
            Tag standing = Tag.Position.of(first, "STD", null, null);
            found.add(Finding.at(r, 0, "no-first-place", Severity.WARNING, CoreWords.of("check.no-first-place"))
                    .repair(Edit.add(r, standing), CoreWords.of("repair.standing")));
        }
    }

    private static void ending(MatchRecord r, Lexicon lexicon, List<Finding> found) {
        int ends = 0;
        for (int i = 0; i < r.tags().size(); i++) {
            if (r.tags().get(i) instanceof Tag.End && ++ends > 1) {
                found.add(Finding.at(r, i, "second-end", Severity.WARNING, CoreWords.of("check.second-end"))
                        .repair(Edit.remove(r, i), CoreWords.of("repair.take-out")));
            }
        }
        if (ends > 0) {
            return;
        }
        for (int i = 0; i < r.tags().size(); i++) {
            if (r.tags().get(i) instanceof Tag.Action a
                    && a.completed()
                    && lexicon.familyOf(a.technique()).equals("submission")) {
                found.add(Finding.at(
                                r, i, "finish-without-end", Severity.WARNING, CoreWords.of("check.finish-without-end"))
                        .repair(Edit.add(r, new Tag.End(a.end(), TagInfo.NONE)), CoreWords.of("repair.end-there")));
                return;
            }
        }
        MatchTime length = MatchTime.ofMs(r.details().lengthMs());
        if (r.details().result() != null) {
            int last = r.tags().size() - 1;
            MatchTime end = r.end().compareTo(length) > 0 ? r.end() : length;
            found.add(Finding.at(r, last, "no-end", Severity.INFO, CoreWords.of("check.no-end"))
                    .repair(Edit.add(r, new Tag.End(end, TagInfo.NONE)), CoreWords.of("repair.end-time")));
        }
    }

    private static void stops(MatchRecord r, List<Finding> found) {
        int stopped = -1;
        for (int i = 0; i < r.tags().size(); i++) {
            Tag tag = r.tags().get(i);
            if (tag instanceof Tag.Stop) {
                if (stopped >= 0) {
                    found.add(Finding.at(r, i, "stopped-twice", Severity.WARNING, CoreWords.of("check.stopped-twice"))
                            .repair(Edit.remove(r, i), CoreWords.of("repair.take-out")));
                }
                stopped = i;
            } else if (tag instanceof Tag.Resume) {
                if (stopped < 0) {
                    found.add(Finding.at(
                                    r,
                                    i,
                                    "resume-without-stop",
                                    Severity.WARNING,
                                    CoreWords.of("check.resume-without-stop"))
                            .repair(stopBefore(r, i), CoreWords.of("repair.stop-before")));
                }
                stopped = -1;
            } else if (stopped >= 0 && (tag instanceof Tag.Action || tag instanceof Tag.Position)) {
                boolean later = tag.t().compareTo(r.tags().get(stopped).t()) > 0;
                if (later) {
                    Tag resume = new Tag.Resume(r.tags().get(stopped).t(), null, null, null, TagInfo.NONE);
                    found.add(Finding.at(
                                    r,
                                    stopped,
                                    "stop-without-resume",
                                    Severity.WARNING,
                                    CoreWords.of("check.stop-without-resume"))
                            .repair(Edit.add(r, resume), CoreWords.of("repair.restart")));
                    stopped = -1;
                }
            }
        }
    }

    private static Edit stopBefore(MatchRecord r, int index) {
        return new Edit.Add(index, new Tag.Stop(r.tags().get(index).t(), "other", TagInfo.NONE));
    }
}
