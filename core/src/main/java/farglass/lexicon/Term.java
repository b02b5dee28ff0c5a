package farglass.lexicon;

import java.util.List;
import java.util.Map;

/** Anything with a code, a displayed name and other names. */
public sealed interface Term permits Position, Technique, Grip {
    String code();

    String name();

    Map<String, String> names();

    List<String> aliases();
}
