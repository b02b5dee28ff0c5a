package farglass.desk.shell;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.simulate.DemoLibrary;
import java.util.List;
import org.junit.jupiter.api.Test;

class ShelfTest {
    private static final List<MatchRecord> DEMO = DemoLibrary.matches(Lexicon.builtIn(), DemoLibrary.SEED);

    @Test
    void whatIsLookedUpFollowsTheMatches() {
        Shelf shelf = new Shelf();
        MatchRecord first = DEMO.get(0);
        assertThat(shelf.match(first.id())).isEmpty();
        assertThat(shelf.athletes()).isEmpty();
        shelf.matches().setAll(DEMO.subList(0, 2));
        assertThat(shelf.match(first.id())).containsSame(first);
        assertThat(shelf.athletes())
                .containsEntry(first.details().a().id(), first.details().a().name());
        MatchRecord shorter = first.withTags(first.tags().subList(0, 3));
        shelf.matches().set(0, shorter);
        assertThat(shelf.match(first.id())).containsSame(shorter);
        shelf.matches().remove(shorter);
        assertThat(shelf.match(first.id())).isEmpty();
        assertThat(shelf.match(DEMO.get(1).id())).containsSame(DEMO.get(1));
        shelf.matches().clear();
        assertThat(shelf.athletes()).isEmpty();
    }
}
