package farglass.store;

import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.plan.Assignment;
import farglass.plan.Judgement;
import farglass.plan.PinnedClaim;
import farglass.plan.Plan;
import farglass.plan.ReportEdit;
import farglass.plan.ReportEdits;
import farglass.stats.Grade;
import farglass.stats.TagRef;
import farglass.time.MatchTime;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;

/** Records, plans and clocks that the tests of this module share. */
public final class Samples {
    public static final Clock NOON = clock("2031-04-12T12:00:00Z");

    private Samples() {}

    public static Clock clock(String instant) {
        return Clock.fixed(Instant.parse(instant), ZoneOffset.UTC);
    }

    /** The example of the open format's documentation. */
    public static String documented() {
        try (InputStream in = Samples.class.getResourceAsStream("documented.match.json")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public static MatchRecord record(String id) {
        MatchRecord.Details d = new MatchRecord.Details(
                LocalDate.of(2031, 4, 12),
                "Lantern Bay Open",
                null,
                null,
                "gi",
                "points-gi",
                480_000,
                MatchAthlete.of("ansa-kellivar", "Ansa Kellivar", null, null),
                MatchAthlete.of("brisa-tolendt", "Brisa Tolendt", null, null),
                null);
        return MatchRecord.of(
                id,
                d,
                List.of(),
                List.of(
                        new Tag.Start(MatchTime.ZERO, TagInfo.NONE),
                        Tag.Position.of(MatchTime.ZERO, "STD", null, (Corner) null)));
    }

    public static Tag.Action sweep(long ms) {
        return Tag.Action.of(MatchTime.ofMs(ms), Corner.B, "lasso-sweep");
    }

    /** One edit of every kind, each made for {@code r}. */
    public static List<Edit> edits(MatchRecord r) {
        Edit add = Edit.add(r, sweep(30_000));
        return List.of(
                add,
                add.inverse(),
                Edit.replace(r, 3, r.tags().get(3).at(MatchTime.ofMs(90_000))),
                new Edit.SetDetails(r.details(), r.details().result(null)),
                new Edit.SetFilms(r.films(), List.of()),
                new Edit.Batch(List.of(add, new Edit.SetFilms(r.films(), List.of()))),
                Edit.addAll(r, List.of(sweep(1000), sweep(2000))));
    }

    public static Plan plan() {
        PinnedClaim claim = new PinnedClaim(
                "brisa-tolendt",
                "guard.LAS",
                "When in guard, Tolendt plays lasso guard.",
                "7 of 20 in 6 matches",
                0.35,
                0.2,
                Double.NaN,
                Grade.FAIR);
        Plan p = Plan.empty("lantern.brisa-tolendt", "Against Tolendt", "ansa-kellivar", "brisa-tolendt");
        p = p.pin(claim).open("Collar first").follow("f1", "Pulls to lasso").remarks("calm");
        p = p.judge(Judgement.none("brisa-tolendt", "guard.LAS")
                .doubt("one film only")
                .remark("ask the coach"));
        p = p.claim("brisa-tolendt", "Looks at the clock before she pulls", List.of(new TagRef("m1", "t4")));
        p = p.report(ReportEdits.NONE
                .with(ReportEdit.none("brisa-tolendt", "start.opening.pull")
                        .wording("Sits at once.", "Pulls guard first in 7 of 12 matches."))
                .with(ReportEdit.none("brisa-tolendt", "sides.sweep").leftOut(true))
                .move("brisa-tolendt", List.of("bottom.guards", "bottom.defends"), "bottom.defends", -1));
        return p.change("f2", f -> f.resting(claim));
    }

    public static Assignment assignment(String id) {
        return new Assignment(
                id,
                "ansa-kellivar",
                List.of("brisa-tolendt"),
                "Lantern Bay Open",
                LocalDate.of(2031, 5, 3),
                "points-gi",
                "gi",
                8);
    }
}
