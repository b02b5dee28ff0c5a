package farglass.desk.profile;

import farglass.ask.Asked;
import farglass.desk.chart.ChartPage;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Keys;
import farglass.desk.shell.Station;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.PersonName;
import farglass.profile.Answer;
import farglass.profile.Claim;
import farglass.profile.ClaimPage;
import farglass.profile.Comparison;
import farglass.profile.Profile;
import farglass.profile.Question;
import farglass.profile.Report;
import farglass.scout.GameFigure;
import farglass.scout.ScoutingReport;
import farglass.stats.Grade;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.Flows;
import farglass.work.profile.ProfileService;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import javafx.beans.value.ObservableValue;
import javafx.collections.ListChangeListener;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** What one athlete does: a page for every question, and the film behind every mark. */
public final class ProfileStation implements Station, Keys.Bound {
    private final Desk desk;
    private final Runnable toFilm;
    private final ProfileService profiles;
    private final Label question = Ui.label("", "question");
    private final Label basis = Ui.label("", "soft");
    private final Label strength = Ui.label("", "soft");
    private final Label name = Ui.label("", "heading");
    private final ProfileFilters filters;
    private final AskLine ask;
    private final PageRail rail;
    private final PageList list;
    private final ChartPage chart;
    private final ComparePage compare;
    private final OwnReportPage report;
    private final ScoutingPage scouting;
    private final GamePage game;
    private final SidesPage sides;
    private final PageArea middle = new PageArea();
    private final ClipView clip;
    private final ChosenClaim actions;
    private final MatchTides tides;
    private final HandOver handOver;
    private final StringProperty status = new SimpleStringProperty("");
    private final Keys keys = new Keys();
    private final VBox page;
    private final StackPane view = new StackPane();
    private boolean visible;
    private boolean stale = true;
    /** The question in words that is answered at the moment, or null when a page is. */
    private String asked;
    /** The claims shown last, with the analyst's own; null before. */
    private List<Claim> found;

    /** The claim to show once its page is there; null for none. */
    private Claim sought;

    private Evidence evidence;
    /** What the filter leaves at the moment; null before. */
    private Evidence counted;

    /** @param toFilm goes to the film station */
    public ProfileStation(Desk desk, Runnable toFilm) {
        this.desk = desk;
        this.toFilm = toFilm;
        this.profiles = new ProfileService(desk::index);
        this.clip = new ClipView(desk, this::open);
        this.actions = new ChosenClaim(desk, clip, this::filterInSight, this::lay);
        this.tides = new MatchTides(desk, this::open);
        this.filters = new ProfileFilters(desk, desk.profiled(), "", this::changed, () -> ids(counted));
        this.list = new PageList(desk, actions, clip::playAll);
        list.setId("claims");
        this.chart = new ChartPage(desk, this::changed);
        chart.onPlay(clip::playAll);
        this.compare = new ComparePage(desk, new PageList(desk, actions, clip::playAll), this::changed);
        this.handOver = new HandOver(desk);
        this.report = new OwnReportPage(
                desk,
                new PageList(desk, actions, clip::playAll),
                this::changed,
                r -> handOver.chooseReport(r, view.getScene().getWindow()));
        this.scouting = new ScoutingPage(desk, clip::playAll, actions, this::openEvidence, this::lay);
        this.game = new GamePage(desk, clip::playAll);
        this.sides = new SidesPage(desk, clip::playAll);
        this.ask = new AskLine(desk, this::ask, () -> ask(null));
        this.rail = new PageRail(desk, p -> ask(null));
        keys.on("Ctrl+F", "keys.profile.ask", ask::begin)
                .on("F3", "keys.profile.next", () -> rail.step(1))
                .on("Shift+F3", "keys.profile.previous", () -> rail.step(-1))
                .on("Enter", "keys.profile.play", this::onClaim, () -> actions.playAll(chosen()))
                .on("Alt+P", "keys.profile.pin", this::onPage, () -> withChosen(actions::pin))
                .on("Alt+J", "keys.profile.judge", () -> withChosen(actions::judge))
                .on("Alt+N", "keys.profile.own", this::ownClaim)
                .on("Alt+H", "keys.profile.hand-over", this::handOver)
                .on("Enter", "keys.scouting.play", this::onSentence, sentence(t -> scouting.play(t.sentence())))
                .on("Alt+P", "keys.scouting.pin", this::onSentence, sentence(t -> scouting.pin(t.sentence())))
                .on("Alt+R", "keys.scouting.reword", this::onSentence, sentence(scouting::reword))
                .on("Alt+O", "keys.scouting.leave-out", this::onSentence, sentence(scouting::leaveOut))
                .on("Alt+E", "keys.scouting.evidence", this::onSentence, sentence(t -> scouting.evidence(t.sentence())))
                .on("Alt+Up", "keys.scouting.up", this::onSentence, sentence(t -> scouting.move(t, -1)))
                .on("Alt+Down", "keys.scouting.down", this::onSentence, sentence(t -> scouting.move(t, 1)))
                .on("Alt+Right", "keys.profile.clip", () -> clip.step(1))
                .on("Alt+Left", "keys.profile.clip-back", () -> clip.step(-1))
                .on("Ctrl+Z", "keys.undo", () -> stepPlan(-1))
                .on("Ctrl+Shift+Z", "keys.redo", () -> stepPlan(1));
        page = layout();
        view.getChildren().add(page);
        view.setId("station-profile");
        page.addEventFilter(KeyEvent.KEY_PRESSED, keys::handle);
        desk.matches().addListener((ListChangeListener<MatchRecord>) c -> changed());
        desk.profiled().addListener((o, was, is) -> changed());
        desk.assignment().addListener((o, was, is) -> changed());
        desk.plan().addListener((o, was, is) -> judged());
    }

