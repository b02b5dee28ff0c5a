package farglass.print;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIOException;

import farglass.camp.Camp;
import farglass.camp.Card;
import farglass.camp.CardWriter;
import farglass.camp.Partner;
import farglass.camp.Preparation;
import farglass.camp.Skill;
import farglass.lexicon.Lexicon;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.model.ModelState;
import farglass.simulate.DemoLibrary;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class CampPaperTest {
    @TempDir
    private Path folder;

    private static CampPaper paper() {
        Lexicon lexicon = Lexicon.builtIn();
        Camp camp = Camp.USUAL.from(LocalDate.of(2031, 4, 1)).partners(List.of(new Partner("Ilse", Set.of())));
        List<Skill> skills = List.of(
                new Skill("triangle", false, 0.02, List.of(ModelState.of("CLG", 1))),
                new Skill("knee-cut", true, 0.01, List.of(ModelState.of("LAS", 1))),
                new Skill("back-take", true, 0.01, List.of(ModelState.of("TRT", 1))));
        CardWriter w = new CardWriter(
                Locale.ENGLISH,
                new MeetingWriter(Locale.ENGLISH, lexicon, "Ansa", "Brisa"),
                Evidence.of(DemoLibrary.matches(lexicon, DemoLibrary.SEED), "brisa-tolendt", Filter.ALL, lexicon));
        List<Card> cards = skills.stream().map(w::card).toList();
        Preparation p = Preparation.of(skills, camp, LocalDate.of(2031, 4, 1), LocalDate.of(2031, 5, 3));
        return new CampPaper(
                p,
                camp,
                cards,
                "Camp against Brisa Tolendt",
                "Lantern Bay Open",
                CardWriter.care(Locale.ENGLISH),
                k -> w.title(p.skill(k)));
    }

    @Test
    void daysAndCardsStandOnPaperWithTheCautionsOnEveryPage() throws Exception {
        Path file = folder.resolve("camp.pdf");
        paper().write(file);
        try (PDDocument d = Loader.loadPDF(file.toFile())) {
            assertThat(d.getNumberOfPages()).isGreaterThan(2);
            for (int i = 1; i <= d.getNumberOfPages(); i++) {
                PDFTextStripper s = new PDFTextStripper();
                s.setStartPage(i);
                s.setEndPage(i);
                assertThat(s.getText(d).replaceAll("\\s+", " ")).as("page " + i).contains("Tap early and often.");
            }
            String all = new PDFTextStripper().getText(d).replaceAll("\\s+", " ");
            assertThat(all)
                    .contains(
                            "Camp against Brisa Tolendt", "Wed 2 Apr 2031", "stopping the triangle, 5 min, hard, Ilse")
                    .contains("In danger: neck", "Partner:", "Brisa answers the knee cut", "Ask yourself:");
        }
    }

    @Test
    void nothingIsLeftWhenItCannotBeWritten() throws Exception {
        assertThatIOException().isThrownBy(() -> paper().write(folder.resolve("none/camp.pdf")));
        try (Stream<Path> files = Files.list(folder)) {
            assertThat(files.toList()).isEmpty();
        }
    }
}
