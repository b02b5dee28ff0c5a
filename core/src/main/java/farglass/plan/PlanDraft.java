package farglass.plan;

import farglass.camp.Camp;
import farglass.conduct.Clause;
import farglass.matchup.gameplan.Call;
import java.util.List;

/** The parts of a plan while the next one is put together, so that a change names only what it changes. */
final class PlanDraft {
    private final String id;
    private final String us;
    private final String them;
    String title;
    List<PinnedClaim> pinned;
    List<Fork> openings;
    String remarks;
    List<Judgement> judgements;
    List<OwnClaim> own;
    Approach approach;
    List<Clause> clauses;
    List<Saved> saved;
    Camp camp;
    Brief brief;
    ReportEdits report;
    List<Call> calls;

    PlanDraft(Plan p) {
        id = p.id();
        title = p.title();
        us = p.us();
        them = p.them();
        pinned = p.pinned();
        openings = p.openings();
        remarks = p.remarks();
        judgements = p.judgements();
        own = p.own();
        approach = p.approach();
        clauses = p.clauses();
        saved = p.saved();
        camp = p.camp();
        brief = p.brief();
        report = p.report();
        calls = p.calls();
    }

    Plan plan() {
        return new Plan(
                id,
                title,
                us,
                them,
                pinned,
                openings,
                remarks,
                judgements,
                own,
                approach,
                clauses,
                saved,
                camp,
                brief,
                report,
                calls);
    }
}
