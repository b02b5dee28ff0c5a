package farglass.print;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIOException;

import farglass.plan.PinnedClaim;
import farglass.plan.Plan;
import farglass.stats.Grade;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PlanPageTest {
    @TempDir
    private Path folder;

    private static PinnedClaim claim(int n) {
        return new PinnedClaim(
                "b", "c" + n, "Claim number " + n + " is so.", n + " of 20 in 6 matches", 0.35, 0.2, 0.5, Grade.FAIR);
    }

    private static Plan plan(int claims, int forks) {
        Plan p = Plan.empty("p", "Against Tolendt", "a", "b");
        for (int i = 0; i < claims; i++) {
            p = p.pin(claim(i));
        }
        p = p.open("Collar grip first");
        for (int i = 0; i < forks; i++) {
            p = p.follow("f1", "Answer " + i);
        }
        return p;
    }

    private String text(Plan plan) throws Exception {
        Path file = folder.resolve("page.pdf");
        new PlanPage(plan, "Ansa Kellivar", "Brisa Tolendt", "Lantern Bay Open", "Tap early.").write(file);
        try (PDDocument d = Loader.loadPDF(file.toFile())) {
            assertThat(d.getNumberOfPages()).isEqualTo(1);
            PDRectangle box = d.getPage(0).getMediaBox();
            assertThat(box.getWidth()).isGreaterThan(box.getHeight());
            return new PDFTextStripper().getText(d);
        }
    }

    @Test
    void thePageSaysWhatThePlanSaysAndOnWhatItRests() throws Exception {
        Plan plan = plan(2, 2).change("f2", f -> f.resting(claim(1)));
        assertThat(text(plan))
                .contains("Against Tolendt")
                .contains("Ansa Kellivar against Brisa Tolendt. Lantern Bay Open")
                .contains("Collar grip first")
                .contains("Answer 0", "Answer 1")
                .contains("rests on no claim")
                .contains("fair: 1 of 20 in 6 matches")
                .contains("35% (20% to 50%)  0 of 20 in 6 matches, fair")
                .contains("Tap early.");
    }

    @Test
    void aLongPlanStaysOnOnePageAndSaysWhatIsLeftOut() throws Exception {
        assertThat(text(plan(14, 9))).contains("9 OF 14 CLAIMS").contains("Answer 8");
    }

    @Test
    void lettersTheFaceLacksDoNotStopThePage() throws Exception {
        Plan odd = plan(0, 0).change("f1", f -> f.text("送り襟絞 then São João ✓", ""));
        assertThat(text(odd)).contains("送り襟絞 then São João ✓");
    }

    @Test
    void wordsAreNeverCutHoweverMany() throws Exception {
        String name = "Wilhelmina-Augustina Featherstonehaugh-X";
        Plan p = Plan.empty("p", "Against " + name, "a", "b");
        for (int i = 0; i < 14; i++) {
            String id = p.freeId();
            p = p.open(name + ": opening number " + i + " with an action that takes some words to say")
                    .follow(id, name + " answers with something that is long too, number " + i)
                    .change(id, f -> f.text(f.text(), "12%, wins 48%, 3 of 7, others 4 of 31 against " + name));
        }
        Path file = folder.resolve("long.pdf");
        new PlanPage(p, name, name, "Lantern Bay Open", "Tap early.").write(file);
        try (PDDocument d = Loader.loadPDF(file.toFile())) {
            assertThat(d.getNumberOfPages()).isGreaterThan(1);
            String text = new PDFTextStripper().getText(d).replaceAll("\\s", "");
            assertThat(text).doesNotContain("...", "\u2026", "?", "\u25a1");
            for (int i = 0; i < 14; i++) {
                assertThat(text).contains("openingnumber" + i + "withanaction", "islongtoo,number" + i);
            }
        }
    }

    @Test
    void anUnknownNumberIsAQuestionMark() throws Exception {
        PinnedClaim c = new PinnedClaim("b", "c", "So.", "0 of 0", Double.NaN, Double.NaN, 0.4, Grade.THIN);
        assertThat(text(plan(0, 0).pin(c))).contains("? (? to 40%)");
    }

    @Test
    void aPlaceThatCannotBeWrittenLeavesNothing() throws Exception {
        Path file = Files.writeString(folder.resolve("taken"), "x");
        assertThatIOException()
                .isThrownBy(() -> new PlanPage(plan(1, 1), "a", "b", "", "").write(file.resolve("p.pdf")));
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left).containsExactly(file);
        }
    }
}
