package farglass.store.caption;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import farglass.narration.Cue;
import farglass.store.json.FormatException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CaptionFileTest {
    @TempDir
    private Path folder;

    @Test
    void webVttIsRead() throws Exception {
        List<Cue> cues =
                CaptionFile.read("\ufeffWEBVTT\n\nNOTE a remark\n\n1\n00:01.500 --> 00:04.000 align:start\nBrisa"
                        + " pulls\nguard\n\n01:00:02.000 --> 01:00:03.000\n<c>later</c>\n");
        assertThat(cues)
                .containsExactly(
                        new Cue(1500, 4000, "Brisa pulls\nguard".replace("Brisa pulls\n", "Brisa pulls\n")),
                        new Cue(3_602_000, 3_603_000, "<c>later</c>"));
    }

    @Test
    void subRipIsReadAlsoWithoutBlankLines() throws Exception {
        assertThat(CaptionFile.read("1\r\n00:00:05,250 --> 00:00:06,000\r\nfirst\r\n\r\n2\r\n00:00:01,000 -->"
                        + " 00:00:02,000\r\nsecond\r\n"))
                .containsExactly(new Cue(1000, 2000, "second"), new Cue(5250, 6000, "first"));
    }

    @Test
    void plainLinesStandUntilTheNext() throws Exception {
        List<Cue> cues =
                CaptionFile.read("[0:05] Brisa sits to guard\nand plays lasso\n1:02 - toreando left\n(1:02:03) end");
        assertThat(cues).extracting(Cue::fromMs).containsExactly(5000L, 62_000L, 3_723_000L);
        assertThat(cues).extracting(Cue::text).startsWith("Brisa sits to guard and plays lasso", "toreando left");
        assertThat(cues).allMatch(c -> c.toMs() > c.fromMs() && c.toMs() - c.fromMs() < 10_000);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "no times at all | no line with a time",
                "0:05 a;0:03 b | /line 2: its time lies before",
                "00:00:09.000 --> 00:00:03.000;x | /line 1: it ends before it begins",
                "00:00:01.000 --> 00:00:02.000;x;00:00:03.000 --> soon;y | /line 3",
                "0:75 a | 75 seconds",
                "999:59:59 a | more than a day"
            })
    void whatIsWrongIsNamedAndNothingIsRead(String file, String why) {
        assertThatThrownBy(() -> CaptionFile.read(file.strip().replace(';', '\n')))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining(why.strip());
    }

    @Test
    void hostileFilesGetOneMessage() throws Exception {
        assertThatThrownBy(() -> CaptionFile.read("0:01 a\0b")).hasMessageContaining("zero bytes");
        assertThatThrownBy(() -> CaptionFile.read("0:01 " + "x".repeat(5000))).hasMessageContaining("/line 1: longer");
        assertThatThrownBy(() -> CaptionFile.read("0:01 a\n".repeat(70_000))).hasMessageContaining("60000");
        Path binary = folder.resolve("film.srt");
        Files.write(binary, new byte[] {(byte) 0xff, (byte) 0xfe, 0, 1, 2});
        assertThatThrownBy(() -> CaptionFile.read(binary)).hasMessageContaining("not UTF-8");
        Path huge = folder.resolve("huge.vtt");
        Files.write(huge, new byte[9 * 1024 * 1024]);
        assertThatThrownBy(() -> CaptionFile.read(huge)).hasMessageContaining("larger than 8 MB");
        assertThatThrownBy(() -> CaptionFile.read(folder.resolve("none"))).hasMessageContaining("no such file");
    }
}
