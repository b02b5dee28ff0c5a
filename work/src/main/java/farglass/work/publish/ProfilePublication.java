package farglass.work.publish;

import farglass.lexicon.Technique;
import farglass.plan.Judgement;
import farglass.plan.Plan;
import farglass.plan.ReportEdits;
import farglass.print.Basis;
import farglass.print.Dossier;
import farglass.print.DossierReport;
import farglass.print.ReportPaper;
import farglass.profile.Claim;
import farglass.profile.ClaimWriter;
import farglass.profile.Profile;
import farglass.profile.Report;
import farglass.profile.Tables;
import farglass.scout.GameFigures;
import farglass.scout.KeyNumbers;
import farglass.scout.ReportWriter;
import farglass.stats.Grade;
import farglass.store.WholeFile;
import farglass.store.json.ProfileJson;
import farglass.store.table.ClaimTable;
import farglass.tendency.Evidence;
import farglass.text.Language;
import farglass.work.meeting.MeetingService;
import farglass.work.profile.EditedReport;
import farglass.work.profile.ProfileService;
import farglass.work.words.WorkWords;
import java.io.IOException;
import java.io.StringWriter;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** A profile handed over: as a dossier, a document, a table of claims, or an athlete's own report. */
public final class ProfilePublication {
    private static final long SEED = 1;
    private static final int STILL_WIDTH = 384;
    private static final int STILL_HEIGHT = 216;
    /** Pictures beside the report. */
    private static final int STILLS = 4;

    private final Material material;
    private final Profile profile;
    private final ClaimWriter writer;

    /** A profile in the words of a writer. */
    public ProfilePublication(Material material, Profile profile, ClaimWriter writer) {
        this.material = material;
        this.profile = profile;
        this.writer = writer;
    }

    /**
     * The claims that a dossier prints when nobody has chosen others: the pinned ones, or where none is pinned the
     * first that are neither thin nor doubted.
     *
     * @param all in their order
     * @param plan holds what was pinned and judged; null for none
     */
    public static List<Claim> usual(String athlete, List<Claim> all, Plan plan) {
        List<Claim> pinned = all.stream()
                .filter(c -> plan != null && plan.isPinned(athlete, c.id()))
                .toList();
        if (!pinned.isEmpty()) {
            return pinned;
        }
        return all.stream()
                .filter(c -> c.estimate().grade() != Grade.THIN
                        && judgement(athlete, c, plan).doubt().isEmpty())
                .limit(Dossier.USUAL_CLAIMS)
                .toList();
    }

    private static Judgement judgement(String athlete, Claim c, Plan plan) {
        return plan == null ? Judgement.none(athlete, c.id()) : plan.judgement(athlete, c.id());
    }

    /**
     * @param chosen the claims to print, in their order
     * @param plan holds the analyst's words and doubts; null for none
     * @param meeting with our own athlete, by which dangers and openings are weighed; none for nobody in particular
     * @param stills whether every claim gets a picture of one of its moments
     */
    public Publication dossier(List<Claim> chosen, Plan plan, Optional<MeetingService.Ask> meeting, boolean stills) {
        return (target, progress, cancelled) -> {
            MomentPictures pictures = new MomentPictures(material, STILL_WIDTH, STILL_HEIGHT, cancelled);
            List<Dossier.Row> rows = new ArrayList<>();
            for (Claim c : chosen) {
                if (cancelled.getAsBoolean()) {
                    return Optional.empty();
                }
                rows.add(row(c, plan, stills ? pictures.best(c.trials()) : Optional.empty()));
                progress.accept(0.9 * rows.size() / chosen.size());
            }
            Evidence evidence = profile.evidence();
            Dossier dossier = new Dossier(
                            profile.name(),
                            Basis.of(evidence, material.today()),
                            rows,
                            evidence,
                            writer,
                            material.ours(profile.athlete()))
                    .reporting(report(plan, meeting, stills, pictures));
            return Publication.file(tellsOf(), dossier::write).write(target, progress, cancelled);
        };
    }

    /** The report as the plan has it, with the first four of its moments that have film. */
    private DossierReport report(
            Plan plan, Optional<MeetingService.Ask> meeting, boolean stills, MomentPictures pictures) {
        ReportWriter words = new ReportWriter(Language.locale());
        EditedReport edited = EditedReport.of(
                ProfileService.scouting(profile, meeting),
                plan == null ? ReportEdits.NONE : plan.report(),
                words,
                WorkWords.of("report.dangers"),
                WorkWords.of("report.openings"));
        List<DossierReport.Still> shown = new ArrayList<>();
        List<DossierReport.Part> parts = new ArrayList<>();
        for (EditedReport.Part p : edited.parts()) {
            parts.add(new DossierReport.Part(
                    p.heading(), p.lines().stream().map(EditedReport.Line::text).toList()));
            for (EditedReport.Line l : p.lines()) {
                if (stills && shown.size() < STILLS) {
                    pictures.best(l.sentence().moments())
                            .filter(s ->
                                    shown.stream().noneMatch(o -> o.caption().equals(s.caption())))
                            .ifPresent(s -> shown.add(new DossierReport.Still(s.image(), s.caption())));
                }
            }
        }
        return new DossierReport(
                parts,
                shown,
                GameFigures.of(profile.evidence()),
                sides(),
                KeyNumbers.of(profile),
                words,
                profile.evidence().lexicon());
    }

    private List<String> sides() {
        return ProfileService.sides(profile)
                .map(c -> writer.sentence(c) + " " + writer.counts(c) + ", " + writer.interval(c) + ".")
                .distinct()
                .toList();
    }

    private Dossier.Row row(Claim c, Plan plan, Optional<MomentPictures.Shown> shown) {
        Judgement j = judgement(profile.athlete(), c, plan);
        return new Dossier.Row(
                c,
                j.wording().isEmpty() ? writer.sentence(c) : j.wording(),
                j.doubt(),
                j.remark(),
                shown.map(MomentPictures.Shown::image).orElse(null),
                shown.map(MomentPictures.Shown::caption).orElse(""));
    }

    /** Whom the profile names: the athlete and all opponents. */
    private Set<String> tellsOf() {
        Set<String> ids = new HashSet<>();
        for (Evidence.Seen seen : profile.evidence().matches()) {
            ids.add(seen.record().details().a().id());
            ids.add(seen.record().details().b().id());
        }
        return ids;
    }

    /** {@code farglass.profile/1}. */
    public Publication document() {
        return Publication.file(
                tellsOf(),
                target -> WholeFile.write(target, new ProfileJson(profile, Tables.of(profile, SEED)).text()));
    }

    /** Every claim of every page as CSV. */
    public Publication table() {
        return Publication.file(tellsOf(), this::writeTable);
    }

    private void writeTable(java.nio.file.Path target) throws IOException {
        StringWriter out = new StringWriter();
        ClaimTable.write(profile, out);
        WholeFile.write(target, out.toString());
    }

    /** An athlete's own faults and praise on paper. */
    public static Publication report(Material material, Report report, String basis) {
        return (target, progress, cancelled) -> {
            MomentPictures pictures = new MomentPictures(material, STILL_WIDTH, STILL_HEIGHT, cancelled);
            ReportPaper paper = new ReportPaper(
                    report,
                    basis,
                    pictures::where,
                    pictures::of,
                    code -> material.lexicon()
                            .technique(code)
                            .map(Technique::name)
                            .orElse(code));
            return Publication.file(Set.of(), paper::write).write(target, progress, cancelled);
        };
    }
}
