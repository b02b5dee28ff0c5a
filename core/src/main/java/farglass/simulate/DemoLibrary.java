package farglass.simulate;

import static java.util.Objects.requireNonNull;

import farglass.camp.Logged;
import farglass.lexicon.Lexicon;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.plan.Approach;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.time.ClockMap;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** The made-up scenario: our athlete, three likely opponents, five more who fill the brackets, and their matches. */
public final class DemoLibrary {
    /** The seed the demo ships with; every match follows from it. */
    public static final long SEED = 20310503;
    /** Matches that come with made-up footage. */
    public static final int FILMED = 6;

    private static final int MAIN = 4;
    private static final int OWN_MATCHES = 9;
    private static final int MORE_MATCHES = 5;
    /** Since this day one of the opponents passes in another way. */
    static final LocalDate JUNO_CHANGED = LocalDate.of(2029, 11, 25);

    /** The match that waits: a bit over two minutes, with scores of both. */
    private static final int UNTOLD_NUMBER = 1023;

    private static final String UNTOLD = "harrow-spring-cup-2031-03-22-brisa-livia";

    private static final LocalDate FIRST = LocalDate.of(2028, 3, 4);
    private static final String DIVISION = "women featherweight";

    private DemoLibrary() {}

    /** Our athlete of the made-up scenario. */
    public static Style ansa() {
        return Style.of("ansa-kellivar", "Ansa Kellivar", "Tidewall", "#2f5fa8", "blue")
                .does(3, "collar-drag", "single-leg")
                .does(1, "ankle-pick", "snap-down")
                .does(3, "knee-cut")
                .does(1.2, "half-guard-pass", "leg-drag", "smash-pass")
                .does(2, "half-guard-sweep", "underhook-sweep")
                .does(1, "wrestle-up", "butterfly-sweep")
                .does(2, "arm-triangle", "rear-choke")
                .does(1, "kimura", "cross-collar-choke")
                .does(2, "to-mount")
                .does(1, "to-knee-on-belly")
                .does(2, "back-take", "hook-insert")
                .does(1, "guard-recovery", "half-recovery", "hip-escape")
                .does(0.6, "guard-pull")
                .does(1, "enter-guard", "technical-stand-up")
                .active("guard-pull", 0.5)
                .skilled("knee-cut", 0.7)
                .skilled("half-guard-sweep", 0.4)
                .right("pass", 0.82)
                .right("sweep", 0.6)
                .defends("submission", 0.3)
                .guard("HFG", 4)
                .guard("KNS", 3)
                .guard("BTF", 1.5)
                .sequence("collar-drag", "single-leg", "knee-cut")
                .sequence("half-guard-sweep", "underhook-sweep")
                .dilemma("half-guard-sweep", "underhook-sweep")
                .then("collar-drag", "single-leg", "collar-drag")
                .then("knee-cut", "knee-cut", "half-guard-pass")
                .answers("guard-pull", "knee-cut")
                .answers("lasso-sweep", "leg-drag", "knee-cut")
                .build();
    }

    /** The opponent of the made-up scenario. */
    public static Style brisa() {
        return Style.of("brisa-tolendt", "Brisa Tolendt", "Northlock", "#e8e4d8", "white, green patch")
                .does(5, "guard-pull")
                .does(1, "foot-sweep")
                .active("guard-pull", 4)
                .active("takedown", 0.3)
                .active("sweep", 1.3)
                .active("submission", 1.3)
                .does(3, "lasso-sweep", "spider-sweep")
                .does(1.5, "scissor-sweep", "balloon-sweep")
                .does(4, "triangle")
                .does(2, "omoplata", "armbar")
                .does(1, "enter-guard", "guard-recovery", "frame-retention", "inversion-recovery")
                .does(1, "knee-cut", "half-guard-pass", "to-mount", "back-take", "technical-stand-up")
                .skilled("lasso-sweep", 0.6)
                .skilled("triangle", 0.7)
                .right("sweep", 0.18)
                .right("submission", 0.35)
                .defends("pass", 1.1)
                .skilled("enter-guard", 0.6)
                .active("guard-entry", 1.6)
                .active("recovery", 1.4)
                .guard("LAS", 6)
                .guard("SPD", 4)
                .guard("CSG", 1.2)
                .guard("CLG", 1)
                .sequence("guard-pull", "lasso-sweep", "triangle")
                .sequence("enter-guard", "spider-sweep", "omoplata")
                .dilemma("lasso-sweep", "triangle")
                .then("lasso-sweep", "triangle", "lasso-sweep")
                .then("spider-sweep", "triangle")
                .then("triangle", "armbar", "omoplata")
                .then("omoplata", "lasso-sweep", "triangle")
                .answers("knee-cut", "enter-guard", "lasso-sweep")
                .answers("toreando", "enter-guard", "inversion-recovery")
                .build();
    }

