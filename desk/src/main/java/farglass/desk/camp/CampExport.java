package farglass.desk.camp;

import farglass.camp.Allocation;
import farglass.camp.Card;
import farglass.camp.CardWriter;
import farglass.camp.Preparation;
import farglass.desk.shell.Desk;
import farglass.desk.shell.FileWriting;
import farglass.desk.shell.Words;
import farglass.plan.Assignment;
import farglass.print.CampPaper;
import farglass.store.WholeFile;
import farglass.store.camp.CampIcs;
import farglass.store.table.CampTable;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** Writes a camp to a file, in the background; the cautions go with every page that prescribes training. */
final class CampExport {
    private final Desk desk;
    private final Preparation preparation;
    private final CampModel.Ready ready;

    CampExport(Desk desk, CampModel.Ready ready) {
        this.desk = desk;
        this.ready = ready;
        this.preparation = ready.preparation();
    }

    private String title() {
        return Words.of("camp.title", desk.nameOf(desk.plan().get().them()));
    }

    private Set<String> both() {
        return Set.of(desk.plan().get().us(), desk.plan().get().them());
    }

    private String care() {
        String own = ready.camp().care().strip();
        return own.isEmpty() ? CardWriter.care(Locale.ENGLISH) : CardWriter.care(Locale.ENGLISH) + " " + own;
    }

    private String skill(String key) {
        return ready.cards().title(preparation.skill(key));
    }

    void ics(Path path) {
        Assignment a = desk.assignment().get();
        String text = CampIcs.write(
                preparation.calendar(), ready.camp(), title(), this::skill, care(), preparation.event(), a.event());
        FileWriting.write(desk, path, both(), target -> WholeFile.write(target, text));
    }

    void csv(Path path) {
        String text = CampTable.write(preparation.calendar(), ready.camp(), this::skill);
        FileWriting.write(desk, path, both(), target -> WholeFile.write(target, text));
    }

    void pdf(Path path) {
        Assignment a = desk.assignment().get();
        String occasion = Words.of("camp.occasion", a.event(), String.valueOf(a.date()), preparation.minutes());
        String title = title();
        String care = care();
        FileWriting.write(desk, path, both(), target -> {
            List<Card> cards = preparation.allocation().shares().stream()
                    .filter(s -> s.rounds() > 0)
                    .map(Allocation.Share::want)
                    .map(w -> ready.cards().card(preparation.skill(w.skill())))
                    .toList();
            new CampPaper(preparation, ready.camp(), cards, title, occasion, care, this::skill).write(target);
        });
    }
}
