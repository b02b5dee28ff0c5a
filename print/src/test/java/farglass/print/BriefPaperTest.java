package farglass.print;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.brief.Slide;
import farglass.lexicon.Lexicon;
import farglass.scout.GameFigure;
import farglass.scout.GameFigures;
import farglass.simulate.DemoLibrary;
import farglass.stats.TagRef;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class BriefPaperTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();

    @TempDir
    private Path folder;

    @Test
    void slidesStandOnPaperWithPicturesOfTheirMoments() throws Exception {
        List<TagRef> moments = List.of(new TagRef("m", "1"), new TagRef("m", "2"), new TagRef("gone", "1"));
        List<Slide> slides = new ArrayList<>();
        slides.add(new Slide(
                "title", Slide.Kind.TITLE, "", "Brisa Tolendt", List.of("Lantern Bay Open"), "", List.of(), false));
        for (int i = 0; i < 9; i++) {
            slides.add(new Slide(
                    "fork:f" + i,
                    Slide.Kind.FORK,
                    "WE",
                    "Fork " + i,
                    List.of("They may: pull"),
                    "calmly " + i,
                    moments,
                    false));
        }
        LibraryIndex index = LibraryIndex.of(DemoLibrary.matches(LEXICON, DemoLibrary.SEED), LEXICON);
        GameFigure figure = GameFigures.of(Evidence.of(index, "juno-fastrel", Filter.ALL));
        slides.add(new Slide(
                "game", Slide.Kind.REPORT, "THE GAME", "How it runs", List.of(), "", List.of(), false, figure));
        Path file = folder.resolve("brief.pdf");
        List<TagRef> asked = new ArrayList<>();
        new BriefPaper(slides, "Briefing", "Tap early and often.", LEXICON, ref -> {
                    asked.add(ref);
                    return ref.match().equals("gone") ? null : new BufferedImage(480, 270, BufferedImage.TYPE_INT_RGB);
                })
                .write(file);
        assertThat(asked).hasSize(27);
        try (PDDocument d = Loader.loadPDF(file.toFile())) {
            assertThat(d.getNumberOfPages()).isGreaterThan(1);
            int images = 0;
            for (PDPage p : d.getPages()) {
                for (var name : p.getResources().getXObjectNames()) {
                    images += p.getResources().isImageXObject(name) ? 1 : 0;
                }
            }
            assertThat(images).isEqualTo(18);
            String text = new PDFTextStripper().getText(d);
            assertThat(text).contains("How it runs", "on the feet", "double leg");
            assertThat(text).contains("Brisa Tolendt", "Fork 8", "They may: pull", "calmly 3", "Tap early and often.");
        }
    }
}