    /** A likely opponent of the made-up scenario. */
    public static Style odile() {
        return Style.of("odile-marrowen", "Odile Marrowen", "Cinder Street", "#e8e4d8", "white, red knee sleeves")
                .does(2, "foot-sweep", "collar-drag", "snap-down")
                .active("pass", 1.7)
                .active("guard-pull", 0.2)
                .active("pin-advance", 1.4)
                .does(4, "toreando")
                .does(3, "x-pass", "leg-drag")
                .does(1, "long-step")
                .does(0.3, "knee-cut")
                .does(5, "to-knee-on-belly")
                .does(1.5, "to-mount")
                .does(3, "cross-collar-choke")
                .does(2, "baseball-choke", "bow-and-arrow", "loop-choke")
                .does(1, "back-take", "hook-insert", "guard-recovery", "technical-stand-up", "enter-guard")
                .does(1, "tripod-sweep", "dlr-sweep")
                .skilled("toreando", 0.7)
                .skilled("to-knee-on-belly", 0.5)
                .skilled("cross-collar-choke", 0.4)
                .right("pass", 0.17)
                .right("takedown", 0.4)
                .defends("sweep", 0.3)
                .guard("SIT", 2)
                .guard("DLR", 3)
                .guard("OPN", 1)
                .sequence("toreando", "x-pass", "to-knee-on-belly")
                .sequence("to-knee-on-belly", "cross-collar-choke")
                .dilemma("toreando", "x-pass")
                .then("toreando", "x-pass", "toreando", "to-knee-on-belly")
                .then("x-pass", "toreando", "to-knee-on-belly")
                .then("to-knee-on-belly", "cross-collar-choke", "baseball-choke")
                .then("cross-collar-choke", "baseball-choke", "to-mount")
                .answers("guard-pull", "toreando")
                .answers("enter-guard", "toreando", "leg-drag")
                .build();
    }

    /** A likely opponent of the made-up scenario, as she fights now. */
    public static Style juno() {
        return juno("body-lock-pass").build();
    }

    /** As she fought until {@link #JUNO_CHANGED}: she smashed through the half guard. */
    static Style earlierJuno() {
        return juno("smash-pass").build();
    }

    private static Style.Builder juno(String pass) {
        return Style.of("juno-fastrel", "Juno Fastrel", "Grey Heron", "#3c4a57", "dark blue, taped ankle")
                .does(4, "double-leg", "single-leg")
                .does(3, "snap-down", "go-behind")
                .does(1, "mat-return")
                .active("takedown", 1.9)
                .active("guard-pull", 0.05)
                .active("submission", 0.8)
                .active("stand-up", 2)
                .does(4, pass)
                .does(1, "over-under")
                .does(3, "guillotine", "darce", "anaconda")
                .does(1, "arm-triangle", "kimura")
                .does(1, "to-mount", "back-take", "hook-insert", "technical-stand-up", "guard-recovery")
                .does(1, "wrestle-up", "half-guard-sweep", "enter-guard")
                .skilled("double-leg", 0.7)
                .skilled("snap-down", 0.6)
                .skilled("guillotine", 0.3)
                .right("pass", 0.6)
                .right("takedown", 0.78)
                .defends("takedown", 0.8)
                .defends("escape", 0.3)
                .guard("HFG", 2)
                .guard("BTF", 2)
                .guard("SIT", 1)
                .sequence("single-leg", "double-leg", pass)
                .sequence("to-mount", "arm-triangle")
                .dilemma("single-leg", "double-leg")
                .then("single-leg", "double-leg", pass)
                .then("double-leg", "single-leg", pass)
                .then("snap-down", "go-behind", "guillotine")
                .then(pass, "over-under", pass, "to-mount")
                .answers("guard-pull", pass, "over-under")
                .answers("single-leg", "guillotine", "snap-down");
    }