    private VBox layout() {
        HBox head = Ui.head(
                question,
                basis,
                named("own-claim", Ui.button(Words.of("own.button"), this::ownClaim, "choice")),
                named("hand-over", Ui.button(Words.of("hand-over.button"), this::handOver, "strong-button")));
        name.setMinWidth(Region.USE_PREF_SIZE);
        VBox sheet = new VBox(6, new HBox(8, name, Ui.spring(), strength), Ui.grow(middle));
        sheet.getStyleClass().add("sheet");
        VBox clips = Ui.sheet(Words.of("profile.clip"), null, clip);
        VBox right = new VBox(12);
        Gradual.parts(right, clips, Ui.grow(Ui.sheet(Words.of("profile.matches"), null, Ui.grow(tides))));
        right.setMinWidth(380);
        right.setMaxWidth(380);
        HBox body = new HBox(10);
        Gradual.parts(body, rail, Ui.grow(sheet), right);
        VBox whole = new VBox(8);
        Gradual.parts(whole, head, filters, ask, Ui.grow(body));
        return whole;
    }

    private static Button named(String id, Button button) {
        button.setId(id);
        button.setMinWidth(Region.USE_PREF_SIZE);
        return button;
    }

    private String surname(String who) {
        String full = desk.nameOf(who);
        return PersonName.last(full);
    }

    @Override
    public String name() {
        return "station.profile";
    }

    @Override
    public Node view() {
        return view;
    }

    @Override
    public Keys keys() {
        return keys;
    }

    @Override
    public ObservableValue<String> status() {
        return status;
    }

    @Override
    public void shown() {
        visible = true;
        MatchRecord open = desk.openRecord().get();
        if (desk.profiled().get() == null && open != null && desk.athletes().size() == 2) {
            // a first match is there, and nobody is to be fought yet: one of the two may as well be looked at
            desk.profiled().set(open.athlete(Corner.B).id());
        }
        // after the pulse that brings the station into sight
        Platform.runLater(() -> {
            if (visible && stale) {
                compute();
            }
        });
        Gradual.afterwards(view, () -> {
            // whoever went into a field meanwhile stays there
            if (!page.isFocusWithin()) {
                list().requestFocus();
            }
        });
    }

    @Override
    public void hidden() {
        visible = false;
        clip.pause();
    }

    /**
     * Works out, while nothing is asked, what is likely to be asked first: the profile of the athlete who is chosen, or
     * of the one with the most matches.
     */
    public void ahead() {
        String who = desk.profiled().get() != null ? desk.profiled().get() : mostSeen();
        if (who != null && !visible) {
            Filter filter = filters.filter();
            desk.tasks().query("profile-ahead", () -> profiles.profile(who, filter), p -> {}, e -> {
                // told when it is asked for
            });
        }
    }

    private String mostSeen() {
        Map<String, Integer> matches = new HashMap<>();
        for (MatchRecord r : desk.matches()) {
            for (Corner c : Corner.values()) {
                matches.merge(r.athlete(c).id(), 1, Integer::sum);
            }
        }
        return matches.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .orElse(null);
    }

    private void changed() {
        stale = true;
        if (visible) {
            compute();
        }
    }

