package farglass.desk.plan;

import farglass.conduct.Clause;
import farglass.desk.shell.Desk;
import farglass.desk.shell.FileWriting;
import farglass.desk.shell.Words;
import farglass.matchup.MeetingWriter;
import farglass.matchup.Proposal;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.print.CornerCard;
import farglass.print.PlanPage;
import farglass.store.WholeFile;
import farglass.store.json.PlanJson;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;

/** Writes the open plan to a file, in the background. */
final class PlanExport {
    private final Desk desk;

    PlanExport(Desk desk) {
        this.desk = desk;
    }

    void pdf(Path path) {
        Plan p = desk.plan().get();
        PlanPage page = new PlanPage(p, desk.nameOf(p.us()), desk.nameOf(p.them()), occasion(), Words.of("care.page"));
        FileWriting.write(desk, path, Set.of(p.us(), p.them()), page::write);
    }

    private String occasion() {
        Assignment a = desk.assignment().get();
        String date = a.date() == null ? "" : a.date().toString();
        return Words.of("plan.occasion", a.event(), date, a.attire(), a.ruleset(), a.minutes());
    }

    /** The corner card; its name says the paper: one that ends in {@code -a4.pdf} is A4, any other A5. */
    void card(Path path, Proposal proposal, MeetingWriter writer) {
        String title = Words.of("plan.title", desk.nameOf(desk.plan().get().them()));
        List<String> clauses =
                desk.plan().get().clauses().stream().map(Clause::text).toList();
        CornerCard card = new CornerCard(proposal, writer, title, occasion(), Words.of("care.page"), clauses);
        CornerCard.Paper paper =
                path.getFileName().toString().endsWith("-a4.pdf") ? CornerCard.Paper.A4 : CornerCard.Paper.A5;
        FileWriting.write(desk, path, both(), target -> card.write(target, paper));
    }

    private Set<String> both() {
        return Set.of(desk.plan().get().us(), desk.plan().get().them());
    }

    void json(Path path) {
        Plan p = desk.plan().get();
        FileWriting.write(desk, path, both(), target -> WholeFile.write(target, PlanJson.write(p)));
    }
}
