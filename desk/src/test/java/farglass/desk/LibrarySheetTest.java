package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.desk.shell.Desk;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.store.Library;
import farglass.store.WholeFile;
import farglass.work.publish.Publication;
import farglass.work.session.LibraryContent;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The sheet of backups in the window, a library that may only be read, and files written while all hands are busy. */
class LibrarySheetTest extends DeskDriver {
    private int backups() {
        return find("#backups") instanceof ListView<?> list ? list.getItems().size() : 0;
    }

    private boolean says(String words) {
        return scene.getRoot().lookupAll(".label").stream()
                .anyMatch(n -> ((Labeled) n).getText() != null
                        && ((Labeled) n).getText().contains(words));
    }

    @Test
    void aMatchOfABackupComesBackByThreeClicks() throws Exception {
        MatchRecord before = onFx(() -> desk.openRecord().get());
        desk.library().backUp(null);
        onFx(() -> {
            desk.edit(Edit.remove(before, before.tags().size() - 1));
            return null;
        });
        await(
                "kept",
                () -> desk.library().match(before.id()).orElseThrow().tags().size()
                        == before.tags().size() - 1);
        fire("#rail-library");
        await(
                "compared",
                () -> scene.lookup("#library-sheet .check-box") instanceof CheckBox box
                        && box.getText()
                                .contains(before.tags().size() + " tags then, "
                                        + (before.tags().size() - 1) + " now"));
        assertThat(onFx(this::backups)).isGreaterThanOrEqualTo(1);
        assertThat(onFx(() -> find("#bring-some").isDisabled())).isTrue();
        fire("#library-sheet .check-box");
        fire("#bring-some");
        await("back", () -> desk.openRecord().get().equals(before));
        await("the sheet is put away", () -> scene.lookup("#library-sheet") == null);
        assertThat(desk.library().match(before.id())).contains(before);
    }

    @Test
    void aBackupIsMadeAndTheSheetClosesByEscape() throws Exception {
        fire("#rail-library");
        await("listed", () -> scene.lookup("#backups") != null);
        int there = onFx(this::backups);
        fire("#back-up");
        await("one more", () -> backups() == there + 1);
        await("looked through", () -> says("61 matches"));
        onFx(() -> {
            find("#library-sheet").requestFocus();
            return null;
        });
        press(KeyCode.ESCAPE);
        assertThat(onFx(() -> scene.lookup("#library-sheet"))).isNull();
    }

    @Test
    void aLibraryThatMayOnlyBeReadIsShownAndAnEditGoesBack() throws Exception {
        onFx(() -> {
            desk.close();
            desk = new Desk(LibraryContent.of(Library.read(folder.resolve("my.farglass"), CLOCK)), CLOCK);
            shell = new Shell(desk);
            scene = farglass.desk.shell.Look.scene(shell.view(), 1280, 800);
            stage.setScene(scene);
            shell.shown();
            return null;
        });
        assertThat(onFx(() -> scene.lookup("#reading-only"))).isNotNull();
        MatchRecord before = onFx(() -> desk.openRecord().get());
        onFx(() -> {
            desk.edit(Edit.remove(before, 0));
            return null;
        });
        await("said", () -> says("opened for reading only"));
        await("shown as it is kept", () -> desk.openRecord().get().equals(before));
    }

    @Test
    void twoExportsAtOnceAreBothWrittenThoughBothWorkersAreBusyAndAreNoted() throws Exception {
        CountDownLatch hold = new CountDownLatch(1);
        for (String busy : List.of("a", "b")) {
            desk.tasks().query(busy, () -> hold.await(30, TimeUnit.SECONDS), x -> {}, e -> {});
        }
        Path one = folder.resolve("one.txt");
        Path two = folder.resolve("two.txt");
        onFx(() -> {
            desk.publisher().file(one, Publication.file(Set.of("brisa-tolendt"), p -> WholeFile.write(p, "1")));
            desk.publisher().file(two, Publication.file(Set.of(), p -> WholeFile.write(p, "2")));
            return null;
        });
        await("both", () -> Files.exists(one) && Files.exists(two));
        hold.countDown();
        await(
                "noted",
                () -> desk.library().concerning("brisa-tolendt").exported().size() == 2);
        await(
                "not hers",
                () -> desk.library().concerning("juno-fastrel").exported().equals(List.of(two)));
    }

    @Test
    void anExportOrderedBeforeTheWindowClosesIsWritten() throws Exception {
        Path file = folder.resolve("late.txt");
        CountDownLatch closed = new CountDownLatch(1);
        CountDownLatch hold = new CountDownLatch(1);
        onFx(() -> {
            desk.publisher().file(file, Publication.file(Set.of(), p -> {
                try {
                    hold.await(30, TimeUnit.SECONDS);
                } catch (InterruptedException e) {
                    throw new java.io.IOException(e);
                }
                WholeFile.write(p, "late");
            }));
            assertThat(desk.tasks().pending()).hasSize(1);
            desk.tasks().finish(closed::countDown);
            return null;
        });
        assertThat(closed.getCount()).isEqualTo(1);
        hold.countDown();
        assertThat(closed.await(30, TimeUnit.SECONDS)).isTrue();
        assertThat(file).hasContent("late");
    }

    @Test
    void theButtonsOfTheSheetHaveWords() throws Exception {
        fire("#rail-library");
        await("there", () -> scene.lookup("#bring-all") != null);
        assertThat(onFx(() -> scene.getRoot().lookupAll("#library-sheet .button").stream()
                        .map(n -> ((ButtonBase) n).getText())
                        .toList()))
                .doesNotContain("")
                .contains("Bring back all");
    }
}