    /** The plan holds another judgement, pin or claim: the same numbers are shown anew. */
    private void judged() {
        if (visible && rail.here().equals(PageRail.CLAIMS) && asked == null && found != null) {
            list.show(
                    found,
                    ProfileService.own(
                            evidence, desk.profiled().get(), desk.plan().get()));
        }
        list.refresh();
        scouting.again();
    }

    /** Answers a question in words, or with null shows the page again. */
    private void ask(String text) {
        asked = text;
        rail.shown(text == null);
        changed();
    }

    /** Shows a page by its name: REPORT, CLAIMS, CHART, COMPARE, OWN_REPORT or that of a {@link Question}. */
    public void go(String pageName) {
        rail.go(pageName);
    }

    /** Answers a question in the words of the phrase line. */
    public void answer(String text) {
        ask(text);
    }

    private void compute() {
        stale = false;
        filters.fill();
        if (rail.here().equals(PageRail.COMPARE)) {
            compare.fill();
        } else if (rail.here().equals(PageRail.OWN_REPORT)) {
            report.fill();
        }
        String who = desk.profiled().get();
        if (who == null) {
            question.setText(Words.of("profile.question.none"));
            middle.empty(Words.of(desk.athletes().isEmpty() ? "profile.nobody" : "profile.none"));
            return;
        }
        String here = rail.here();
        String key = "page." + here;
        question.setText(asked == null ? desk.claimWriter().question(key, surname(who)) : asked);
        name.setText(asked == null ? desk.claimWriter().name(key) : Words.of("ask.heading"));
        if (middle.working(asked == null ? here : "?")) {
            strength.setVisible(false);
        }
        Filter filter = filters.filter();
        run(asked == null ? work(here, who, filter) : answerTo(asked, who, filter));
        desk.tasks()
                .query("profile-basis", () -> Basis.of(profiles.evidence(who, filter)), this::showBasis, this::failed);
    }

    /** Gives what to show once it has been worked out. */
    private Callable<Runnable> work(String here, String who, Filter filter) {
        return switch (here) {
            case PageRail.REPORT ->
                () -> {
                    Profile p = profiles.profile(who, filter);
                    ScoutingReport r = ScoutingReport.of(p);
                    return () -> showReport(p, r, filter);
                };
            case PageRail.CLAIMS ->
                () -> {
                    Profile p = profiles.profile(who, filter);
                    return () -> showClaims(p);
                };
            case PageRail.GAME ->
                () -> {
                    GameFigure figure = profiles.game(who, filter);
                    return () -> {
                        game.show(figure);
                        show(game);
                    };
                };
            case PageRail.SIDES ->
                () -> {
                    List<Claim> found = profiles.sides(who, filter);
                    return () -> {
                        sides.show(found);
                        show(sides);
                    };
                };
            case PageRail.CHART -> {
                String over = chart.over();
                yield () -> {
                    Flows flows = profiles.flows(who, filter);
                    Flows second = over == null ? null : profiles.flows(over, filter);
                    desk.chartPlan();
                    return () -> {
                        chart.show(flows, second);
                        show(chart);
                    };
                };
            }
            case PageRail.COMPARE -> {
                String other = compare.other();
                Filter ofOther = compare.filter();
                yield () -> {
                    Comparison c = profiles.comparison(who, filter, other, ofOther);
                    return () -> {
                        compare.show(c);
                        show(compare);
                    };
                };
            }
            case PageRail.OWN_REPORT -> {
                Filter narrowed = report.narrowed(filter);
                yield () -> {
                    Report r = profiles.report(who, narrowed);
                    return () -> {
                        report.show(r);
                        show(report);
                    };
                };
            }
            default ->
                () -> {
                    ClaimPage made = profiles.page(who, filter, Question.valueOf(here));
                    return () -> {
                        list.show(made);
                        show(list);
                        if (sought != null) {
                            show(sought);
                            sought = null;
                        }
                    };
                };
        };
    }

    private Callable<Runnable> answerTo(String text, String who, Filter filter) {
        Asked read = Asked.read(text, desk.lexicon(), desk.athletes(), filter);
        return () -> {
            Answer answer = profiles.answer(who, read);
            return () -> {
                list.show(answer);
                show(list);
            };
        };
    }

    private void run(Callable<Runnable> work) {
        desk.tasks().query("profile", work, Runnable::run, this::failed);
    }

    private void failed(Exception e) {
        desk.notices().problem(Words.of("profile.failed", e.getMessage()));
    }

    private void show(Node shown) {
        strength.setVisible(shown == list && asked == null && rail.here().equals(PageRail.CLAIMS));
        middle.show(shown);
    }

