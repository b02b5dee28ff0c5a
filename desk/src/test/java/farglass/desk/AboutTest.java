package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The sheet that says which version this is and what it is made of. */
class AboutTest extends DeskDriver {
    @Test
    void theSheetNamesVersionLibraryAndLicences() throws Exception {
        fire("#rail-about");
        await("the sheet", () -> scene.lookup("#about-sheet") != null);
        assertThat(((Label) find("#about-version")).getText()).isEqualTo("Far Glass, built from its sources");
        await(
                "where the library lies",
                () -> find("#about-sheet").lookupAll(".label").stream()
                        .anyMatch(n -> n instanceof Label l
                                && l.getText().contains(desk.library().file().toString())));
        press(KeyCode.ESCAPE);
        assertThat((Object) scene.lookup("#about-sheet")).isNull();
    }

    @Test
    void everyLicenceIsNamed() {
        assertThat(AboutSheet.licences())
                .contains(new AboutSheet.Part("OpenJFX", "GPL 2 with Classpath Exception"))
                .extracting(AboutSheet.Part::name)
                .contains("ONNX Runtime", "SLF4J", "typeface DejaVu Sans")
                .noneMatch(name -> name.contains("JUnit"))
                .doesNotContain("library", "file");
    }

    @Test
    void anInstalledOneSaysItsBuild() {
        System.setProperty("farglass.version", "1.2.3");
        System.setProperty("farglass.build", "77-abc");
        try {
            assertThat(AboutSheet.version()).isEqualTo("Far Glass 1.2.3, build 77-abc");
        } finally {
            System.clearProperty("farglass.version");
            System.clearProperty("farglass.build");
        }
    }
}
