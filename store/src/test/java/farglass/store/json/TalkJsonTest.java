package farglass.store.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import farglass.match.Corner;
import farglass.match.Drawing;
import farglass.talk.Talk;
import farglass.time.FilmTime;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TalkJsonTest {
    private static final Talk TALK = new Talk(
            "t1",
            "match-1",
            "films/a.mp4",
            "watch the elbow",
            5200,
            List.of(
                    new Talk.Shown(0, FilmTime.ofMs(1000), List.of()),
                    new Talk.Shown(
                            400,
                            FilmTime.ofMs(1040),
                            List.of(new Drawing.Mark(Drawing.Kind.ANGLE, Corner.B, 0.5, 0.5, 0.9, 0.1, null)))));

    @Test
    void survivesARoundTrip() throws FormatException {
        assertThat(TalkJson.read(TalkJson.write(TALK))).isEqualTo(TALK);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"farglass.talk/1\" | \"farglass.talk/9\" | /format",
                "\"ms\" : 400 | \"ms\" : -4 | /shown/1/ms",
                "\"filmMs\" : 1040 | \"filmMs\" : \"x\" | /shown/1/filmMs",
                "\"x1\" : 0.5 | \"x1\" : 7 | /shown/1/marks/0",
                "\"ms\" : 0 | \"ms\" : 9 | /shown",
                "\"lengthMs\" : 5200 | \"lengthMs\" : 0 | /shown",
                "\"id\" : \"t1\" | \"name\" : 1 | /id"
            })
    void saysWhereItIsWrong(String right, String wrong, String place) {
        String text = TalkJson.write(TALK);
        assertThat(text).contains(right);
        assertThatThrownBy(() -> TalkJson.read(text.replace(right, wrong)))
                .isInstanceOf(FormatException.class)
                .hasMessageStartingWith(place);
    }
}
