package farglass.narration;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.match.Corner;
import farglass.match.MatchAthlete;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SubjectsTest {
    private static final MatchAthlete ANSA = new MatchAthlete("a", "Ansa Kellivar", null, "#2850be", Map.of());
    private static final MatchAthlete BRISA = new MatchAthlete("b", "Brisa Tolendt", null, "#f5f5f5", Map.of());
    private static final People PEOPLE = new People(ANSA, BRISA);
    private static final SpeechWords PATTERNS = new SpeechWords(Locale.ENGLISH);

    /** Who does what the word "triangle" says in the last sentence. */
    private static Corner who(String said) {
        List<Word> words = Speech.words(List.of(new Cue(0, 20_000, said)));
        Clauses clauses = new Clauses(words, PEOPLE);
        Subjects subjects = new Subjects(words, PEOPLE, PATTERNS);
        int at = -1;
        for (int i = 0; i < words.size(); i++) {
            at = words.get(i).bare().equals("triangle") ? i : at;
        }
        int begin = clauses.begin(at, 2);
        for (int i = 0; i < begin; i = clauses.end(i, 2)) {
            subjects.heard(i, clauses.end(i, 2));
        }
        return subjects.of(begin, at, at, clauses.end(at, 1), "submission", clauses)
                .who();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "Ansa goes for the triangle. | A",
                "Ansa stands, and she throws up a triangle. | A",
                "Brisa waits. She attacks the triangle. | B",
                "Triangle from Brisa! | B",
                "A triangle by the athlete in white. | B",
                "Ansa escapes the triangle. | B",
                "Ansa defends Brisa's triangle. | B",
                "Brisa's first triangle is loose. | B",
                "A triangle on Ansa. | B",
                "A triangle out of nowhere by Brisa! | B",
                "Ansa waits, her opponent goes for the triangle. | B",
                "Ansa gets caught in the triangle. | B",
                "Brisa's coming in with a triangle. | B",
                "Triangle from there, and Ansa stacks. | -",
                "A triangle! | -"
            })
    void whoDoesIt(String said, Corner who) {
        assertThat(who(said)).isEqualTo(who);
    }

    @Test
    void aCoachSaysYouToOneAndSheOfTheOther() {
        String talk = "Okay Ansa, you start well. You wait, you stand, and you keep your grip. ";
        assertThat(who(talk + "You attack the triangle.")).isEqualTo(Corner.A);
        assertThat(who(talk + "She attacks the triangle.")).isEqualTo(Corner.B);
        assertThat(who(talk + "She catches you with the triangle.")).isEqualTo(Corner.B);
        assertThat(who(talk + "Her triangle is tight.")).isEqualTo(Corner.B);
    }

    @Test
    void aNameThatIsCalledIsSpokenTo() {
        String talk = "Brisa, watch this with me. You wait, you stand, and you keep your grip. ";
        assertThat(who(talk + "You attack the triangle.")).isEqualTo(Corner.B);
        assertThat(who(talk + "She attacks the triangle.")).isEqualTo(Corner.A);
    }

    @Test
    void whoMetTheOtherIsI() {
        assertThat(who("So this is me against Ansa. I wait, I stand, and I grip. I attack the triangle."))
                .isEqualTo(Corner.B);
        assertThat(who("My match with Brisa. I wait, I stand, and I grip. She attacks the triangle."))
                .isEqualTo(Corner.B);
    }

    @Test
    void whoTellsOfHimselfIsI() {
        String talk = "This is me in the white gi, Brisa. I wait, I stand, and I grip. ";
        assertThat(who(talk + "I attack the triangle.")).isEqualTo(Corner.B);
        assertThat(who(talk + "She attacks the triangle.")).isEqualTo(Corner.A);
        assertThat(who(talk + "She escapes my triangle.")).isEqualTo(Corner.B);
    }

    @Test
    void whoOnlyIntroducesHimselfIsNoAthlete() {
        String talk = "Hi, I'm your host and I think I know Ansa well. I say I like how I see Brisa wait. ";
        assertThat(who(talk + "She attacks the triangle.")).isEqualTo(Corner.B);
        String seen = "You know what you see. Ansa, here you wait, and you see why. Brisa stands. ";
        assertThat(who(seen + "She attacks the triangle.")).isEqualTo(Corner.B);
    }

    @Test
    void whoeverItIsDoneToIsNotTheOneNamed() {
        String talk = "Ansa snaps her down. Ansa throws her over. He waits, he stands. ";
        assertThat(who(talk + "She throws the triangle.")).isEqualTo(Corner.B);
        assertThat(who(talk + "He throws the triangle.")).isEqualTo(Corner.A);
    }

    @Test
    void heIsOneAndSheTheOtherWhereBothAreSaid() {
        String talk = "Ansa pulls and she sits, she waits. Brisa stands up, he steps in, he grips. ";
        assertThat(who(talk + "She throws the triangle.")).isEqualTo(Corner.A);
        assertThat(who(talk + "He throws the triangle.")).isEqualTo(Corner.B);
    }
}
