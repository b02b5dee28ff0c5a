package farglass.scout;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.profile.Claim;
import farglass.profile.Profile;
import farglass.simulate.DemoLibrary;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.util.List;
import org.junit.jupiter.api.Test;

class KeyNumbersTest {
    @Test
    void theyAreTheSameForEverybodyInOneOrder() {
        Lexicon lexicon = Lexicon.builtIn();
        LibraryIndex index = LibraryIndex.of(DemoLibrary.matches(lexicon, DemoLibrary.SEED), lexicon);
        List<Claim> numbers = KeyNumbers.of(Profile.of(index, "odile-marrowen", Filter.ALL, 1));
        assertThat(numbers).hasSizeBetween(10, 14);
        assertThat(numbers)
                .extracting(Claim::id)
                .startsWith("finish.wins")
                .contains("place.guard", "against.all.pass")
                .doesNotHaveDuplicates();
        Profile nobody = Profile.of(LibraryIndex.empty(lexicon), "nobody", Filter.ALL, 1);
        assertThat(KeyNumbers.of(nobody)).allMatch(c -> c.estimate().x() == 0);
    }
}
