package farglass.desk.film;

import farglass.desk.player.FilmView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.draft.Draft;
import farglass.draft.DraftFate;
import farglass.draft.DraftList;
import farglass.draft.DraftRun;
import farglass.draft.PassPace;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.phrase.PhraseWriter;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import farglass.work.session.Drafts;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/**
 * The pass over what is proposed about the open match: from draft to draft the film plays from some seconds before,
 * and each is taken, corrected or refused. Which are open is asked of the record and its drafts whenever one of them
 * changes.
 */
final class DraftPass {
    /** Film played before a draft: enough to see how it came about. */
    private static final long BEFORE_MS = 5000;

    /** While the film rolls a draft is in hand from so long before it to so long after it. */
    private static final long AHEAD_MS = 4000;

    private static final long BEHIND_MS = 4000;

    private final Desk desk;
    private final FilmView film;
    private final Angles angles;
    private final Watch watch;
    private final Consumer<MatchTime> seek;
    private final PassPace pace = new PassPace();
    private final List<Runnable> listeners = new ArrayList<>();
    private List<DraftList.Judged> all = List.of();
    private List<Draft> open = List.of();
    private @Nullable String inHand;
    private boolean correcting;
    private boolean rolling;

    /** @param seek goes to a match moment */
    DraftPass(Desk desk, FilmView film, Angles angles, Watch watch, Consumer<MatchTime> seek) {
        this.desk = desk;
        this.film = film;
        this.angles = angles;
        this.watch = watch;
        this.seek = seek;
    }

    /** Who hears that drafts, or the one in hand, have changed. */
    void listen(Runnable listener) {
        listeners.add(listener);
    }

    private Drafts drafts() {
        return desk.session().drafts();
    }

    private MatchRecord record() {
        return desk.openRecord().get();
    }

    /** The record or its drafts are another version now. */
    void changed() {
        MatchRecord r = record();
        List<Draft> before = open;
        all = r == null ? List.of() : drafts().judged(r);
        open = all.stream()
                .filter(j -> j.fate() == DraftFate.OPEN)
                .map(DraftList.Judged::draft)
                .toList();
        if (index() < 0) {
            correcting = false;
            // while the film rolls none is in hand that it has not come to
            inHand = rolling ? null : after(before);
        }
        listeners.forEach(Runnable::run);
    }

    /** Where the one in hand was decided elsewhere, the next after it. */
    private @Nullable String after(List<Draft> before) {
        if (inHand == null) {
            return null;
        }
        boolean passed = false;
        for (Draft d : before) {
            passed |= Objects.equals(d.id(), inHand);
            if (passed && !d.quiet() && open.stream().anyMatch(o -> Objects.equals(o.id(), d.id()))) {
                return d.id();
            }
        }
        return null;
    }

    /** Another match is open. */
    void leave() {
        inHand = null;
        correcting = false;
        changed();
    }

    /** All drafts with what has become of them, in the order of the match. */
    List<DraftList.Judged> all() {
        return all;
    }

    /** Those that nobody has decided. */
    List<Draft> open() {
        return open;
    }

    /** Those of them that somebody is asked about. */
    List<Draft> asked() {
        return open.stream().filter(d -> !d.quiet()).toList();
    }

    private int index() {
        for (int i = 0; i < open.size(); i++) {
            if (Objects.equals(open.get(i).id(), inHand)) {
                return i;
            }
        }
        return -1;
    }

    /** The draft that is looked at. */
    Optional<Draft> inHand() {
        int at = index();
        return at < 0 ? Optional.empty() : Optional.of(open.get(at));
    }

    /** How long the rest will take at this pace, ms. */
    long left() {
        return pace.left(asked().size());
    }

    /** The sure ones from the one in hand on. */
    List<Draft> run() {
        int at = index();
        return at < 0 ? List.of() : DraftRun.of(open, at);
    }

    /** To the next draft that is loud enough, or the one before; the film plays from some seconds before it. */
    void step(int by) {
        if (asked().isEmpty()) {
            desk.notices().done(Words.of("drafts.none"));
            return;
        }
        int at = index();
        if (at < 0) {
            pace.begin(System.currentTimeMillis());
        }
        int to = at < 0 ? (by > 0 ? first() : open.size() - 1) : at + by;
        while (to >= 0 && to < open.size() && open.get(to).quiet()) {
            to += by;
        }
        if (to < 0 || to >= open.size()) {
            desk.notices().done(Words.of(by > 0 ? "drafts.last" : "drafts.first"));
            return;
        }
        show(open.get(to));
    }

