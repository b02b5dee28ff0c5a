package farglass.desk.film;

import farglass.check.SecondPass;
import farglass.desk.player.FilmView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.match.MatchRecord;
import farglass.skim.Skeleton;
import farglass.skim.Skim;
import farglass.time.Clock;
import farglass.time.ClockMap;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The skim: a first pass in which the film runs by at four times its speed, but for what matters. Drafts come into hand
 * as the film reaches them; at the end it says what of the skeleton is missing and what a second pass would ask.
 */
final class SkimPass {
    private static final double BETWEEN = 4;
    /** So near its end a film has ended. */
    private static final long END_MS = 400;

    private final Desk desk;
    private final FilmView film;
    private final Angles angles;
    private final Watch watch;
    private final FilmDrafts drafts;
    private @Nullable Skim skim;
    private double before = 1;

    SkimPass(Desk desk, FilmView film, Angles angles, Watch watch, FilmDrafts drafts) {
        this.desk = desk;
        this.film = film;
        this.angles = angles;
        this.watch = watch;
        this.drafts = drafts;
        film.moment().addListener((o, was, is) -> moved());
        film.playing().addListener((o, was, is) -> {
            if (!is) {
                paused();
            }
        });
    }

    boolean running() {
        return skim != null;
    }

    /** Begins it at the moment on screen, or ends it. */
    void toggle() {
        MatchRecord r = desk.openRecord().get();
        if (skim != null) {
            end();
            tell(r);
            return;
        }
        if (film.player() == null || r == null) {
            desk.notices().done(Words.of("skim.no-film"));
            return;
        }
        MatchTime end = end(r);
        skim = Skim.of(r, drafts.pass().open(), desk.lexicon(), end);
        before = film.speed().get();
        drafts.pass().rolling(true);
        drafts.begin();
        desk.notices()
                .done(Words.of(
                        "skim.begun",
                        skim.stretches().size(),
                        Clock.seconds(skim.lasts(end, BETWEEN)),
                        Clock.seconds(end.ms())));
        moved();
        film.player().play();
    }

    /** The last moment of the match that the film shows; the match's length where its clock is not known. */
    private MatchTime end(MatchRecord r) {
        ClockMap clock = angles.clock(r);
        return clock.segments().stream()
                .filter(s -> s.kind() == Segment.Kind.LIVE)
                .map(Segment::matchEnd)
                .max(MatchTime::compareTo)
                .orElseGet(() -> MatchTime.ofMs(
                        film.info().get() == null
                                ? r.details().lengthMs()
                                : film.info().get().durationMs()));
    }

    /** Another match is open: there is nothing to go on with. */
    void leave() {
        if (skim != null) {
            end();
        }
    }

    private void end() {
        skim = null;
        drafts.pass().rolling(false);
        film.speed(before);
        if (film.player() != null) {
            film.player().pause();
        }
    }

    private void moved() {
        if (skim == null) {
            return;
        }
        Optional<MatchTime> now = watch.now();
        double wanted = now.flatMap(skim::at).isPresent() ? 1 : BETWEEN;
        if (film.speed().get() != wanted) {
            film.speed(wanted);
        }
        now.ifPresent(t -> drafts.pass().follow(t));
    }

    private void paused() {
        FilmView.Moment m = film.moment().get();
        boolean ended = skim != null
                && m != null
                && film.info().get() != null
                && m.time().ms() >= film.info().get().durationMs() - END_MS;
        if (ended) {
            end();
            tell(desk.openRecord().get());
        }
    }

    /** What is missing, and what a second pass would ask. */
    private void tell(MatchRecord r) {
        Skeleton s = Skeleton.of(r, drafts.pass().open(), desk.lexicon());
        String questions = asked(s.asked());
        String second =
                s.questions() == 0 ? Words.of("skim.second.none") : Words.of("skim.second", s.questions(), questions);
        if (s.stands()) {
            desk.notices().done(Words.of("skim.stands", second));
            return;
        }
        List<String> missing = Stream.of(
                        s.silentMs() > Skeleton.LONGEST_MS
                                ? Words.of("skim.missing.places", Clock.seconds(s.silentMs()))
                                : "",
                        s.openScores() > 0 ? Words.of("skim.missing.scores", s.openScores()) : "",
                        s.finished() ? "" : Words.of("skim.missing.finish"))
                .filter(t -> !t.isEmpty())
                .toList();
        desk.notices().done(Words.of("skim.missing", String.join(", ", missing), second));
    }

    private static String asked(Map<SecondPass.Asks, Integer> asked) {
        return asked.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(e -> Words.of("skim.asks." + e.getKey().name().toLowerCase(Locale.ROOT), e.getValue()))
                .collect(Collectors.joining(", "));
    }
}
