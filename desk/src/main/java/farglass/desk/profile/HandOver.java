package farglass.desk.profile;

import farglass.desk.reel.ReelExport;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Look;
import farglass.desk.shell.Words;
import farglass.film.reel.MomentStill;
import farglass.lexicon.Technique;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.plan.Judgement;
import farglass.plan.Plan;
import farglass.print.Basis;
import farglass.print.Dossier;
import farglass.print.ReportPaper;
import farglass.profile.Claim;
import farglass.profile.Profile;
import farglass.profile.Report;
import farglass.profile.Tables;
import farglass.stats.Trial;
import farglass.store.WholeFile;
import farglass.store.json.ProfileJson;
import farglass.store.table.ClaimTable;
import farglass.tendency.Evidence;
import java.awt.image.BufferedImage;
import java.io.File;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** Writes what is handed over: dossier, profile, claims, an athlete's report. The outcome is told in a notice. */
public final class HandOver {
    private static final long SEED = 1;
    private static final int STILL_WIDTH = 384;
    private static final int STILL_HEIGHT = 216;

    private final Desk desk;

    HandOver(Desk desk) {
        this.desk = desk;
    }

    /** Work that writes a file and may be cancelled. */
    private interface Writing {
        void to(Path target, DoubleConsumer progress, BooleanSupplier cancelled) throws IOException;
    }

    private void write(String name, Path target, Set<String> athletes, Writing writing) {
        desk.tasks().export(name, (progress, cancelled) -> {
            try {
                writing.to(target, progress, cancelled);
                if (!cancelled.getAsBoolean()) {
                    desk.exported(athletes, target);
                    desk.notices().done(Words.of("export.done", target));
                }
            } catch (IOException | UncheckedIOException e) {
                desk.notices().problem(Words.of("export.failed", target, e.getMessage()));
            }
        });
    }

    /**
     * Writes the dossier.
     *
     * @param chosen the claims to print, in their order
     * @param stills whether every claim gets a picture of one of its moments
     */
    public void dossier(Profile p, List<Claim> chosen, boolean stills, Path target) {
        Plan plan = desk.plan().get();
        boolean ours = desk.colourOf(p.athlete()).equals(Look.OURS);
        LocalDate today = LocalDate.now(desk.clock());
        Map<MatchRecord, Corner> records = amber();
        Path folder = desk.library().folder();
        write(Words.of("hand-over.dossier-work"), target, tellsOf(p), (path, progress, cancelled) -> {
            Pictures pictures = new Pictures(records, folder, cancelled);
            List<Dossier.Row> rows = new ArrayList<>();
            for (Claim c : chosen) {
                if (cancelled.getAsBoolean()) {
                    return;
                }
                rows.add(row(p.athlete(), c, plan, stills ? pictures : null));
                progress.accept(0.9 * rows.size() / chosen.size());
            }
            new Dossier(p.name(), Basis.of(p.evidence(), today), rows, p.evidence(), desk.claimWriter(), ours)
                    .write(path);
        });
    }

    private Dossier.Row row(String who, Claim c, Plan plan, Pictures pictures) {
        Judgement j = plan == null ? Judgement.none(who, c.id()) : plan.judgement(who, c.id());
        String sentence = j.wording().isEmpty() ? desk.claimWriter().sentence(c) : j.wording();
        Optional<Shown> shown = pictures == null ? Optional.empty() : pictures.best(c.trials());
        return new Dossier.Row(
                c,
                sentence,
                j.doubt(),
                j.remark(),
                shown.map(Shown::image).orElse(null),
                shown.map(Shown::caption).orElse(""));
    }

    /** Whom a profile names: the athlete and all opponents. */
    private static Set<String> tellsOf(Profile p) {
        Set<String> ids = new HashSet<>();
        for (Evidence.Seen seen : p.evidence().matches()) {
            ids.add(seen.record().details().a().id());
            ids.add(seen.record().details().b().id());
        }
        return ids;
    }

    /** Whom the drawings of each match show in amber, asked for on the interface thread. */
    private Map<MatchRecord, Corner> amber() {
        Map<MatchRecord, Corner> amber = new IdentityHashMap<>();
        desk.matches().forEach(r -> amber.put(r, desk.amber(r)));
        return amber;
    }

    private record Shown(BufferedImage image, String caption) {}

    /** Pictures of moments; looked for on the thread that writes. */
    private static final class Pictures {
        private static final int TRIES = 3;

        private final Map<String, MatchRecord> records = new HashMap<>();
        private final MomentStill stills;
        private final BooleanSupplier cancelled;

        Pictures(Map<MatchRecord, Corner> amber, Path folder, BooleanSupplier cancelled) {
            amber.keySet().forEach(r -> records.put(r.id(), r));
            this.stills = new MomentStill(folder, r -> ReelExport.painter(amber.get(r)));
            this.cancelled = cancelled;
        }

        /** A moment that worked, else any; the newest that has film. */
        Optional<Shown> best(List<Trial> trials) {
            List<Trial> order =
                    new ArrayList<>(trials.stream().filter(Trial::worked).toList());
            trials.stream().filter(t -> !t.worked()).forEach(t -> order.add(0, t));
            int tried = 0;
            for (int i = order.size() - 1; i >= 0 && tried < TRIES; i--) {
                MatchRecord r = records.get(order.get(i).tag().match());
                if (r != null && !r.films().isEmpty()) {
                    tried++;
                    BufferedImage image = of(order.get(i));
                    if (image != null) {
                        return Optional.of(
                                new Shown(image, Basis.moment(r, order.get(i).t())));
                    }
                }
            }
            return Optional.empty();
        }

        BufferedImage of(Trial t) {
            MatchRecord r = records.get(t.tag().match());
            return r == null
                    ? null
                    : stills.of(r, t.t(), STILL_WIDTH, STILL_HEIGHT, cancelled).orElse(null);
        }

        String where(Trial t) {
            MatchRecord r = records.get(t.tag().match());
            return r == null ? t.tag().match() : Basis.moment(r, t.t());
        }
    }

    /** Writes {@code farglass.profile/1}. */
    public void json(Profile p, Path target) {
        write(
                Words.of("hand-over.json-work"),
                target,
                tellsOf(p),
                (path, progress, cancelled) -> WholeFile.write(path, new ProfileJson(p, Tables.of(p, SEED)).text()));
    }

    /** Writes every claim of every page as a table. */
    public void csv(Profile p, Path target) {
        write(Words.of("hand-over.csv-work"), target, tellsOf(p), (path, progress, cancelled) -> {
            StringWriter out = new StringWriter();
            ClaimTable.write(p, out);
            WholeFile.write(path, out.toString());
        });
    }

    /** Writes an athlete's report as a page. */
    public void report(Report r, Path target) {
        Map<MatchRecord, Corner> records = amber();
        Path folder = desk.library().folder();
        String basis = Words.of("profile.basis", r.matches(), Math.round(r.exposureMs() / 60_000.0)) + ", "
                + LocalDate.now(desk.clock());
        write(Words.of("hand-over.report-work"), target, Set.of(), (path, progress, cancelled) -> {
            Pictures pictures = new Pictures(records, folder, cancelled);
            new ReportPaper(
                            r,
                            basis,
                            pictures::where,
                            pictures::of,
                            code -> desk.lexicon()
                                    .technique(code)
                                    .map(Technique::name)
                                    .orElse(code))
                    .write(path);
        });
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
