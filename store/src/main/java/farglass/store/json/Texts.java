package farglass.store.json;

import com.fasterxml.jackson.core.JsonParser;
import java.io.IOException;

/**
 * Short texts of records, one object for each: they are codes that stand in a library a thousand times over, and would
 * take most of its room.
 */
final class Texts {
    private static final int LONGEST = 24;
    private static final int PLACES = 1 << 12;
    /**
     * By their letters. Threads may overwrite each other's: whichever text is found is looked at before it is taken.
     */
    private static final String[] KNOWN = new String[PLACES];

    private Texts() {}

    /** The text that a parser stands at. */
    static String of(JsonParser parser) throws IOException {
        int length = parser.getTextLength();
        if (length > LONGEST) {
            return parser.getText();
        }
        char[] letters = parser.getTextCharacters();
        int from = parser.getTextOffset();
        int hash = 0;
        for (int i = from; i < from + length; i++) {
            hash = 31 * hash + letters[i];
        }
        int place = (hash ^ hash >>> 12) & PLACES - 1;
        String known = KNOWN[place];
        if (known == null || !same(known, letters, from, length)) {
            known = new String(letters, from, length);
            KNOWN[place] = known;
        }
        return known;
    }

    private static boolean same(String text, char[] letters, int from, int length) {
        if (text.length() != length) {
            return false;
        }
        for (int i = 0; i < length; i++) {
            if (text.charAt(i) != letters[from + i]) {
                return false;
            }
        }
        return true;
    }
}
