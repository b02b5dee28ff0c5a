package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.desk.claim.ClaimRow;
import farglass.desk.claim.Dot;
import farglass.desk.plan.PlanStation;
import farglass.desk.player.FilmView;
import farglass.desk.profile.ProfileStation;
import farglass.film.studio.Footage;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.plan.Plan;
import farglass.profile.Claim;
import farglass.simulate.DemoLibrary;
import farglass.store.json.PlanJson;
import farglass.time.ClockMap;
import farglass.time.Segment;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import javafx.scene.AccessibleAttribute;
import javafx.scene.control.ComboBox;
import javafx.scene.control.DatePicker;
import javafx.scene.control.TextField;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The whole way once: a film of one's own, ten events by keys, a claim that changes, a pin, a plan, its page. */
class WholePathTest extends DeskDriver {
    private static final String SWEEP = "technique.lasso-sweep";

    private Path film() throws Exception {
        MatchRecord any =
                DemoLibrary.matches(Lexicon.builtIn(), DemoLibrary.SEED).get(0);
        ClockMap map = ClockMap.of(List.of(Segment.blank(0, 2000, Segment.Kind.OTHER), Segment.live(2000, 62_000, 0)));
        Path target = folder.resolve("own film.mp4");
        new Footage(160, 90, 25).make(any, map, Lexicon.builtIn(), target, x -> {}, () -> false);
        return target;
    }

    private FilmView.Moment moment() {
        return ((FilmView) scene.lookup("#film")).moment().get();
    }

    private void jump(long toMs) {
        while (moment().time().ms() < toMs) {
            long before = moment().time().ms();
            press(KeyCode.CONTROL, KeyCode.RIGHT);
            await("the film jumps on", () -> moment() != null && moment().time().ms() > before);
        }
    }

    private MatchRecord record() {
        return desk.openRecord().get();
    }

    private Optional<Claim> claim(String id) throws Exception {
        return onFx(() -> ((ProfileStation) shell.station(3))
                .claims().stream().filter(c -> c.id().equals(id)).findFirst());
    }

    @Test
    void fromAFilmToAPlan() throws Exception {
        addMatch();
        // two seconds of entrance, then the match begins
        for (int i = 0; i < 2; i++) {
            long before = moment().time().ms();
            press(KeyCode.SHIFT, KeyCode.RIGHT);
            await("the film jumps on", () -> moment().time().ms() > before);
        }
        press(KeyCode.F2);
        await("the clock is set", () -> !record().clock().isEmpty());
        assertThat(record().clock().segments().get(0).to().ms()).isEqualTo(2000);

        int trialsBefore = profileTrials();
        WritableImage empty = picture("#tide-line");
        tagTenEvents();
        assertThat(differing(empty, picture("#tide-line")))
                .as("the tide line grows")
                .isGreaterThan(300);

        toClaims();
        await(
                "the claim counts the new sweeps",
                () -> profiled()
                        .filter(c -> c.estimate().n() == trialsBefore + 2)
                        .isPresent());
        playAndPin();
        layPlanAndExport();

        restart();
        desk.openMatch(record().id());
        MatchRecord kept = desk.match("2031-05-01-kellivar-tolendt").orElseThrow();
        assertThat(kept.tags().stream().filter(Tag.Action.class::isInstance)).hasSize(9);
        assertThat(onFx(() -> desk.library().undo(kept.id())))
                .as("undo survives the restart")
                .isPresent();
    }

    private void addMatch() throws Exception {
        Path film = film();
        fire("#matches-add");
        onFx(() -> {
            ((ComboBox<?>) scene.lookup("#form-a")).getEditor().setText("Ansa Kellivar");
            ((ComboBox<?>) scene.lookup("#form-b")).getEditor().setText("Brisa Tolendt");
            ((DatePicker) scene.lookup("#form-date")).setValue(LocalDate.of(2031, 5, 1));
            ((TextField) scene.lookup("#form-film")).setText(film.toString());
            return null;
        });
        fire("#form-keep");
        await(
                "the film station shows the film's first picture",
                () -> scene.lookup("#film") != null
                        && record().id().equals("2031-05-01-kellivar-tolendt")
                        && moment() != null);
        assertThat(onInterfaceThread()).isFalse();
    }

    private int profileTrials() throws Exception {
        toClaims();
        await("the profile is worked out", () -> profiled().isPresent());
        int n = (int) claim(SWEEP).orElseThrow().estimate().n();
        press(KeyCode.CONTROL, KeyCode.DIGIT2);
        await("the film is back", () -> scene.lookup("#phrase") != null && moment() != null);
        return n;
    }

    private Optional<Claim> profiled() {
        return ((ProfileStation) shell.station(3))
                .claims().stream().filter(c -> c.id().equals(SWEEP)).findFirst();
    }

