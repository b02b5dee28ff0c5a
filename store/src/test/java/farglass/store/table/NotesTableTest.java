package farglass.store.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import farglass.store.json.FormatException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class NotesTableTest {
    @TempDir
    private Path folder;

    @ParameterizedTest
    @ValueSource(strings = {",", ";", "\t", "|"})
    void theSeparatorIsFoundAndShortRowsAreFilled(String s) throws Exception {
        String text = String.join(s, "time", "who", "what") + "\n"
                + String.join(s, "1:20", "Tolendt", "\"a \"\"b\"\" c\"") + "\n\n" + "1:30\n";
        NotesTable t = NotesTable.parse(text);
        assertThat(t.head()).containsExactly("time", "who", "what");
        assertThat(t.rows()).containsExactly(List.of("1:20", "Tolendt", "a \"b\" c"), List.of("1:30", "", ""));
    }

    @Test
    void lettersOfOldSpreadsheetsAndAMarkAtTheBeginningAreRead() throws Exception {
        Path old = Files.write(
                folder.resolve("old.csv"),
                "tempo;golpe\n1:00;raspagem não\n".getBytes(Charset.forName("windows-1252")));
        assertThat(NotesTable.read(old).rows().get(0).get(1)).isEqualTo("raspagem não");
        Path marked =
                Files.write(folder.resolve("bom.csv"), "\uFEFFtime,what\n1:00,x\n".getBytes(StandardCharsets.UTF_8));
        assertThat(NotesTable.read(marked).head().get(0)).isEqualTo("time");
    }

    @Test
    void whatIsNoTableSaysWhere() {
        assertThatThrownBy(() -> NotesTable.parse("\n\n"))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("/0");
        assertThatThrownBy(() -> NotesTable.parse("a,b\n1,\"open\n"))
                .isInstanceOf(FormatException.class)
                .hasMessageStartingWith("/1");
    }
}
