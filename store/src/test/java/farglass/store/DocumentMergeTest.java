package farglass.store;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DocumentMergeTest {
    /** Before, mine, theirs, and what comes of them. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "{\"a\":1,\"b\":1} | {\"a\":2,\"b\":1} | {\"a\":1,\"b\":3} | {\"a\":2,\"b\":3}",
                "{\"a\":1} | {\"a\":1,\"m\":5} | {\"a\":1,\"t\":6} | {\"a\":1,\"t\":6,\"m\":5}",
                "{\"a\":1,\"b\":1} | {\"b\":1} | {\"a\":1,\"b\":2} | {\"b\":2}",
                "{\"x\":{\"a\":1,\"b\":1}} | {\"x\":{\"a\":2,\"b\":1}} | {\"x\":{\"a\":1,\"b\":2}} | {\"x\":{\"a\":2,\"b\":2}}",
                "[{\"id\":\"p\",\"n\":1}] | [{\"id\":\"p\",\"n\":2}] | [{\"id\":\"p\",\"n\":1},{\"id\":\"q\",\"n\":1}]"
                        + " | [{\"id\":\"p\",\"n\":2},{\"id\":\"q\",\"n\":1}]",
                "[] | [{\"id\":\"d1\",\"n\":1}] | [{\"id\":\"d1\",\"n\":2}] | [{\"id\":\"d1\",\"n\":2},{\"id\":\"d1-2\",\"n\":1}]",
                "[{\"id\":\"p\",\"n\":1}] | [] | [{\"id\":\"p\",\"n\":1},{\"id\":\"q\",\"n\":1}] | [{\"id\":\"q\",\"n\":1}]"
            })
    void whatOnlyOneChangedStands(String before, String mine, String theirs, String both) {
        DocumentMerge m = DocumentMerge.of(before, mine, theirs);
        assertThat(m.theirs()).isEqualTo(both);
        assertThat(m.mine()).isEqualTo(both);
        assertThat(m.fields()).isEmpty();
    }

    @Test
    void whatBothChangedIsTheirsAndMineCanBeChosen() {
        DocumentMerge m = DocumentMerge.of("{\"a\":1,\"b\":1}", "{\"a\":2,\"b\":2}", "{\"a\":3,\"b\":1}");
        assertThat(m.theirs()).isEqualTo("{\"a\":3,\"b\":2}");
        assertThat(m.mine()).isEqualTo("{\"a\":2,\"b\":2}");
        assertThat(m.fields()).containsExactly("/a");
    }

    @Test
    void whatIsNoJsonIsAClashAsAWhole() {
        DocumentMerge m = DocumentMerge.of("one", "two", "three");
        assertThat(m.theirs()).isEqualTo("three");
        assertThat(m.mine()).isEqualTo("two");
        assertThat(m.fields()).containsExactly("text");
        assertThat(DocumentMerge.of("one", "one", "three").fields()).isEmpty();
    }
}
