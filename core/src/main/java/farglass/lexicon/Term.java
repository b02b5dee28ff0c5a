package farglass.lexicon;

import java.util.List;
import java.util.Map;

/** Anything with a code, a displayed name and other names. */
public sealed interface Term permits Position, Technique, Grip {
    /** What records write. */
    String code();

    /** What the screen shows. */
    String name();

    /** Names by language code. */
    Map<String, String> names();

    /** Other words that are understood for it. */
    List<String> aliases();
}
