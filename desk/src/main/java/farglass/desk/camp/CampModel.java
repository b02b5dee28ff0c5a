package farglass.desk.camp;

import farglass.camp.Camp;
import farglass.camp.CardWriter;
import farglass.camp.Preparation;
import farglass.camp.Readiness;
import farglass.camp.Skill;
import farglass.desk.matchup.MeetingModel;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.drill.Drill;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.MeetingSolution;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.Proposal;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.work.camp.CampService;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/**
 * The camp of the open plan, worked out anew whenever the match-up or the camp changes. The skills follow from the
 * match-up; sharing their minutes out takes no time, what training did to the win chance takes about a second.
 */
final class CampModel {
    private static final String TRAINED = "shown in training";

    private final Desk desk;
    private final MeetingModel meeting;
    private final ReadOnlyObjectWrapper<Ready> ready = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Trained> trained = new ReadOnlyObjectWrapper<>();
    private MeetingSolution skillsOf;
    /** The lines of the plan that skills serve. */
    private List<Object> skillsFor = List.of();

    private List<Skill> skills = List.of();
    private CardWriter cards;
    private List<Drill> drills = List.of();
    private long round;

    /** All but the win chance after training. */
    record Ready(
            Preparation preparation,
            Camp camp,
            Map<String, Readiness> readiness,
            CardWriter cards,
            List<Drill> drills) {}

    /** Win chances with the plan, before and after what training has shown. */
    record Trained(double before, double after) {}

    CampModel(Desk desk, MeetingModel meeting) {
        this.desk = desk;
        this.meeting = meeting;
        meeting.proposal().addListener((o, was, is) -> follow());
        desk.plan().addListener((o, was, is) -> work());
        desk.assignment().addListener((o, was, is) -> work());
        follow();
    }

    private void follow() {
        Proposal p = meeting.proposal().get();
        if (p == null) {
            skillsOf = null;
            ready.set(null);
            trained.set(null);
            return;
        }
        // decisions may be others once their draws are made
        if (p.solved() == skillsOf && named(p).equals(skillsFor)) {
            return;
        }
        MeetingSolution solved = p.solved();
        List<Object> named = named(p);
        MeetingWriter writer = meeting.writer();
        desk.tasks()
                .query(
                        "camp-skills",
                        () -> CampService.rounds(p, desk.index(), writer),
                        s -> {
                            skillsOf = solved;
                            skillsFor = named;
                            skills = s.skills();
                            cards = s.cards();
                            drills = s.drills();
                            work();
                        },
                        e -> desk.notices().problem(Words.of("meeting.failed", String.valueOf(e.getMessage()))));
    }

    private static List<Object> named(Proposal p) {
        List<Object> all = new ArrayList<>(p.weapons());
        p.decisions().valued().forEach(v -> all.add(v.decision()));
        return all;
    }

    private void work() {
        round++;
        long mine = round;
        Plan p = desk.plan().get();
        Assignment a = desk.assignment().get();
        if (skillsOf == null || p == null || a == null || !belongs(p)) {
            ready.set(null);
            trained.set(null);
            return;
        }
        Camp camp = p.camp();
        LocalDate today = LocalDate.now(desk.clock());
        LocalDate event = a.date() == null ? today : a.date();
        Meeting m = skillsOf.meeting();
        List<Skill> now = skills;
        CardWriter written = cards;
        List<Drill> shown = drills;
        desk.tasks()
                .query(
                        "camp-ready",
                        () -> {
                            Map<String, Readiness> readiness = new LinkedHashMap<>();
                            now.forEach(s -> readiness.put(s.key(), Readiness.of(s, m, camp)));
                            return new Ready(Preparation.of(now, camp, today, event), camp, readiness, written, shown);
                        },
                        made -> {
                            if (mine == round) {
                                ready.set(made);
                                train(m, camp);
                            }
                        },
                        e -> desk.notices().problem(Words.of("meeting.failed", String.valueOf(e.getMessage()))));
    }

    private boolean belongs(Plan p) {
        Meeting.Question q = skillsOf.meeting().question();
        return q.us().equals(p.us()) && q.them().equals(p.them());
    }

    private void train(Meeting m, Camp camp) {
        long mine = round;
        double before = skillsOf.planned().win();
        if (camp.log().isEmpty()) {
            trained.set(new Trained(before, before));
            return;
        }
        List<Skill> now = skills;
        desk.tasks()
                .query(
                        "camp-trained",
                        () -> m.under(m.question().settings(), Readiness.trained(now, m, camp, TRAINED))
                                .glance()
                                .planned()
                                .win(),
                        after -> {
                            if (mine == round) {
                                trained.set(new Trained(before, after));
                            }
                        },
                        e -> desk.notices().problem(Words.of("meeting.failed", String.valueOf(e.getMessage()))));
    }

    /** Null until the match-up is worked out. */
    ReadOnlyObjectProperty<Ready> ready() {
        return ready.getReadOnlyProperty();
    }

    ReadOnlyObjectProperty<Trained> trained() {
        return trained.getReadOnlyProperty();
    }

    /** Changes the camp of the open plan. */
    void change(java.util.function.UnaryOperator<Camp> change) {
        try {
            desk.changePlan(p -> p.camp(change.apply(p.camp())));
        } catch (IllegalArgumentException e) {
            desk.notices().problem(Words.of("camp.refused", e.getMessage()));
        }
    }

    MeetingWriter writer() {
        return meeting.writer();
    }
}
