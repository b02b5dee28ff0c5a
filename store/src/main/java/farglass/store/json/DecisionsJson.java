package farglass.store.json;

import farglass.matchup.advise.Decision;
import farglass.matchup.advise.DecisionWriter;
import farglass.matchup.advise.Decisions;
import farglass.matchup.advise.Proposal;
import farglass.matchup.model.ModelState;
import farglass.matchup.solve.Region;
import farglass.stats.TagRef;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** The decisions of a computed plan, as rows of {@code farglass.plan/1}. */
final class DecisionsJson {
    private final Proposal proposal;
    private final DecisionWriter writer;

    DecisionsJson(Proposal proposal, DecisionWriter writer) {
        this.proposal = proposal;
        this.writer = writer;
    }

    List<Map<String, Object>> rows() {
        return proposal.decisions().valued().stream().map(this::row).toList();
    }

    /** What they carry of the whole gain, and in how many draws they were valued. */
    Map<String, Object> carried() {
        Decisions d = proposal.decisions();
        return Row.of("gain", d.carried(), "whole", d.whole(), "draws", d.draws());
    }

    List<String> calls() {
        return writer.calls(proposal.decisions().valued().stream()
                .map(Decisions.Valued::decision)
                .toList());
    }

    List<Map<String, Object>> refuse() {
        return proposal.refuse().stream()
                .map(r -> Row.of(
                        "text",
                        writer.refusal(r),
                        "state",
                        r.place().key(),
                        "worth",
                        r.worth(),
                        "minutes",
                        r.minutes(),
                        "share",
                        r.share(),
                        "usual",
                        r.usual()))
                .toList();
    }

    List<Map<String, Object>> weapons() {
        return proposal.weapons().stream()
                .map(w -> Row.of(
                        "text",
                        writer.weapon(w),
                        "technique",
                        w.technique(),
                        "costs",
                        w.costs(),
                        "tenth",
                        w.tenth(),
                        "worked",
                        w.worked(),
                        "decided",
                        w.decided(),
                        "tags",
                        tags(w.tags().stream())))
                .toList();
    }

    static List<Map<String, Object>> tags(Stream<TagRef> tags) {
        return tags.distinct()
                .map(t -> Row.of("match", t.match(), "tag", t.tag()))
                .toList();
    }

    private Map<String, Object> row(Decisions.Valued v) {
        Decision d = v.decision();
        Map<String, Object> row = Row.of("text", writer.sentence(d));
        row.putAll(what(d));
        long length = proposal.solved().meeting().question().lengthMs();
        row.put("leftFromMs", leftFrom(d, length));
        row.put("leftToMs", leftTo(d, length));
        row.put("worth", v.worth());
        row.put("lo", v.range() == null ? null : v.range().lo());
        row.put("hi", v.range() == null ? null : v.range().hi());
        row.put("holds", v.holds());
        row.put("answered", v.answered());
        row.put("tags", tags(d.tags(proposal.solved().meeting().model()).stream()));
        return row;
    }

    /** Where and at what scores what is done. */
    static Map<String, Object> what(Decision d) {
        return Row.of(
                "place",
                d.places().get(0).key(),
                "places",
                d.places().stream().map(ModelState::key).toList(),
                "action",
                d.option().key(),
                "leads",
                Stream.of(Region.Lead.values())
                        .filter(d.leads()::contains)
                        .map(Enum::name)
                        .toList());
    }

    /** Time left when it begins to hold. */
    private static long leftFrom(Decision d, long length) {
        if (d.parts().contains(Region.Part.FIRST)) {
            return length;
        }
        return d.parts().contains(Region.Part.SECOND) ? length / 2 : Math.min(length, Region.LAST_MS);
    }

    /** Time left when it ends. */
    private static long leftTo(Decision d, long length) {
        if (d.parts().contains(Region.Part.LAST)) {
            return 0;
        }
        return d.parts().contains(Region.Part.SECOND) ? Math.min(length, Region.LAST_MS) : length / 2;
    }
}
