package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.desk.profile.ProfileStation;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Tag;
import farglass.plan.Judgement;
import farglass.profile.Claim;
import farglass.profile.Profile;
import farglass.profile.Question;
import farglass.profile.Report;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The profile station: its pages, what an analyst does to a claim, questions in words, and what is handed over. */
class ProfilePagesTest extends DeskDriver {
    private ProfileStation station;

    @BeforeEach
    void goThere() throws Exception {
        toClaims();
        station = (ProfileStation) shell.station(3);
        await("claims are there", () -> station.claims().size() > 5);
    }

    private String who() {
        return desk.profiled().get();
    }

    private Stream<String> labels(String selector) {
        return find(selector).lookupAll(".label").stream()
                .filter(Node::isVisible)
                .map(n -> ((Labeled) n).getText());
    }

    private boolean shows(String selector, String words) {
        return labels(selector).anyMatch(t -> t.contains(words));
    }

    @Test
    void everyPageAnswersItsQuestionUnderEveryAthlete() throws Exception {
        for (Question q : Question.values()) {
            fire("#page-" + q.name());
            String title = desk.claimWriter()
                    .question(
                            q.key(),
                            desk.nameOf(who()).substring(desk.nameOf(who()).lastIndexOf(' ') + 1));
            await(title, () -> shows("#station-profile", title));
            await("rows of " + q, () -> !station.list().getItems().isEmpty());
        }
        press(KeyCode.F3);
        await("after the last question comes the comparison", () -> scene.lookup("#compared") != null);
    }

    @Test
    void aDoubtWithItsReasonMovesTheClaimToTheEndAndUndoTakesItBack() throws Exception {
        Claim first = station.claims().get(0);
        onFx(() -> {
            station.actions().judge(first);
            return null;
        });
        settle();
        onFx(() -> {
            ((TextField) find("#judge-doubt")).setText("only seen against beginners");
            ((TextField) find("#judge-wording")).setText("Hunts the triangle");
            return null;
        });
        press(KeyCode.ENTER);
        await(
                "it stands last",
                () -> station.claims().get(station.claims().size() - 1).equals(first));
        onFx(() -> {
            station.show(first);
            return null;
        });
        await("its reason is shown", () -> shows("#claims", "Doubted: only seen against beginners"));
        assertThat(onFx(() -> shows("#claims", "Hunts the triangle"))).isTrue();
        restart();
        Judgement kept = desk.plan().get().judgement(who(), first.id());
        assertThat(kept.doubt()).isEqualTo("only seen against beginners");
        goThere();
        press(KeyCode.CONTROL, KeyCode.Z);
        await("taken back", () -> station.claims().get(0).id().equals(first.id()));
    }

    @Test
    void anOwnClaimRestsOnTheTagsThatWereAskedFor() throws Exception {
        press(KeyCode.ALT, KeyCode.N);
        await("the sheet is laid", () -> scene.lookup("#own-sheet") != null);
        onFx(() -> {
            ((TextField) find("#own-sentence")).setText("Always pulls from the collar");
            ((TextField) find("#own-query")).setText("guard pull");
            return null;
        });
        int tags = onFx(() -> ((ListView<?>) find("#own-list")).getItems().size());
        assertThat(tags).isPositive();
        fire("#own-keep");
        await("the claim is there", () -> own().size() == 1);
        assertThat(own().get(0).trials()).hasSize(tags);
        assertThat(desk.claimWriter().sentence(own().get(0))).isEqualTo("Always pulls from the collar");
        press(KeyCode.CONTROL, KeyCode.Z);
        await("taken back", () -> own().isEmpty());
    }

    @Test
    void anOwnClaimLooksThroughTheMatchesOfTheAthleteInSight() throws Exception {
        fire("#page-GUARDS");
        onFx(() -> {
            desk.profiled().set("juno-fastrel");
            return null;
        });
        await("the other athlete's page", () -> shows("#station-profile", "Fastrel play"));
        await("the other athlete's matches", () -> shows("#station-profile", "16 matches"));
        fire("#own-claim");
        onFx(() -> {
            ((TextField) find("#own-query")).setText("double leg");
            return null;
        });
        List<String> found = onFx(() -> ((ListView<?>) find("#own-list"))
                .getItems().stream().map(Object::toString).toList());
        assertThat(found).isNotEmpty().allMatch(t -> t.contains("Fastrel"));
    }

    private List<Claim> own() {
        return station.claims().stream()
                .filter(c -> c.topic() == Claim.Topic.OWN)
                .toList();
    }

    @Test
    void aQuestionInWordsIsAnsweredAndTellsWhatItDidNotUnderstand() throws Exception {
        press(KeyCode.CONTROL, KeyCode.F);
        await("the line has the keyboard", () -> find("#ask").isFocused());
        robot.write("swee", 0);
        press(KeyCode.TAB);
        robot.write("to the left frobnicate", 0);
        press(KeyCode.ENTER);
        await("understood", () -> shows("#claims", "Understood: sweep"));
        assertThat(onFx(() -> shows("#claims", "Not understood: frobnicate"))).isTrue();
        assertThat(station.claims())
                .isNotEmpty()
                .allSatisfy(c -> assertThat(c.estimate().n()).isPositive());
        press(KeyCode.ESCAPE);
        await("the page is back", () -> shows("#claims", "Evidence: strong"));
    }

