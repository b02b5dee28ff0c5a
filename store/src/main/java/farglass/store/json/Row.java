package farglass.store.json;

import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A small object of a document, its fields in the order in which they are given: the same content is the same text
 * every time.
 */
final class Row {
    private Row() {}

    /** @param pairs name, value, name, value and so on */
    static Map<String, Object> of(@Nullable Object... pairs) {
        Map<String, Object> m = new LinkedHashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            m.put((String) pairs[i], pairs[i + 1]);
        }
        return m;
    }
}
