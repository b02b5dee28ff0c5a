package farglass.lexicon;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A family of techniques.
 *
 * @param ladder how far an attempt got, in words, for levels 1 to 4
 * @param names by language, as {@code pt}
 * @param ladders by language
 */
public record Family(
        String code, String name, List<String> ladder, Map<String, String> names, Map<String, List<String>> ladders) {
    public Family(
            String code,
            String name,
            List<String> ladder,
            @Nullable Map<String, String> names,
            @Nullable Map<String, List<String>> ladders) {
        this.code = code;
        this.name = name;
        this.ladder = List.copyOf(ladder);
        this.names = names == null ? Map.of() : Map.copyOf(names);
        this.ladders = ladders == null ? Map.of() : Map.copyOf(ladders);
    }

    /** What a rung, 0 to 3, is called here and in every other language. */
    public List<String> rung(int rung) {
        return Stream.concat(Stream.of(ladder), ladders.values().stream())
                .map(l -> l.get(rung))
                .distinct()
                .toList();
    }

    /** The same under its name and with its ladder in a language, where it has them; what it had stays as English. */
    Family in(String language) {
        Map<String, List<String>> all = new HashMap<>(ladders);
        all.putIfAbsent(Lexicon.ENGLISH, ladder);
        return new Family(code, names.getOrDefault(language, name), ladders.getOrDefault(language, ladder), names, all);
    }
}
