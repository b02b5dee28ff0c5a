package farglass.desk.plan;

import farglass.desk.matchup.MeetingModel;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.matchup.advise.Decision;
import farglass.matchup.advise.Intent;
import farglass.matchup.advise.IntentReader;
import farglass.matchup.advise.OwnPlan;
import farglass.matchup.advise.Proposal;
import farglass.matchup.model.Model;
import farglass.plan.Fork;
import farglass.plan.ForkIntents;
import farglass.plan.Plan;
import java.util.List;
import java.util.Set;
import java.util.concurrent.atomic.AtomicLong;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/**
 * The forks of the open plan as they are read, and what they are worth: after a moment as best known, later in the same
 * draws as the proposal. Only the newest change counts.
 */
final class OwnPlanModel {
    private static final long SEED = 1;

    private final Desk desk;
    private final MeetingModel meeting;
    private final ReadOnlyObjectWrapper<Known> known = new ReadOnlyObjectWrapper<>();
    private final AtomicLong round = new AtomicLong();
    private Asked current = new Asked(List.of(), null);

    private record Asked(List<Fork> openings, Proposal proposal) {
        boolean same(Asked o) {
            return proposal == o.proposal && openings.equals(o.openings);
        }
    }

    /**
     * @param shown ids of forks whose action film shows
     * @param left computed decisions that the plan has not
     * @param model of the match it was valued in
     */
    record Known(List<ForkIntents.Read> reads, Set<String> shown, OwnPlan plan, List<Decision> left, Model model) {}

    OwnPlanModel(Desk desk, MeetingModel meeting) {
        this.desk = desk;
        this.meeting = meeting;
    }

    /** Null while there is no proposal or nothing is laid. */
    ReadOnlyObjectProperty<Known> known() {
        return known.getReadOnlyProperty();
    }

    /** Works it out anew when the plan or the proposal is another one. */
    void ask() {
        Plan p = desk.plan().get();
        Asked now = new Asked(
                p == null ? List.of() : p.openings(), meeting.proposal().get());
        if (now.same(current)) {
            return;
        }
        current = now;
        long mine = round.incrementAndGet();
        if (now.proposal() == null || now.openings().isEmpty()) {
            known.set(null);
            return;
        }
        IntentReader reader = meeting.writer().reader(now.proposal().solved());
        desk.tasks()
                .query(
                        "own-plan",
                        () -> read(now, reader),
                        k -> {
                            if (mine == round.get()) {
                                known.set(k);
                                draw(now, k, mine);
                            }
                        },
                        e -> {
                            if (mine == round.get()) {
                                desk.notices().problem(Words.of("meeting.failed", String.valueOf(e.getMessage())));
                            }
                        });
    }

    private static Known read(Asked now, IntentReader reader) {
        List<ForkIntents.Read> reads = ForkIntents.of(now.openings(), reader);
        List<Intent> intents = reads.stream().map(ForkIntents.Read::intent).toList();
        Proposal p = now.proposal();
        return new Known(
                reads,
                ForkIntents.shown(now.openings(), reader),
                OwnPlan.of(p.solved(), intents, p.decisions()),
                OwnPlan.left(intents, p.decisions()),
                p.solved().meeting().model());
    }

    /** Once the proposal has its draws, the own plan is valued in the same. */
    private void draw(Asked now, Known k, long mine) {
        Proposal p = now.proposal();
        if (p.decisions().draws() == 0) {
            return;
        }
        desk.tasks().longTask(Words.of("plan.own.draws"), (progress, cancelled) -> {
            OwnPlan drawn = mine != round.get()
                    ? null
                    : OwnPlan.drawn(
                            p.solved(),
                            k.reads().stream().map(ForkIntents.Read::intent).toList(),
                            p.decisions(),
                            p.decisions().draws(),
                            SEED,
                            progress,
                            () -> cancelled.getAsBoolean() || mine != round.get());
            if (drawn != null) {
                Platform.runLater(() -> {
                    if (mine == round.get()) {
                        known.set(new Known(k.reads(), k.shown(), drawn, k.left(), k.model()));
                    }
                });
            }
        });
    }
}