    private static Style filler(int i) {
        String[][] people = {
            {"mirel-osk", "Mirel Osk", "Harrow Mill", "#e8e4d8", "white, black belt tip"},
            {"tamsin-greel", "Tamsin Greel", "Saltmarsh", "#2f5fa8", "blue, shoulder patch"},
            {"ione-varrick", "Ione Varrick", "Northlock", "#e8e4d8", "white, blue patch"},
            {"sorrel-anbeck", "Sorrel Anbeck", "Low Quarry", "#3c4a57", "black"},
            {"livia-trosten", "Livia Trosten", "Eastmole", "#2f5fa8", "blue, white trousers"}
        };
        String[] p = people[i];
        Style.Builder b = Style.of(p[0], p[1], p[2], p[3], p[4])
                .does(1, "guard-pull", "single-leg", "double-leg", "collar-drag", "knee-cut", "toreando", "over-under")
                .does(1, "half-guard-pass", "scissor-sweep", "half-guard-sweep", "tripod-sweep", "butterfly-sweep")
                .does(1, "to-mount", "to-knee-on-belly", "back-take", "hook-insert", "rear-choke", "armbar", "triangle")
                .does(1, "cross-collar-choke", "straight-ankle", "guard-recovery", "half-recovery", "hip-escape")
                .does(1, "enter-guard", "technical-stand-up", "turtle-roll", "back-escape")
                .guard("CLG", 1.5)
                .guard("HFG", 1.5)
                .guard("DLR", i == 2 ? 4 : 2)
                .guard("SIT", 1.5)
                .guard("BTF", 1);
        if (i == 1) {
            b.does(4, "straight-ankle", "leg-entry").active("submission", 1.3);
        }
        if (i == 3) {
            b.active("takedown", 1.5).skilled("@takedown", 0.3);
        }
        return b.build();
    }

    /** The five athletes who fill the brackets. */
    public static List<Style> fillers() {
        return List.of(filler(0), filler(1), filler(2), filler(3), filler(4));
    }

    /** The assignments of the scenario: two ahead, one over. */
    public static List<Assignment> assignments() {
        List<String> opponents = List.of(brisa().id(), odile().id(), juno().id());
        return List.of(
                new Assignment(
                        "lantern-bay-2031",
                        ansa().id(),
                        opponents,
                        "Lantern Bay Open",
                        LocalDate.of(2031, 5, 3),
                        "points-gi",
                        "gi",
                        8),
                new Assignment(
                        "saltmarsh-2031",
                        ansa().id(),
                        List.of(juno().id(), odile().id()),
                        "Saltmarsh Night",
                        LocalDate.of(2031, 6, 21),
                        "submission-only",
                        "no-gi",
                        10),
                new Assignment(
                        "saltmarsh-2030",
                        ansa().id(),
                        List.of(brisa().id()),
                        "Saltmarsh Night",
                        LocalDate.of(2030, 7, 3),
                        "submission-only",
                        "no-gi",
                        10));
    }

