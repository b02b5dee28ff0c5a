package farglass.film.score;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SampledWordsTest {
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 13, 14, 21, 45})
    void theFirstPicturesLieAllOverTheFilm(int n) {
        List<Integer> frames = IntStream.range(0, n).mapToObj(i -> 100 * i).toList();
        List<Integer> spread = SampledWords.spread(frames);
        assertThat(spread).containsExactlyInAnyOrderElementsOf(frames);
        for (int taken = 9; taken <= n; taken++) {
            List<Integer> first = spread.subList(0, taken).stream().sorted().toList();
            for (int i = 1; i < taken; i++) {
                assertThat(first.get(i) - first.get(i - 1)).isLessThanOrEqualTo(100 * (3 * n / taken + 1));
            }
        }
    }
}
