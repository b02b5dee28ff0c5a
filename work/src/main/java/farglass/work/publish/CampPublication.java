package farglass.work.publish;

import farglass.camp.Allocation;
import farglass.camp.Camp;
import farglass.camp.Card;
import farglass.camp.CardWriter;
import farglass.camp.Preparation;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.print.CampPaper;
import farglass.store.WholeFile;
import farglass.store.camp.CampIcs;
import farglass.store.table.CampTable;
import farglass.text.Language;
import farglass.time.Dates;
import farglass.work.words.WorkWords;
import java.util.List;
import java.util.Objects;
import java.util.Set;

/** A camp for calendars, tables and paper; the cautions go with every page that prescribes training. */
public final class CampPublication {
    private final Material material;
    private final Plan plan;
    private final Assignment assignment;
    private final Preparation preparation;
    private final CardWriter cards;

    /** The camp of a plan, as it was shared out. */
    public CampPublication(
            Material material, Plan plan, Assignment assignment, Preparation preparation, CardWriter cards) {
        this.material = material;
        this.plan = plan;
        this.assignment = assignment;
        this.preparation = preparation;
        this.cards = cards;
    }

    private Camp camp() {
        return plan.camp();
    }

    private String title() {
        return WorkWords.of("camp.title", material.name(plan.them()));
    }

    private Set<String> both() {
        return Set.of(plan.us(), plan.them());
    }

    private String care() {
        String own = camp().care().strip();
        return own.isEmpty() ? CardWriter.care(Language.locale()) : CardWriter.care(Language.locale()) + " " + own;
    }

    private String skill(String key) {
        return cards.title(preparation.skill(key));
    }

    /** iCalendar. */
    public Publication calendar() {
        return Publication.file(
                both(),
                target -> WholeFile.write(
                        target,
                        CampIcs.write(
                                preparation.calendar(),
                                camp(),
                                title(),
                                this::skill,
                                care(),
                                preparation.event(),
                                Objects.requireNonNullElse(assignment.event(), ""))));
    }

    /** CSV. */
    public Publication table() {
        return Publication.file(
                both(),
                target -> WholeFile.write(target, CampTable.write(preparation.calendar(), camp(), this::skill)));
    }

    /** Minutes, days and a card for every skill. */
    public Publication paper() {
        String occasion = WorkWords.of(
                "camp.occasion", assignment.event(), Dates.words(assignment.date()), preparation.minutes());
        return Publication.file(both(), target -> {
            List<Card> rounds = preparation.allocation().shares().stream()
                    .filter(s -> s.rounds() > 0)
                    .map(Allocation.Share::want)
                    .map(w -> cards.card(preparation.skill(w.skill())))
                    .toList();
            new CampPaper(preparation, camp(), rounds, title(), occasion, care(), this::skill).write(target);
        });
    }
}