    private void tagTenEvents() {
        List<String> phrases = List.of(
                "b guard pull to lasso left",
                "b sleeve left deep",
                "a toreando left stuffed",
                "b lasso sweep right left near",
                "a knee cut right past knees",
                "b half guard",
                "error a head too low",
                "b lasso sweep left done",
                "points 2 b",
                "b knee cut right done",
                "b to mount done",
                "b cross choke 3",
                "a bridge reversal stuffed");
        long ms = 3000;
        for (String p : phrases) {
            jump(ms);
            int before = record().tags().size();
            phrase(p);
            await("kept: " + p, () -> record().tags().size() > before);
            ms += 4000;
        }
        List<Tag> tags = record().tags();
        Tag.Action near = (Tag.Action) tags.stream()
                .filter(t -> t instanceof Tag.Action a
                        && a.outcome() == Outcome.NEAR
                        && a.sides().size() == 2)
                .findFirst()
                .orElseThrow();
        assertThat(near.sides()).containsExactly(Side.RIGHT, Side.LEFT);
        // stamped at the moment on screen less the reaction delay, on the match clock that begins two seconds in
        assertThat(near.t().ms()).isBetween(9000L, 17_000L);
        assertThat(tags).anyMatch(t -> t instanceof Tag.Remark);
        assertThat(tags).anyMatch(t -> t instanceof Tag.Grip);
        assertThat(tags)
                .anyMatch(t -> t instanceof Tag.Position p && p.position().equals("MNT"));
        undoAndRedo();
    }

    private void undoAndRedo() {
        int all = record().tags().size();
        robot.interact(() -> find("#phrase").requestFocus());
        press(KeyCode.CONTROL, KeyCode.Z);
        await("undone", () -> record().tags().size() < all);
        press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
        await("redone", () -> record().tags().size() == all);
    }

    private void playAndPin() throws Exception {
        Claim claim = claim(SWEEP).orElseThrow();
        onFx(() -> {
            ((ProfileStation) shell.station(3)).show(claim);
            return null;
        });
        String row = "#claim-technique-lasso-sweep";
        await("its row is in view", () -> scene.lookup(row) instanceof ClaimRow);
        assertThat(((ClaimRow) scene.lookup(row)).claim()).isEqualTo(claim);
        if (scene.lookup(row + " .more-dots") != null) {
            fire(row + " .more-dots");
        }
        long dots = onFx(() -> (long) scene.lookup(row).lookupAll(".dot").size());
        assertThat(dots)
                .as("one dot for every occurrence")
                .isEqualTo(claim.trials().size());
        onFx(() -> {
            scene.lookup(row).lookupAll(".dot").stream()
                    .map(Dot.class::cast)
                    .filter(d -> d.queryAccessibleAttribute(AccessibleAttribute.TEXT)
                            .toString()
                            .contains("1 May 2031"))
                    .findFirst()
                    .orElseThrow()
                    .fire();
            return null;
        });
        await(
                "the dot plays its clip",
                () -> scene.getRoot().lookupAll("#film").stream()
                        .map(FilmView.class::cast)
                        .anyMatch(f -> f.moment().get() != null
                                && f.moment().get().time().ms() > 3000
                                && f.playing().get()));
        Path reel = folder.resolve("reel.mp4");
        onFx(() -> {
            ((ProfileStation) shell.station(3)).actions().writeReel(claim, reel);
            return null;
        });
        await("the reel and its list are written", () -> Files.exists(folder.resolve("reel.json")));
        assertThat(Files.readAllLines(folder.resolve("reel.csv"))).hasSize(3);
        fire(row + " .pin");
        await("it is pinned", () -> desk.plan().get().pinned().size() == 1);
    }

    private void layPlanAndExport() throws Exception {
        press(KeyCode.CONTROL, KeyCode.DIGIT6);
        fire("#plan-page-own");
        for (String text : List.of("Collar and sleeve", "Pulls to lasso", "Strip the sleeve")) {
            robot.interact(() -> find("#fork-next").requestFocus());
            robot.write(text, 0);
            int before = size();
            press(KeyCode.ENTER);
            await("a fork more", () -> size() == before + 1);
        }
        Path pdf = folder.resolve("plan.pdf");
        Path json = folder.resolve("plan.plan.json");
        onFx(() -> {
            ((PlanStation) shell.station(5)).papers().writePdf(pdf);
            return null;
        });
        await("the page is written", () -> Files.exists(pdf));
        onFx(() -> {
            ((PlanStation) shell.station(5)).papers().writeJson(json);
            return null;
        });
        await("the document is written", () -> Files.exists(json));
        Plan written = PlanJson.read(Files.readString(json));
        assertThat(written.pinned()).extracting(c -> c.claim()).containsExactly(SWEEP);
        assertThat(Files.size(pdf)).isGreaterThan(5000);
    }

    private int size() {
        return desk.plan().get().openings().stream().mapToInt(f -> f.size()).sum();
    }

    private WritableImage picture(String selector) throws Exception {
        return onFx(() -> scene.lookup(selector).snapshot(null, null));
    }

    private static int differing(WritableImage a, WritableImage b) {
        int n = 0;
        for (int y = 0; y < Math.min(a.getHeight(), b.getHeight()); y++) {
            for (int x = 0; x < Math.min(a.getWidth(), b.getWidth()); x++) {
                n += a.getPixelReader().getArgb(x, y) != b.getPixelReader().getArgb(x, y) ? 1 : 0;
            }
        }
        return n;
    }
}
