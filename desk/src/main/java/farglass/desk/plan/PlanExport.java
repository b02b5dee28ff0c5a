package farglass.desk.plan;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.print.PlanPage;
import farglass.store.WholeFile;
import farglass.store.json.PlanJson;
import java.io.IOException;
import java.nio.file.Path;

/** Writes the open plan to a file, in the background. */
final class PlanExport {
    private final Desk desk;

    PlanExport(Desk desk) {
        this.desk = desk;
    }

    private interface Writing {
        void to(Path path) throws IOException;
    }

    void pdf(Path path) {
        Plan p = desk.plan().get();
        Assignment a = desk.assignment().get();
        String date = a.date() == null ? "" : a.date().toString();
        String occasion = Words.of("plan.occasion", a.event(), date, a.attire(), a.ruleset(), a.minutes());
        PlanPage page = new PlanPage(p, desk.nameOf(p.us()), desk.nameOf(p.them()), occasion, Words.of("care.page"));
        write(path, page::write);
    }

    void json(Path path) {
        Plan p = desk.plan().get();
        write(path, target -> WholeFile.write(target, PlanJson.write(p)));
    }

    private void write(Path path, Writing writing) {
        desk.background()
                .compute(
                        "export",
                        () -> {
                            writing.to(path);
                            return path;
                        },
                        done -> desk.notices().done(Words.of("export.done", done)),
                        e -> desk.notices().problem(Words.of("export.failed", path, e.getMessage())));
    }
}
