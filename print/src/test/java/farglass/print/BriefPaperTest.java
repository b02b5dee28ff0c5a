package farglass.print;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.brief.Slide;
import farglass.stats.TagRef;
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
        Path file = folder.resolve("brief.pdf");
        List<TagRef> asked = new ArrayList<>();
        new BriefPaper(slides, "Briefing", "Tap early and often.", ref -> {
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
            assertThat(text).contains("Brisa Tolendt", "Fork 8", "They may: pull", "calmly 3", "Tap early and often.");
        }
    }
}
