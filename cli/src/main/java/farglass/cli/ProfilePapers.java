package farglass.cli;

import farglass.film.reel.DrawingPainter;
import farglass.film.reel.MomentStill;
import farglass.lexicon.Lexicon;
import farglass.lexicon.Technique;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.print.Basis;
import farglass.print.Dossier;
import farglass.print.ReportPaper;
import farglass.profile.Claim;
import farglass.profile.ClaimWriter;
import farglass.profile.Profile;
import farglass.profile.Report;
import farglass.stats.Grade;
import farglass.stats.Trial;
import farglass.store.WholeFile;
import farglass.store.table.ClaimTable;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Files beside the printed profile: a table of its claims, the dossier, the athlete's own report. */
final class ProfilePapers {
    private static final int STILL_WIDTH = 384;
    private static final int STILL_HEIGHT = 216;
    private static final Color FIRST = new Color(0xb4640b);
    private static final Color SECOND = new Color(0x0c6b76);
    private static final Color NEITHER = new Color(0xa63d2a);

    private final Profile profile;
    private final LocalDate today;
    private final ClaimWriter writer = new ClaimWriter(Locale.ENGLISH);
    private final Map<String, MatchRecord> records = new HashMap<>();
    private final MomentStill stills;

    /** @param folder that film files are relative to */
    ProfilePapers(Profile profile, List<MatchRecord> all, Path folder, LocalDate today) {
        this.profile = profile;
        this.today = today;
        all.forEach(r -> records.put(r.id(), r));
        DrawingPainter painter = new DrawingPainter(who -> who == null ? NEITHER : who == Corner.A ? FIRST : SECOND);
        this.stills = new MomentStill(folder, r -> painter);
    }

    void csv(Path target) throws IOException {
        StringWriter out = new StringWriter();
        ClaimTable.write(profile, out);
        WholeFile.write(target, out.toString());
    }

    void dossier(Path target) throws IOException {
        List<Dossier.Row> rows = profile.claims().stream()
                .filter(c -> c.estimate().grade() != Grade.THIN)
                .limit(Dossier.USUAL_CLAIMS)
                .map(this::row)
                .toList();
        new Dossier(profile.name(), Basis.of(profile.evidence(), today), rows, profile.evidence(), writer, false)
                .write(target);
    }

    private Dossier.Row row(Claim c) {
        Optional<Trial> filmed = c.trials().stream()
                .filter(t -> !records.get(t.tag().match()).films().isEmpty())
                .findFirst();
        BufferedImage image = filmed.map(this::still).orElse(null);
        return new Dossier.Row(
                c, writer.sentence(c), "", "", image, filmed.map(this::where).orElse(""));
    }

    private BufferedImage still(Trial t) {
        return stills.of(records.get(t.tag().match()), t.t(), STILL_WIDTH, STILL_HEIGHT, () -> false)
                .orElse(null);
    }

    private String where(Trial t) {
        MatchRecord r = records.get(t.tag().match());
        return Basis.moment(r, t.t());
    }

    void report(Path target) throws IOException {
        Report report = Report.of(
                profile.evidence().index(),
                profile.athlete(),
                profile.evidence().filter());
        Lexicon lexicon = profile.evidence().lexicon();
        new ReportPaper(
                        report,
                        Basis.of(profile.evidence(), today),
                        this::where,
                        this::still,
                        code -> lexicon.technique(code).map(Technique::name).orElse(code))
                .write(target);
    }
}
