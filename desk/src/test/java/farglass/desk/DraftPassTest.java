package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.desk.film.FilmProbe;
import farglass.desk.film.FilmStation;
import farglass.draft.Draft;
import farglass.draft.DraftFate;
import farglass.draft.DraftList;
import farglass.draft.Source;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.simulate.DemoLibrary;
import farglass.store.Library;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What was said over a film is drafted, and passed by keys: taken, corrected, refused, taken back. */
class DraftPassTest extends DeskDriver {
    private String match;

    @Override
    void fill(Library library) throws Exception {
        Demo.fill(library);
        Demo.prepare(library);
    }

    @BeforeEach
    void openTheMatchThatWaits() throws Exception {
        match = desk.matches().stream()
                .filter(MatchRecord::waiting)
                .findFirst()
                .orElseThrow()
                .id();
        press(KeyCode.CONTROL, KeyCode.DIGIT2);
        onFx(() -> {
            desk.openMatch(match);
            return null;
        });
        await("the commentary beside the film is read", () -> !open().isEmpty());
    }

    private List<DraftList.Judged> judged() {
        return desk.session().drafts().judged(desk.openRecord().get());
    }

    private List<Draft> open() {
        return judged().stream()
                .filter(j -> j.fate() == DraftFate.OPEN)
                .map(DraftList.Judged::draft)
                .toList();
    }

    private DraftFate fate(String id) {
        return judged().stream()
                .filter(j -> id.equals(j.draft().id()))
                .findFirst()
                .orElseThrow()
                .fate();
    }

    private List<Tag> taken() {
        return desk.openRecord().get().tags().stream()
                .filter(t -> "captions".equals(t.info().extra().get("source")))
                .toList();
    }

    private Draft inHand() {
        ListView<DraftList.Judged> list = find("#draft-list");
        return list.getSelectionModel().getSelectedItem().draft();
    }

    @Test
    void draftsCountNothingUntilAKeyTakesThemAndEveryKeyIsUndone() throws Exception {
        assertThat(taken()).isEmpty();
        assertThat(desk.openRecord().get().waiting()).isTrue();
        int before = open().size();
        press(KeyCode.F3);
        await("the first is in hand", () -> find("#drafts").isVisible() && inHand() != null);
        Draft first = onFx(this::inHand);
        press(KeyCode.ENTER);
        await("taken", () -> taken().size() == 1);
        assertThat(taken().get(0).info().id()).isEqualTo(first.id());
        assertThat(taken().get(0).info().confidence()).isNotNull();
        assertThat(onFx(this::inHand).id()).isNotEqualTo(first.id());
        Draft second = onFx(this::inHand);
        press(KeyCode.DELETE);
        await("refused", () -> fate(second.id()) == DraftFate.REFUSED);
        assertThat(onFx(this::inHand).id()).isNotEqualTo(second.id());
        press(KeyCode.CONTROL, KeyCode.Z);
        await("asked again", () -> fate(second.id()) == DraftFate.OPEN);
        press(KeyCode.CONTROL, KeyCode.Z);
        await("nothing taken", () -> taken().isEmpty() && open().size() == before);
        press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
        await("taken again", () -> taken().size() == 1 && fate(first.id()) == DraftFate.TAKEN);
        restart();
        onFx(() -> {
            desk.openMatch(match);
            return null;
        });
        await("kept with the library", () -> fate(first.id()) == DraftFate.TAKEN && open().size() < before);
    }

    @Test
    void whatIsOnlyToBeReadIsCountedApartAndPassedOver() throws Exception {
        List<Draft> quiet = open().stream().filter(Draft::quiet).toList();
        assertThat(quiet).isNotEmpty();
        press(KeyCode.F3);
        await("the first is in hand", () -> find("#drafts").isVisible() && inHand() != null);
        int asked = open().size() - quiet.size();
        assertThat(texts("#drafts"))
                .anyMatch(t ->
                        t.startsWith(asked + " drafts, about") && t.endsWith("; " + quiet.size() + " more to read"));
        for (int i = 1; i < asked; i++) {
            assertThat(onFx(this::inHand).quiet()).isFalse();
            press(KeyCode.F3);
        }
        Draft last = onFx(this::inHand);
        assertThat(last.quiet()).isFalse();
        press(KeyCode.F3);
        assertThat(onFx(this::inHand).id()).as("there is no other").isEqualTo(last.id());
    }

    @Test
    void aDraftIsCorrectedInThePhraseLineAtItsOwnMoment() throws Exception {
        press(KeyCode.F3);
        await("the first is in hand", () -> find("#drafts").isVisible() && inHand() != null);
        Draft first = onFx(this::inHand);
        press(KeyCode.CONTROL, KeyCode.E);
        TextField line = find("#phrase");
        await("its phrase stands there", () -> line.getText().startsWith("b guard pull"));
        robot.interact(() -> line.setText("a collar drag"));
        press(KeyCode.ENTER);
        await("corrected", () -> fate(first.id()) == DraftFate.CHANGED);
        Tag now = taken().get(0);
        assertThat(now.t()).isEqualTo(first.tag().t());
        assertThat(((Tag.Action) now).technique()).isEqualTo("collar-drag");
        assertThat(desk.session().drafts().sources().values())
                .anySatisfy(s -> assertThat(s.changed()).isEqualTo(1));
    }