    private void showClaims(Profile p) {
        found = p.claims();
        evidence = p.evidence();
        counted = evidence;
        int strong = p.graded(Grade.STRONG).size();
        status.set(Words.of("profile.status", strong));
        strength.setText(Words.of(
                "profile.strength",
                strong,
                p.graded(Grade.FAIR).size(),
                p.graded(Grade.THIN).size()));
        list.show(found, ProfileService.own(evidence, p.athlete(), desk.plan().get()));
        show(list);
    }

    private void showReport(Profile p, ScoutingReport r, Filter filter) {
        counted = p.evidence();
        status.set(Words.of("profile.status", p.graded(Grade.STRONG).size()));
        scouting.show(p, r, filter);
        show(scouting);
    }

    /** Opens a page of evidence at a claim of it. */
    private void openEvidence(String page, Claim c) {
        sought = c;
        rail.go(page);
    }

    private static List<String> ids(Evidence e) {
        return e == null
                ? List.of()
                : e.matches().stream().map(s -> s.record().id()).toList();
    }

    /** The matches that are counted, and how long they show the match. */
    private record Basis(Evidence evidence, long minutes) {
        static Basis of(Evidence e) {
            return new Basis(e, Math.round(e.exposureMs() / 60_000.0));
        }
    }

    private void showBasis(Basis b) {
        counted = b.evidence();
        basis.setText(Words.of("profile.basis", counted.matches().size(), b.minutes()));
        tides.show(counted);
    }

    private void open(String match) {
        desk.openMatch(match);
        toFilm.run();
    }

    private Claim chosen() {
        return list.getSelectionModel().getSelectedItem() instanceof PageRow.One one ? one.claim() : null;
    }

    private Runnable sentence(Consumer<ScoutingRow.Told> deed) {
        return () -> scouting.withChosen(deed);
    }

    private boolean onSentence() {
        return onReport() && scouting.list().isFocused();
    }

    private boolean onReport() {
        return asked == null && rail.here().equals(PageRail.REPORT);
    }

    private boolean onPage() {
        return !onReport();
    }

    private boolean onClaim() {
        return list.isFocused() && chosen() != null;
    }

    private void withChosen(Consumer<Claim> deed) {
        if (chosen() == null) {
            desk.notices().done(Words.of("profile.choose"));
        } else {
            deed.accept(chosen());
        }
    }

    private void stepPlan(int by) {
        if (actions.hasPlan()) {
            desk.stepPlan(by);
        }
    }

    /** What the claims in sight were counted in: a question in words narrows further than the filters above it. */
    private Filter filterInSight() {
        Filter above = filters.filter();
        return asked == null
                ? above
                : Asked.read(asked, desk.lexicon(), desk.athletes(), above).filter();
    }

    private void ownClaim() {
        if (actions.hasPlan()) {
            // of the athlete and filter in sight, whichever page is open
            List<MatchRecord> matches = counted == null
                    ? List.of()
                    : counted.matches().stream().map(Evidence.Seen::record).toList();
            lay(close -> new OwnClaimSheet(desk, matches, close));
        }
    }

    private void handOver() {
        if (desk.profiled().get() != null) {
            handOver.ask(profiles, filters.filter(), this::lay, this::failed);
        }
    }

    private void lay(Function<Runnable, Node> sheet) {
        Node[] laid = new Node[1];
        laid[0] = sheet.apply(() -> {
            view.getChildren().remove(laid[0]);
            list().requestFocus();
        });
        view.getChildren().removeIf(n -> n != page);
        view.getChildren().add(laid[0]);
        laid[0].requestFocus();
    }

    /** Plays the first dot of a claim that has film; for pictures of the station. */
    public boolean playFirst() {
        return claims().stream()
                .flatMap(c -> c.trials().stream())
                .filter(clip::hasFilm)
                .findFirst()
                .map(t -> {
                    clip.play(t);
                    return true;
                })
                .orElse(false);
    }

    /** Brings a claim of the page into view and chooses it. */
    public void show(Claim c) {
        PageRow row = new PageRow.One(c);
        list.scrollTo(row);
        list.getSelectionModel().select(row);
    }

    /** The claims in sight, in their order. */
    public List<Claim> claims() {
        return onReport() ? scouting.list().claims() : list.claims();
    }

    public ListView<?> list() {
        return onReport() ? scouting.list() : list;
    }

    /** Hands a profile over as files; see {@link HandOver}. */
    public HandOver handing() {
        return handOver;
    }

    /** What is done with a claim. */
    public ChosenClaim actions() {
        return actions;
    }
}