    /** The first draft after the moment on screen; from the end on, the first of all. */
    private int first() {
        MatchTime now = watch.now().orElse(MatchTime.ZERO);
        for (int i = 0; i < open.size(); i++) {
            if (open.get(i).tag().t().compareTo(now) >= 0) {
                return i;
            }
        }
        return 0;
    }

    /** Takes a draft in hand and plays it. */
    void show(Draft d) {
        inHand = d.id();
        correcting = false;
        play(d);
        listeners.forEach(Runnable::run);
    }

    /** While the film rolls on by itself nothing seeks: the drafts come to it. */
    void rolling(boolean on) {
        rolling = on;
    }

    /** Takes the draft in hand that the film has come to. */
    void follow(MatchTime now) {
        Draft near = null;
        for (Draft d : asked()) {
            long away = d.tag().t().since(now);
            if (away <= AHEAD_MS
                    && away >= -BEHIND_MS
                    && (near == null || Math.abs(away) < Math.abs(near.tag().t().since(now)))) {
                near = d;
            }
        }
        if (near != null && !correcting && !Objects.equals(near.id(), inHand)) {
            inHand = near.id();
            listeners.forEach(Runnable::run);
        }
    }

    private void play(Draft d) {
        if (rolling) {
            return;
        }
        MatchRecord r = record();
        boolean ofFilm = film.player() != null
                && d.filmMs() >= 0
                && angles.film(r) != null
                && angles.film(r).file().equals(d.film());
        if (ofFilm) {
            film.player().seek(FilmTime.ofMs(Math.max(0, d.filmMs() - BEFORE_MS)));
        } else {
            seek.accept(MatchTime.ofMs(Math.max(0, d.tag().t().ms() - BEFORE_MS)));
        }
        if (film.player() != null) {
            film.player().play();
        }
    }

    /** Takes the draft in hand as it is, and goes on. */
    void take() {
        inHand().ifPresent(d -> decide(() -> drafts().take(record().id(), List.of(d), true)));
    }

    /** Takes the draft in hand at the moment on screen, and goes on. */
    void takeHere() {
        inHand().ifPresent(d -> watch.stamp()
                .ifPresentOrElse(
                        t -> decide(() -> drafts().take(record().id(), List.of(d.at(t)), true)),
                        () -> desk.notices().done(Words.of("phrase.no-time"))));
    }

    /** Takes the sure ones from the one in hand on. */
    void takeRun() {
        List<Draft> run = run();
        if (run.isEmpty()) {
            desk.notices().done(Words.of("drafts.unsure"));
        } else {
            decide(() -> drafts().take(record().id(), run, false));
            desk.notices().done(Words.of("drafts.taken", run.size()));
        }
    }

    /** Refuses the draft in hand, and goes on. */
    void refuse() {
        inHand().ifPresent(d -> decide(() -> drafts().refuse(record().id(), d.id())));
    }

    /** A refused draft is asked about again. */
    void reopen(Draft d) {
        drafts().reopen(record().id(), d.id());
    }

    /** The phrase of the draft in hand; the next kept phrase is what it is taken as. */
    Optional<String> beginCorrection() {
        Optional<String> phrase = inHand().map(d -> PhraseWriter.phrase(d.tag(), desk.lexicon()));
        correcting = phrase.isPresent();
        return phrase;
    }

    /** Whether the phrase that is typed corrects the draft in hand. */
    boolean correcting() {
        return correcting && inHand().isPresent();
    }

    /** Correcting was given up. */
    void giveUp() {
        correcting = false;
    }

    /** Takes the draft in hand as what was typed, at the moment it was proposed at, and goes on. */
    void correct(List<Tag> typed) {
        correcting = false;
        inHand().ifPresent(d -> {
            List<Tag> as = typed.stream().map(t -> t.at(d.tag().t())).toList();
            decide(() -> drafts().take(record().id(), d, as));
        });
    }

    private void decide(Runnable deed) {
        pace.decided(System.currentTimeMillis());
        deed.run();
        // the record and its drafts have told of the change by now: the next is in hand
        if (asked().isEmpty()) {
            desk.notices().done(Words.of("drafts.done"));
        } else {
            inHand().ifPresent(this::play);
        }
    }

    /** Takes the last refusal back, if nothing was done since. */
    boolean undo() {
        MatchRecord r = record();
        return r != null && drafts().undoRefusal(r.id());
    }
}