    /** The plan of the assignment ahead, half worked: forks, promises, and the first rounds of the camp. */
    public static Plan prepared() {
        Plan p = Plan.empty("lantern-bay-2031." + brisa().id(), "Plan against Brisa Tolendt", ansa().id(), brisa().id())
                .open("Collar drag before she sits")
                .follow("f1", "Guard pull to lasso")
                .follow("f2", "Sleeve stripped, knee cut to the right")
                .follow("f2", "Lasso sweep to her left")
                .follow("f4", "Base out, then the knee cut again")
                .promise("", "no guard pull")
                .promise("f2", "their lasso guard at most 20 s at a time")
                .remarks("Posture first: the lasso sleeve is stripped before the knee goes through.");
        LocalDate first = LocalDate.of(2031, 4, 14);
        return p.camp(p.camp()
                .from(first)
                .log(new Logged(first, "+knee-cut", 9, 5, "sleeve stripped late twice"))
                .log(new Logged(first.plusDays(2), "-lasso-sweep", 8, 5, ""))
                .log(new Logged(first.plusDays(4), "-triangle", 7, 6, "posture out at once")));
    }

    /** The plan of the assignment that is over, with what was forecast and promised then. */
    public static Plan fought() {
        Plan p = Plan.empty("saltmarsh-2030." + brisa().id(), "Plan against Brisa Tolendt", ansa().id(), brisa().id())
                .open("Double leg before she sits")
                .follow("f1", "Guard pull to lasso")
                .follow("f2", "Knee cut to the right")
                .follow("f3", "Half recovery")
                .follow("f4", "Knee cut again, low")
                .follow("f3", "Triangle")
                .follow("f6", "Posture out at once")
                .follow("f3", "Lasso sweep to her left")
                .promise("f3", "at least 2 knee cuts")
                .promise("", "no guard pull")
                .promise("f2", "their closed guard at most 20 s at a time")
                .remarks("Patience: she tires after six minutes.");
        return p.approach(p.approach()
                .freeze(List.of(
                        new Approach.Forecast("win", "Ansa wins", 0.42),
                        new Approach.Forecast("submission.ours", "Ansa submits Brisa", 0.27),
                        new Approach.Forecast("submission.theirs", "Brisa submits Ansa", 0.41),
                        new Approach.Forecast("visit LAS+", "the match comes to: Brisa's lasso guard", 0.72),
                        new Approach.Forecast("visit SDC+", "the match comes to: side control, Ansa ahead", 0.48),
                        new Approach.Forecast(
                                "visit BCK+", "the match comes to: back with two hooks, Ansa ahead", 0.33))));
    }

    /**
     * All matches, oldest first. The six shortest gi matches with a stoppage in them that involve the first opponent or
     * our athlete carry a film reference with its clock map; the footage itself is drawn when it is wanted.
     *
     * @param seed {@link #SEED} for the demo; another seed for a recovery test
     */
    public static List<MatchRecord> matches(Lexicon lexicon, long seed) {
        MatchMaker maker = new MatchMaker(lexicon);
        List<MatchRecord> made = new ArrayList<>();
        int n = 0;
        for (int round = 0; round < OWN_MATCHES; round++) {
            for (int m = 0; m < MAIN; m++) {
                Style other = filler((round + 2 * m) % 5);
                LocalDate day = FIRST.plusDays(round * 118L + n % 7 * 5L);
                made.add(make(maker, n++, round, day, main(day).get(m), other, seed));
            }
        }
        for (int[] pair : new int[][] {{0, 1}, {0, 2}, {1, 3}, {2, 3}, {0, 1}}) {
            int round = 6 + n % 3;
            LocalDate day = FIRST.plusDays(round * 118L + n % 7 * 5L);
            made.add(
                    make(maker, n, round, day, main(day).get(pair[0]), main(day).get(pair[1]), seed));
            n++;
        }
        for (int more = 0; more < MORE_MATCHES; more++) {
            for (int m = 0; m < MAIN; m++) {
                Style other = filler((more + 2 * m + 3) % 5);
                LocalDate day = FIRST.plusDays(59 + more * 190L + n % 7 * 3L);
                made.add(make(maker, n++, more, day, main(day).get(m), other, seed));
            }
        }
        return film(made).stream().map(r -> SecondTagging.of(r, lexicon)).toList();
    }

