package farglass.store.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.RemarkKind;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.simulate.DemoLibrary;
import farglass.store.Samples;
import farglass.store.json.FormatException;
import farglass.store.json.MatchJson;
import farglass.time.MatchTime;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TagTableTest {
    private static String table(MatchRecord... records) throws IOException {
        StringWriter out = new StringWriter();
        TagTable.write(List.of(records), out);
        return out.toString();
    }

    private static MatchRecord remarked(String text) {
        Tag remark = new Tag.Remark(
                MatchTime.ofMs(1500),
                RemarkKind.ERROR,
                Corner.A,
                "seen",
                text,
                Map.of("technique", "knee-cut"),
                false,
                Map.of(),
                TagInfo.NONE);
        return Samples.record("=m1").withTags(List.of(remark));
    }

    @Test
    void everyTagOfTheDemoComesBackEqual() throws Exception {
        List<MatchRecord> records = DemoLibrary.matches(Lexicon.builtIn(), 4);
        Map<String, List<Tag>> back = TagTable.read(new StringReader(table(records.toArray(MatchRecord[]::new))));
        for (MatchRecord r : records) {
            assertThat(back.get(r.id())).as(r.id()).isEqualTo(r.tags());
        }
    }

    @Test
    void theDocumentedExampleComesBackEqual() throws Exception {
        MatchRecord r = MatchJson.read(Samples.documented());
        assertThat(TagTable.read(new StringReader(table(r)))).containsEntry(r.id(), r.tags());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "=HYPERLINK(\"x\")",
                "+1",
                "-1",
                "@now",
                "\tx",
                "'quoted",
                "''twice",
                "say \"no\", then\nbreak",
                "plain"
            })
    void noCellRunsAsAFormulaAndNothingIsLost(String text) throws Exception {
        String table = table(remarked(text));
        assertThat(table).contains("'=m1");
        for (String cell : table.split("[,\n]")) {
            assertThat(cell.replaceFirst("^\"", "")).doesNotMatch("^[=+@\t].*");
        }
        assertThat(TagTable.read(new StringReader(table)))
                .containsEntry("=m1", remarked(text).tags());
    }

    @Test
    void timesStandAsMillisecondsAndAsMinutes() throws Exception {
        assertThat(table(Samples.record("m").withTags(List.of(Samples.sweep(83_456)))))
                .contains("m,83456,1:23.456,action,b");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "match,t,type;m,abc,start | /rows/1/t",
                "match,t,type;m,1,start;m,2,dance | /rows/2/type",
                "match,t,type,reached,by,technique;m,1,action,9,a,armbar | /rows/1/reached",
                "match,t,type,extra;m,1,start,{broken | /rows/1/extra",
                "match,type;m,start | no column \"t\""
            })
    void aBadRowIsNamed(String table, String says) {
        assertThatExceptionOfType(FormatException.class)
                .isThrownBy(() -> TagTable.read(new StringReader(table.replace(";", "\r\n"))))
                .withMessageContaining(says);
    }

    @Test
    void captionsShowEveryShowingOfATag() throws Exception {
        MatchRecord r = MatchJson.read(Samples.documented());
        String captions = Captions.write(
                r.withTags(List.of(Tag.Action.of(MatchTime.ofMs(113_000), Corner.A, "lasso-sweep"))),
                Lexicon.builtIn());
        assertThat(captions)
                .startsWith("WEBVTT\n")
                .contains("00:01:56.000 --> 00:01:58.000\nTolendt: lasso sweep")
                .contains("00:02:06.000 --> 00:02:08.000\nTolendt: lasso sweep");
    }

    @Test
    void captionsAreTextAndNothingElse() throws Exception {
        MatchRecord r = MatchJson.read(Samples.documented());
        String captions = Captions.write(r.withTags(remarked("a <b> & --> c").tags()), Lexicon.builtIn());
        assertThat(captions).contains("a &lt;b&gt; &amp; --&gt; c");
    }

    @Test
    void aClipListIsATableAndADocument() throws Exception {
        ClipList list = new ClipList(
                "Passes", List.of(new ClipList.Row("m1", "t4", "/films/=a.mp4", 1200, 8200, "-2:14, \"near\"")));
        assertThat(list.csv())
                .startsWith("match,tag,film,fromMs,toMs,line\r\n")
                .contains("1200,8200")
                .contains("'-2:14");
        var json = new com.fasterxml.jackson.databind.ObjectMapper().readTree(list.json());
        assertThat(json.at("/clips/0/toMs").asLong()).isEqualTo(8200);
        assertThat(json.at("/format").asText()).isEqualTo("farglass.clips/1");
    }

    @Test
    void anEmptyTextAndATextWhereANumberIsUsualComeBackAsTheyWere() throws Exception {
        Tag odd = new Tag.Stop(
                MatchTime.ofMs(10), "", new TagInfo(null, null, null, "", Map.of("value", "two", "kind", 7, "x", "")));
        MatchRecord r = Samples.record("m").withTags(List.of(odd));
        assertThat(TagTable.read(new StringReader(table(r)))).containsEntry("m", List.of(odd));
    }
}
