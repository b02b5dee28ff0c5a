package farglass.desk.profile;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.plan.PinnedClaim;
import farglass.profile.Claim;
import farglass.profile.ClaimPage;
import farglass.profile.Profile;
import farglass.scout.ReportWriter;
import farglass.scout.ScoutingReport;
import farglass.scout.Sentence;
import farglass.stats.Trial;
import farglass.tendency.Filter;
import farglass.text.Language;
import farglass.work.meeting.MeetingService;
import farglass.work.profile.ProfileService;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;

/** The report of the athlete in sight, and what is done with its sentences. */
final class ScoutingPage extends StackPane implements ScoutingActions {
    private final Desk desk;
    private final ScoutingList list;
    private final ReportWriter writer = new ReportWriter(Language.locale());
    private final Consumer<List<Trial>> playAll;
    private final ChosenClaim claims;
    private final BiConsumer<String, Claim> openEvidence;
    private final Consumer<Function<Runnable, Node>> lay;
    private Profile profile;
    private Filter filter;

    /**
     * @param claims pins
     * @param openEvidence opens a page by its name and shows a claim on it
     * @param lay lays a sheet over the station
     */
    ScoutingPage(
            Desk desk,
            Consumer<List<Trial>> playAll,
            ChosenClaim claims,
            BiConsumer<String, Claim> openEvidence,
            Consumer<Function<Runnable, Node>> lay) {
        this.desk = desk;
        this.playAll = playAll;
        this.claims = claims;
        this.openEvidence = openEvidence;
        this.lay = lay;
        this.list = new ScoutingList(desk, writer, this);
        getChildren().add(list);
    }

    /** A report that was worked out, with the profile it is made of; then what it is worth to our athlete. */
    void show(Profile p, ScoutingReport r, Filter under) {
        profile = p;
        filter = under;
        list.show(r);
        String who = r.athlete();
        MeetingService.Ask.of(desk.assignment().get(), who, desk.rulesets().get())
                .ifPresent(ask -> desk.tasks()
                        .query(
                                "profile-stakes",
                                () -> ProfileService.scouting(p, Optional.of(ask)),
                                weighed -> {
                                    if (profile == p) {
                                        list.show(weighed);
                                    }
                                },
                                e -> desk.notices().problem(Words.of("profile.failed", e.getMessage()))));
    }

    /** The plan changed: words, pins, order. */
    void again() {
        list.again();
    }

    ScoutingList list() {
        return list;
    }

    void withChosen(Consumer<ScoutingRow.Told> deed) {
        list.chosen().ifPresentOrElse(deed, () -> desk.notices().done(Words.of("scouting.choose")));
    }

    @Override
    public void requestFocus() {
        list.requestFocus();
    }

    @Override
    public void play(Sentence s) {
        playAll.accept(s.moments());
    }

    @Override
    public void pin(Sentence s) {
        s.main().ifPresent(c -> {
            if (claims.hasPlan()) {
                String who = profile.athlete();
                PinnedClaim pinned = PinnedClaim.of(who, c, desk.claimWriter(), filter);
                desk.changePlan(p -> p.isPinned(who, c.id()) ? p.unpin(pinned) : p.pin(pinned));
            }
        });
    }

    @Override
    public void reword(ScoutingRow.Told row) {
        if (claims.hasPlan()) {
            lay.accept(close -> new RewordSheet(desk, row.edit(), writer.text(row.sentence()), close));
        }
    }

    @Override
    public void leaveOut(ScoutingRow.Told row) {
        if (claims.hasPlan()) {
            desk.changePlan(
                    p -> p.report(p.report().with(row.edit().leftOut(!row.edit().leftOut()))));
        }
    }

    @Override
    public void move(ScoutingRow.Told row, int by) {
        if (claims.hasPlan()) {
            List<String> part = list.part(row.part());
            desk.changePlan(p -> p.report(
                    p.report().move(profile.athlete(), part, row.sentence().id(), by)));
        }
    }

    @Override
    public void evidence(Sentence s) {
        s.main()
                .ifPresent(c -> profile.pages().values().stream()
                        .filter(page -> holds(page, c))
                        .findFirst()
                        .ifPresent(page -> openEvidence.accept(page.question().name(), c)));
    }

    private static boolean holds(ClaimPage page, Claim c) {
        return page.claims().stream().anyMatch(x -> x.id().equals(c.id()));
    }
}
