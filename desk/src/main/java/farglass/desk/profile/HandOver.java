package farglass.desk.profile;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.profile.Claim;
import farglass.profile.Profile;
import farglass.profile.Report;
import farglass.tendency.Filter;
import farglass.time.Dates;
import farglass.work.meeting.MeetingService;
import farglass.work.profile.ProfileService;
import farglass.work.publish.ProfilePublication;
import java.io.File;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** Writes what is handed over: dossier, profile, claims, an athlete's report. The outcome is told in a notice. */
public final class HandOver {
    private final Desk desk;

    HandOver(Desk desk) {
        this.desk = desk;
    }

    private ProfilePublication of(Profile p) {
        return new ProfilePublication(desk.material(), p, desk.claimWriter());
    }

    /**
     * Writes the dossier.
     *
     * @param chosen the claims to print, in their order
     * @param stills whether every claim gets a picture of one of its moments
     */
    public void dossier(Profile p, List<Claim> chosen, boolean stills, Path target) {
        desk.publisher()
                .export(
                        Words.of("hand-over.dossier-work"),
                        target,
                        of(p).dossier(
                                        chosen,
                                        desk.plan().get(),
                                        MeetingService.Ask.of(
                                                desk.assignment().get(),
                                                p.athlete(),
                                                desk.rulesets().get()),
                                        stills));
    }

    /** Writes {@code farglass.profile/1}. */
    public void json(Profile p, Path target) {
        desk.publisher().export(Words.of("hand-over.json-work"), target, of(p).document());
    }

    /** Writes every claim of every page as a table. */
    public void csv(Profile p, Path target) {
        desk.publisher().export(Words.of("hand-over.csv-work"), target, of(p).table());
    }

    /** Writes an athlete's report as a page. */
    public void report(Report r, Path target) {
        String basis = Words.of("profile.basis", r.matches(), Math.round(r.exposureMs() / 60_000.0)) + ", "
                + Dates.words(LocalDate.now(desk.clock()));
        desk.publisher()
                .export(
                        Words.of("hand-over.report-work"),
                        target,
                        ProfilePublication.report(desk.material(), r, basis));
    }

    /**
     * Asks what of the athlete in sight is handed over; the whole profile is worked out first, a page alone is not
     * enough.
     */
    void ask(
            ProfileService profiles,
            Filter filter,
            Consumer<Function<Runnable, Node>> lay,
            Consumer<Exception> failed) {
        String who = desk.profiled().get();
        desk.tasks()
                .query(
                        "hand-over",
                        () -> profiles.profile(who, filter),
                        p -> lay.accept(close -> new HandOverSheet(
                                desk,
                                this,
                                p,
                                ProfileService.own(
                                        p.evidence(), who, desk.plan().get()),
                                close)),
                        failed);
    }

    /** Asks where to write. */
    Optional<Path> target(String name, Window window) {
        FileChooser chooser = new FileChooser();
        chooser.setInitialFileName(name);
        return Optional.ofNullable(chooser.showSaveDialog(window)).map(File::toPath);
    }

    void chooseReport(Report r, Window window) {
        target(r.athlete() + ".report.pdf", window).ifPresent(path -> report(r, path));
    }
}
