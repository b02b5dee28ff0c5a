package farglass.print;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.type.Typeface;
import java.nio.file.Path;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SheetsTest {
    @TempDir
    private Path folder;

    private interface Setting {
        void on(Sheets s) throws Exception;
    }

    private String[] pages(Setting setting) throws Exception {
        Path file = folder.resolve("sheets.pdf");
        PaperFile.write(file, "Sheets", document -> {
            try (Sheets s = new Sheets(document, "Mind the foot.")) {
                setting.on(s);
            } catch (java.io.IOException e) {
                throw e;
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
        try (PDDocument d = Loader.loadPDF(file.toFile())) {
            String[] texts = new String[d.getNumberOfPages()];
            for (int i = 0; i < texts.length; i++) {
                PDFTextStripper stripper = new PDFTextStripper();
                stripper.setStartPage(i + 1);
                stripper.setEndPage(i + 1);
                texts[i] = stripper.getText(d);
            }
            return texts;
        }
    }

    @Test
    void textGoesOnOnTheNextPageAndEveryPageHasItsFoot() throws Exception {
        String[] pages = pages(s -> {
            s.title("A title", "below it");
            for (int i = 0; i < 120; i++) {
                s.text("Line number " + i + ".", Typeface.SANS, 10, Ink.INK);
            }
        });
        assertThat(pages.length).isGreaterThan(1);
        StringBuilder all = new StringBuilder();
        for (String p : pages) {
            assertThat(p).contains("Mind the foot.");
            all.append(p);
        }
        for (int i = 0; i < 120; i++) {
            assertThat(all.toString()).contains("Line number " + i + ".");
        }
    }

    @Test
    void whatBelongsTogetherStaysTogether() throws Exception {
        String[] pages = pages(s -> {
            s.skip(600);
            s.need(200);
            s.heading("TOGETHER");
            s.text("with this", Typeface.SANS, 10, Ink.INK);
        });
        assertThat(pages).hasSize(2);
        assertThat(pages[0]).doesNotContain("TOGETHER");
        assertThat(pages[1]).contains("TOGETHER", "with this");
    }

    @Test
    void aLongParagraphIsBrokenIntoLines() throws Exception {
        String[] pages = pages(s -> s.text("word ".repeat(60), Typeface.SANS, 12, Ink.INK, 20));
        assertThat(pages).hasSize(1);
        assertThat(pages[0].lines().filter(l -> l.startsWith("word")).count()).isGreaterThan(2);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Žofia Ólafsdóttir",
                "Ελένη Παππά",
                "Юлия Чжан",
                "田中 花子",
                "김민서",
                "王小明",
                "Nguyễn Thị",
                "Հայկ",
                "გიორგი"
            })
    void namesInOtherScriptsArePrintedAsThemselves(String name) throws Exception {
        String text = pages(s -> s.text("Against " + name + " here", Typeface.SERIF, 12, Ink.INK))[0];
        assertThat(text).contains("Against " + name + " here").doesNotContain("?");
    }

    @ParameterizedTest
    @ValueSource(strings = {"אבי לוי", "سارة علي"})
    void scriptsThatRunToTheLeftAreJoinedAndTurned(String name) throws Exception {
        assertThat(Faces.visual("a " + name + " b"))
                .startsWith("a ")
                .endsWith(" b")
                .isNotEqualTo("a " + name + " b");
        String text = pages(s -> s.text(name, Typeface.SANS, 12, Ink.INK))[0];
        assertThat(java.text.Normalizer.normalize(text, java.text.Normalizer.Form.NFKC))
                .contains(name)
                .doesNotContain("?");
    }

    @Test
    void aLetterThatNoFaceHasIsABoxAndAWordWithoutEndIsBroken() throws Exception {
        String text = pages(s -> s.text("\uD808\uDC00 " + "x".repeat(3000), Typeface.SANS, 10, Ink.INK))[0];
        assertThat(text).contains("\u25a1").doesNotContain("?");
        assertThat(text.lines().mapToInt(String::length).max().orElse(0)).isLessThan(300);
    }
}
