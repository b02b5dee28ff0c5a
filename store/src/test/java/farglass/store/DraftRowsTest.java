package farglass.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import farglass.draft.Basis;
import farglass.draft.Draft;
import farglass.draft.DraftList;
import farglass.draft.Source;
import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.RemarkKind;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.simulate.DemoLibrary;
import farglass.store.json.DraftJson;
import farglass.store.json.FormatException;
import farglass.time.MatchTime;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is proposed is kept beside the matches, goes with them, and is read by its open format. */
class DraftRowsTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();

    @TempDir
    private Path folder;

    private final MatchRecord match = DemoLibrary.waiting(LEXICON);

    private DraftList drafts() {
        Draft act = Draft.of(
                Tag.Action.of(MatchTime.ofMs(9000), Corner.A, "knee-cut"),
                "films/m.mp4",
                12_000,
                new Basis(Source.CAPTIONS, "said.vtt", 0.75, "Tolendt cuts the knee.", 13_500));
        Draft remark = Draft.of(
                new Tag.Remark(
                        MatchTime.ofMs(20_000),
                        RemarkKind.ERROR,
                        Corner.B,
                        "captions",
                        "Trosten is late.",
                        null,
                        null,
                        Map.of(),
                        TagInfo.NONE),
                null,
                -1,
                new Basis(Source.NOTES, "old.csv", 0.9, "", -1));
        return DraftList.empty(match.id()).with(List.of(act, remark), match, LEXICON);
    }

    private Library open() throws LibraryException {
        return Library.open(folder.resolve("my.farglass"), Clock.systemUTC());
    }

    @Test
    void theyAreKeptAndFoundAgain() throws Exception {
        DraftList list = drafts();
        list = list.refused(list.drafts().get(0).id(), true);
        try (Library l = open()) {
            l.add(match);
            l.save(list);
            assertThat(l.drafts()).containsExactly(list);
        }
        try (Library l = open()) {
            assertThat(l.drafts()).containsExactly(list);
            l.setRemoved(match.id(), true);
            assertThat(l.drafts())
                    .as("of a match out of sight nothing is proposed")
                    .isEmpty();
            l.setRemoved(match.id(), false);
        }
        assertThat(Salvage.of(folder.resolve("my.farglass"), Clock.systemUTC()).drafts())
                .containsExactly(list);
        Verification v = Verification.of(folder.resolve("my.farglass"), Clock.systemUTC());
        assertThat(v.faults()).isEmpty();
        assertThat(v.counts()).containsEntry("draft_list", 1L);
    }

    @Test
    void theyGoWithAnAthleteWhoIsForgotten() throws Exception {
        MatchRecord other = DemoLibrary.matches(LEXICON, 5).stream()
                .filter(r -> r.cornerOf("brisa-tolendt").isEmpty())
                .findFirst()
                .orElseThrow();
        DraftList naming = DraftList.empty(other.id())
                .with(
                        List.of(Draft.of(
                                Tag.Action.of(MatchTime.ofMs(9000), Corner.A, "knee-cut"),
                                null,
                                -1,
                                new Basis(Source.CAPTIONS, "said.vtt", 0.75, "As Brisa Tolendt does.", -1))),
                        other,
                        LEXICON);
        try (Library l = open()) {
            l.addAll(List.of(match, other));
            l.save(drafts());
            l.save(naming);
            l.forget(l.concerning("brisa-tolendt"));
            assertThat(l.drafts()).singleElement().satisfies(d -> {
                assertThat(d.match()).isEqualTo(other.id());
                assertThat(d.drafts().get(0).text()).doesNotContain("Tolendt");
            });
        }
    }

    @Test
    void theFormatComesBackAsItWasAndWhatIsWrongIsNamed() throws Exception {
        DraftList list = drafts();
        String text = DraftJson.write(list);
        assertThat(DraftJson.read(text)).isEqualTo(list);
        assertThatThrownBy(() -> DraftJson.read(text.replace("draft/1", "draft/2")))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("farglass.draft/1");
        assertThatThrownBy(() -> DraftJson.read(text.replace("\"captions\",\"from\"", "\"rumour\",\"from\"")))
                .isInstanceOf(FormatException.class);
        assertThatThrownBy(() -> DraftJson.read(text.replaceFirst("\"bases\":\\[.*?\\]", "\"bases\":[]")))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("rests on");
        assertThatThrownBy(() -> DraftJson.read("{")).isInstanceOf(FormatException.class);
    }
}