    @Test
    void twoAthletesAreLaidBesideOneAnother() throws Exception {
        fire("#page-COMPARE");
        await("rows", () -> scene.lookup("#compared") != null && shows("#compared", "points difference"));
        assertThat(onFx(() -> shows("#compared", "Between the two"))).isTrue();
        fire("#page-CHART");
        await("the chart", () -> scene.lookup("#chart-other") != null);
        onFx(() -> {
            this.<ComboBox<String>>find("#chart-other").setValue("odile-marrowen");
            return null;
        });
        await(
                "flows in words",
                () -> scene.getRoot().lookupAll("#station-profile .quiet").stream()
                        .anyMatch(n -> ((Labeled) n).getText().contains("in ten minutes")));
    }

    @Test
    void aChangedTagChangesTheOpenPage() throws Exception {
        fire("#page-GUARDS");
        String id = "technique.lasso-sweep";
        await("the sweep is there", () -> claim(id) != null);
        double before = claim(id).estimate().x();
        onFx(() -> {
            MatchRecord r = desk.matches().stream()
                    .filter(m -> m.cornerOf(who()).isPresent() && failed(m) >= 0)
                    .findFirst()
                    .orElseThrow();
            Tag.Action a = (Tag.Action) r.tags().get(failed(r));
            desk.edit(r.id(), Edit.replace(r, failed(r), a.result(Outcome.COMPLETED, 4, a.to(), a.until())));
            return null;
        });
        await("one more worked", () -> claim(id) != null && claim(id).estimate().x() == before + 1);
    }

    private int failed(MatchRecord r) {
        for (int i = 0; i < r.tags().size(); i++) {
            if (r.tags().get(i) instanceof Tag.Action a
                    && a.technique().equals("lasso-sweep")
                    && a.by() == r.cornerOf(who()).orElseThrow()
                    && a.outcome() != null
                    && !a.completed()) {
                return i;
            }
        }
        return -1;
    }

    private Claim claim(String id) {
        return station.claims().stream()
                .filter(c -> c.id().equals(id))
                .findFirst()
                .orElse(null);
    }

    @Test
    void aSetOfMatchesIsNamedAndChosen() throws Exception {
        fire("#attire-no-gi");
        await("fewer matches", () -> shows("#station-profile", "4 matches"));
        fire("#filter-more");
        onFx(() -> {
            TextField name = find("#filter-set-name");
            name.setText("without the gi");
            name.getOnAction().handle(null);
            return null;
        });
        fire("#attire-all");
        await("all again", () -> shows("#station-profile", "17 matches"));
        onFx(() -> {
            this.<ComboBox<String>>find("#filter-set").setValue("without the gi");
            return null;
        });
        await("the set alone", () -> shows("#station-profile", "4 matches"));
    }

    private static String text(Path pdf) throws Exception {
        try (PDDocument d = Loader.loadPDF(pdf.toFile())) {
            return new PDFTextStripper().getText(d);
        }
    }

    @Test
    void whatIsHandedOverIsWholeAndReadable() throws Exception {
        LibraryIndex index = LibraryIndex.of(List.copyOf(desk.matches()), desk.lexicon());
        Profile p = Profile.of(index, who(), Filter.ALL, 1);
        Path dossier = folder.resolve("d.pdf");
        Path json = folder.resolve("p.json");
        Path csv = folder.resolve("c.csv");
        Path report = folder.resolve("r.pdf");
        onFx(() -> {
            station.handing().dossier(p, p.claims().subList(0, 10), true, dossier);
            station.handing().json(p, json);
            station.handing().csv(p, csv);
            station.handing().report(Report.of(index, "ansa-kellivar", Filter.ALL), report);
            station.handing().csv(p, folder.resolve("no/such/folder/c.csv"));
            return null;
        });
        awaitNotice("could not be written");
        assertThat(text(dossier).replaceAll("\\s+", " "))
                .contains(p.name())
                .contains(desk.claimWriter().sentence(p.claims().get(0)))
                .contains(desk.claimWriter().counts(p.claims().get(0)))
                .contains("SOURCES");
        try (PDDocument d = Loader.loadPDF(dossier.toFile())) {
            assertThat(d.getNumberOfPages()).isBetween(4, 5);
        }
        assertThat(text(report)).contains("Report for Ansa Kellivar").contains("Tap early");
        assertThat(Files.readString(json)).contains("farglass.profile/1");
        assertThat(Files.readAllLines(csv)).hasSizeGreaterThan(p.claims().size());
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left.filter(f -> f.toString().endsWith(".part"))).isEmpty();
        }
    }

    @Test
    void theReportCountsFaultsAndTheSheetOffersTheClaims() throws Exception {
        onFx(() -> {
            desk.profiled().set("ansa-kellivar");
            return null;
        });
        fire("#page-OWN_REPORT");
        await("faults", () -> scene.lookup("#report") != null && shows("#report", "went free"));
        press(KeyCode.ALT, KeyCode.H);
        await("the sheet", () -> scene.lookup("#hand-over-sheet") != null);
        await("ten are chosen", () -> shows("#hand-over-sheet", "10 chosen"));
        robot.interact(() -> find("#hand-over-list").requestFocus());
        onFx(() -> {
            ((ListView<?>) find("#hand-over-list")).getSelectionModel().select(0);
            return null;
        });
        press(KeyCode.SPACE);
        await("one is out", () -> shows("#hand-over-sheet", "9 chosen"));
        press(KeyCode.ESCAPE);
        await("put away", () -> scene.lookup("#hand-over-sheet") == null);
    }
}
