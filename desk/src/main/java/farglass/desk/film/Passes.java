package farglass.desk.film;

import farglass.check.SecondLook;
import farglass.check.SecondPass;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.IntConsumer;
import java.util.function.IntSupplier;

/**
 * The two passes over a match: the first makes tags as they happen, the second asks what is still to be said of them,
 * one question after the other. Each has its own likely choices and its own progress.
 */
final class Passes {
    private final Desk desk;
    private final IntSupplier selected;
    private final IntConsumer pick;
    private boolean second;
    private SecondLook.Look lastLook;

    /**
     * @param selected index of the selected tag, -1 for none
     * @param pick selects a tag and goes to its moment
     */
    Passes(Desk desk, IntSupplier selected, IntConsumer pick) {
        this.desk = desk;
        this.selected = selected;
        this.pick = pick;
    }

    boolean second() {
        return second;
    }

    /** From the first pass to the second, or back. */
    void toggle() {
        second = !second;
        if (second && desk.openRecord().get() != null) {
            nextQuestion(selected.getAsInt() - 1);
        }
    }

    /** What is still open about the selected tag; empty in the first pass. */
    Optional<SecondPass.Question> question() {
        MatchRecord r = desk.openRecord().get();
        int tag = selected.getAsInt();
        return !second || r == null || tag < 0 || tag >= r.tags().size()
                ? Optional.empty()
                : SecondPass.of(r, tag, desk.lexicon());
    }

    /** Takes an answer and goes on to what is open next. */
    void answer(SecondPass.Question question, SecondPass.Choice choice) {
        desk.edit(Edit.replace(desk.openRecord().get(), question.tag(), choice.tag()));
        nextQuestion(question.tag() - 1);
    }

    /** Goes to the next place that should be looked at again, round from the last to the first, and says why. */
    void next() {
        if (desk.openRecord().get() == null) {
            return;
        }
        if (second) {
            nextQuestion(selected.getAsInt());
        } else {
            nextLook();
        }
    }

    private void nextQuestion(int after) {
        MatchRecord r = desk.openRecord().get();
        SecondPass.next(r, after, desk.lexicon())
                .ifPresentOrElse(pick::accept, () -> desk.notices().done(Words.of("look.none")));
    }

    private void nextLook() {
        List<SecondLook.Look> looks = SecondLook.of(desk.openRecord().get(), desk.lexicon());
        if (looks.isEmpty()) {
            desk.notices().done(Words.of("look.none"));
            return;
        }
        int at = 0;
        for (int i = 0; i < looks.size(); i++) {
            if (looks.get(i).equals(lastLook)) {
                at = (i + 1) % looks.size();
            }
        }
        lastLook = looks.get(at);
        pick.accept(lastLook.tag());
        String why = Words.of(
                "look." + lastLook.why().name().toLowerCase(Locale.ROOT).replace('_', '-'));
        desk.notices().done(Words.of("look.says", why, at + 1, looks.size()));
    }

    /** How far the pass has come. */
    String progress(MatchRecord r) {
        if (second) {
            SecondPass.Progress p = SecondPass.progress(r, desk.lexicon());
            return Words.of("pass.second", p.answered(), p.asked());
        }
        return Words.of(
                "pass.first",
                Clock.seconds(Math.min(r.end().ms(), r.details().lengthMs())),
                Clock.seconds(r.details().lengthMs()));
    }
}
