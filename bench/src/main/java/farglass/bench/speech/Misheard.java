package farglass.bench.speech;

import farglass.narration.Cue;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;

/** Captions as a machine writes them: no capitals, no pauses, every line twice, some words as it misheard them. */
final class Misheard {
    private static final int WORDS = 7;
    /** Of words that are misheard at times, how many are. */
    private static final double SHARE = 0.4;

    private static final Map<String, String> CONFUSED = new TreeMap<>(Map.ofEntries(
            Map.entry("de la riva", "deal a riva"),
            Map.entry("omoplata", "omo plata"),
            Map.entry("kimura", "kimora"),
            Map.entry("guillotine", "guilotine"),
            Map.entry("toreando", "torreando"),
            Map.entry("triangle", "try angle"),
            Map.entry("armbar", "arm bar"),
            Map.entry("lasso", "lassoo"),
            Map.entry("knee slice", "niece lice"),
            Map.entry("darce", "darse"),
            Map.entry("half guard", "halfguard"),
            Map.entry("side control", "sight control"),
            Map.entry("tolendt", "tolent"),
            Map.entry("brisa", "breeza"),
            Map.entry("marrowen", "marowen"),
            Map.entry("kellivar", "keliver"),
            Map.entry("fastrel", "fastral"),
            Map.entry("odile", "odeal"),
            Map.entry("juno", "june o"),
            Map.entry("berimbolo", "barren bolo"),
            Map.entry("scissor sweep", "scissors weep"),
            Map.entry("granby", "gramby"),
            Map.entry("turtle", "turtles"),
            Map.entry("knee cut", "kneecut"),
            Map.entry("single leg", "singleleg"),
            Map.entry("back take", "backtake")));

    private Misheard() {}

    /** The same narration, misheard, in rolling lines. */
    static List<Cue> of(List<Cue> cues, long seed) {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(seed);
        List<Cue> rolling = new ArrayList<>();
        String before = "";
        for (Cue c : cues) {
            String text =
                    c.text().toLowerCase(Locale.ROOT).replaceAll("[.,!?;:]", "").replace("'", "");
            for (Map.Entry<String, String> e : CONFUSED.entrySet()) {
                if (rng.nextDouble() < SHARE) {
                    text = text.replace(e.getKey(), e.getValue());
                }
            }
            String[] words = text.strip().split("\\s+");
            for (int i = 0; i < words.length; i += WORDS) {
                int to = Math.min(words.length, i + WORDS);
                String line = String.join(" ", List.of(words).subList(i, to));
                long from = c.fromMs() + (c.toMs() - c.fromMs()) * i / words.length;
                long until = c.fromMs() + (c.toMs() - c.fromMs()) * to / words.length;
                rolling.add(new Cue(from, until, before.isEmpty() ? line : before + "\n" + line));
                before = line;
            }
        }
        return rolling;
    }
}
