package farglass.film;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class ConnectedPixelsTest {
    /** Rows of a picture; a hash is marked. */
    private static List<ConnectedPixels> groups(boolean corners, String... rows) {
        int width = rows[0].length();
        boolean[] marked = new boolean[width * rows.length];
        for (int i = 0; i < marked.length; i++) {
            marked[i] = rows[i / width].charAt(i % width) == '#';
        }
        boolean[] before = marked.clone();
        List<ConnectedPixels> groups = ConnectedPixels.of(marked, width, corners);
        assertThat(marked).as("not changed").isEqualTo(before);
        return groups;
    }

    @Test
    void eachGroupHasItsPixelsAndItsBox() {
        List<ConnectedPixels> groups = groups(false, "##..#", ".#..#", "....#");
        assertThat(groups).extracting(ConnectedPixels::box).containsExactly(new Box(0, 0, 2, 2), new Box(4, 0, 1, 3));
        assertThat(groups.get(0).pixels()).containsExactlyInAnyOrder(0, 1, 6);
    }

    @Test
    void cornersConnectOnlyWhereTheyAreToldTo() {
        String[] rows = {"#..", ".#.", "..#"};
        assertThat(groups(false, rows)).hasSize(3);
        assertThat(groups(true, rows))
                .singleElement()
                .extracting(ConnectedPixels::box)
                .isEqualTo(new Box(0, 0, 3, 3));
    }

    @Test
    void theEndOfARowDoesNotTouchTheBeginningOfTheNext() {
        assertThat(groups(true, "..#", "#..")).hasSize(2);
        assertThat(groups(true, "...", "...")).isEmpty();
    }
}
