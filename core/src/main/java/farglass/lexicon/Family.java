package farglass.lexicon;

import java.util.List;

/**
 * A family of techniques.
 *
 * @param ladder how far an attempt got, in words, for levels 1 to 4
 */
public record Family(String code, String name, List<String> ladder) {
    public Family {
        ladder = List.copyOf(ladder);
    }
}