    /**
     * The match of the first opponent that waits to be tagged: its film is there, its record begins empty, without a
     * clock map. A newcomer can do every step on it once.
     */
    public static MatchRecord waiting(Lexicon lexicon) {
        MatchRecord truth = untold(lexicon);
        List<Tag> begun = truth.tags().stream()
                .filter(t -> t.t().ms() == 0 && (t instanceof Tag.Start || t instanceof Tag.Position))
                .toList();
        FilmRef film = truth.films().get(0);
        return truth.withDetails(truth.details().result(null))
                .withFilms(List.of(FilmRef.of(
                        film.file(), requireNonNull(film.durationMs(), "made-up film has a length"), ClockMap.EMPTY)))
                .withTags(begun);
    }

    /** What a commentator says over the film of the match that waits, as WebVTT. */
    public static String commentary() {
        try (InputStream in = requireNonNull(
                DemoLibrary.class.getResourceAsStream("commentary.vtt"), "the commentary ships with the program")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** What made-up film of a record shows: the record itself, or what is not told yet of the one that waits. */
    public static MatchRecord shown(MatchRecord r, Lexicon lexicon) {
        return r.id().equals(UNTOLD) && r.clock().isEmpty() ? untold(lexicon) : r;
    }

    private static MatchRecord untold(Lexicon lexicon) {
        MatchRecord r =
                make(new MatchMaker(lexicon), UNTOLD_NUMBER, 0, LocalDate.of(2031, 3, 22), brisa(), filler(4), SEED);
        return withFilm(r);
    }

    /** The four whose game is told, as they fight on a day. */
    private static List<Style> main(LocalDate day) {
        return List.of(ansa(), brisa(), odile(), day.isBefore(JUNO_CHANGED) ? earlierJuno() : juno());
    }

    private static MatchRecord make(MatchMaker maker, int n, int round, LocalDate date, Style a, Style b, long seed) {
        boolean noGi = round % 4 == 3;
        String[] events = {"Harrow Spring Cup", "Tidewall Invitational", "Lantern Bay Open", "Saltmarsh Night"};
        String[] rounds = {"first round", "quarter-final", "semi-final", "final"};
        String event = noGi ? "Saltmarsh Night" : events[round % 3];
        long length = noGi ? 600_000 : event.equals("Lantern Bay Open") ? 480_000 : 360_000;
        String id = event.toLowerCase(java.util.Locale.ROOT).replace(' ', '-') + "-" + date + "-"
                + a.id().substring(0, a.id().indexOf('-')) + "-"
                + b.id().substring(0, b.id().indexOf('-'));
        boolean swap = n % 3 == 1;
        return maker.make(
                new MatchMaker.Setting(
                        id,
                        date,
                        event,
                        rounds[n % 4],
                        DIVISION,
                        noGi ? "no-gi" : "gi",
                        noGi ? "submission-only" : "points-gi",
                        length),
                swap ? b : a,
                swap ? a : b,
                seed * 1000 + n);
    }

    private static List<MatchRecord> film(List<MatchRecord> made) {
        List<String> wanted = List.of(brisa().id(), brisa().id(), brisa().id(), odile().id(), juno().id(), ansa().id());
        List<String> filmed = new ArrayList<>();
        wanted.forEach(athlete -> made.stream()
                .filter(r -> r.cornerOf(athlete).isPresent()
                        && "gi".equals(r.details().attire()))
                .filter(r -> r.end().ms() > 60_000 && !filmed.contains(r.id()))
                .sorted(Comparator.comparingInt(
                                (MatchRecord r) -> r.tags().stream().anyMatch(Tag.Stop.class::isInstance) ? 0 : 1)
                        .thenComparing(r -> r.end().ms())
                        .thenComparing(MatchRecord::id))
                .limit(1)
                .forEach(r -> filmed.add(r.id())));
        return made.stream()
                .map(r -> filmed.contains(r.id()) ? withFilm(r) : r)
                .sorted(Comparator.comparing((MatchRecord r) -> r.details().date())
                        .thenComparing(MatchRecord::id))
                .toList();
    }

    private static MatchRecord withFilm(MatchRecord r) {
        var map = Broadcast.of(r);
        long duration = map.segments().get(map.segments().size() - 1).to().ms();
        return r.withFilms(List.of(FilmRef.of("films/" + r.id() + ".mp4", duration, map)));
    }
}