    @Test
    void sureOnesAreTakenTogetherAndRefusedOnesAskedAgain() throws Exception {
        press(KeyCode.F3);
        await("the first is in hand", () -> find("#drafts").isVisible() && inHand() != null);
        Draft first = onFx(this::inHand);
        assertThat(first.confidence()).isGreaterThanOrEqualTo(Draft.SURE);
        press(KeyCode.SHIFT, KeyCode.ENTER);
        await("the run is taken", () -> !taken().isEmpty());
        int run = taken().size();
        Draft next = onFx(this::inHand);
        assertThat(next.confidence()).isLessThan(Draft.SURE);
        press(KeyCode.DELETE);
        await("refused", () -> fate(next.id()) == DraftFate.REFUSED);
        fire("#drafts-decided");
        await("the decided are listed", () -> says("#drafts", "refused") && says("#drafts", "taken"));
        assertThat(texts("#drafts")).anyMatch(t -> t.startsWith("captions: " + run + " of " + (run + 1)));
    }

    @Test
    void captionsThatCannotBeReadChangeNothing() throws Exception {
        List<Draft> before = open();
        Path broken = Files.write(folder.resolve("broken.vtt"), new byte[] {0, 1, 2, 3});
        onFx(() -> {
            FilmProbe.drop((FilmStation) shell.station(1), broken);
            return null;
        });
        awaitNotice("cannot be read as captions");
        assertThat(open()).isEqualTo(before);
        Path more = Files.writeString(
                folder.resolve("more.srt"), "1\n00:00:05,000 --> 00:00:07,000\nTrosten pulls guard.\n");
        onFx(() -> {
            FilmProbe.drop((FilmStation) shell.station(1), more);
            return null;
        });
        awaitNotice("more.srt: 1 draft");
        assertThat(open()).as("two sources of one moment are one draft").hasSameSizeAs(before);
        assertThat(open()).anySatisfy(d -> assertThat(d.bases()).hasSize(2));
    }

    @Test
    void otherRecordsOfTheMatchProposeTheirTags() throws Exception {
        MatchRecord mine = desk.openRecord().get();
        MatchRecord shown = DemoLibrary.shown(mine, desk.lexicon());
        MatchRecord theirs =
                new MatchRecord(mine.id() + "-second", mine.kind(), mine.details(), List.of(), shown.tags(), Map.of());
        onFx(() -> {
            desk.addMatches(List.of(theirs), () -> desk.openMatch(match));
            return null;
        });
        await("it is there", () -> desk.matches().stream().anyMatch(r -> r.id().equals(theirs.id())));
        int before = open().size();
        press(KeyCode.F12);
        await("it can be asked", () -> find("#drafts-others").isVisible());
        fire("#drafts-others");
        await("its tags are proposed", () -> open().size() > before + 10);
        assertThat(open())
                .as("what the commentary said of the same moment is one draft with it")
                .anySatisfy(d ->
                        assertThat(d.bases()).extracting(b -> b.source()).contains(Source.CAPTIONS, Source.REPEAT));
        assertThat(desk.openRecord().get()).isEqualTo(mine);
        press(KeyCode.F12);
        await("the record again", () -> !find("#drafts").isVisible());
    }

    @Test
    void aDraftIsTakenAtTheMomentOnScreenAndTheWayBackIsOpen() throws Exception {
        press(KeyCode.F3);
        await("the first is in hand", () -> find("#drafts").isVisible() && inHand() != null);
        Draft first = onFx(this::inHand);
        press(KeyCode.F3);
        await("the second", () -> !inHand().id().equals(first.id()));
        press(KeyCode.SHIFT, KeyCode.F3);
        await("the first again", () -> inHand().id().equals(first.id()));
        press(KeyCode.SHIFT, KeyCode.F3);
        awaitNotice("This is the first draft");
        press(KeyCode.CONTROL, KeyCode.RIGHT);
        press(KeyCode.SHIFT, KeyCode.RIGHT);
        press(KeyCode.CONTROL, KeyCode.ENTER);
        await("taken", () -> taken().size() >= 1);
        Tag now = taken().get(0);
        assertThat(now.t()).isNotEqualTo(first.tag().t());
        assertThat(now.info().extra()).containsEntry("proposed", first.tag().t().ms());
    }

    @Test
    void withoutFilmThereIsNothingToSkim() throws Exception {
        press(KeyCode.CONTROL, KeyCode.F3);
        awaitNotice("no film to skim");
    }
}
