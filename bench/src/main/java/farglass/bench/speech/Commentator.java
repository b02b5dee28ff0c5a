package farglass.bench.speech;

import farglass.lexicon.Lexicon;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Tag;
import farglass.narration.Cue;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.jspecify.annotations.Nullable;

/**
 * Somebody who talks over a made-up match: late, by name or by pronoun, leaving things out, mistaken now and then, with
 * talk between that has nothing to do with it. His sentences are not those that the reader was made on.
 */
final class Commentator {
    private static final double LEFT_OUT = 0.15;
    private static final double MISTAKEN = 0.04;
    private static final double NAMED = 0.65;
    private static final double CHATTER = 0.2;
    private static final List<String> WORKED = List.of(
            "%s with the %s and it works.",
            "There's the %2$s by %1$s, and it goes through.",
            "%s hits a %s, very neat.",
            "And %s finds the %s this time, job done.",
            "%2$s for %1$s, that one counts.");
    private static final List<String> TRIED = List.of(
            "%s tries a %s, no, it's not there.",
            "A %2$s attempt by %1$s, defended.",
            "%s is looking at a %s but can't finish it.",
            "%s goes for the %s and it gets shut down.");
    private static final List<String> PLACES =
            List.of("%s is in %s now.", "So that's %2$s for %1$s.", "%s has %s here.", "We are in %2$s, %1$s with it.");
    private static final List<String> TALK = List.of(
            "The crowd is quite loud tonight.",
            "You really want to keep your elbows in when you are there.",
            "Last year these two met in the final, different story.",
            "I always tell people to breathe in moments like this.",
            "We'll see whether the pace stays like that.",
            "Let me show you that once more, it was so quick.");

    private final Lexicon lexicon;
    private final MatchRecord match;
    private final Random chance;
    private @Nullable Corner last;

    Commentator(MatchRecord match, Lexicon lexicon, long seed) {
        this.match = match;
        this.lexicon = lexicon;
        this.chance = new Random(seed);
    }

    /** What he says, by film time. */
    List<Cue> talk() {
        List<Cue> cues = new ArrayList<>();
        for (Tag tag : match.tags()) {
            String said = sentence(tag);
            if (said.isEmpty() || chance.nextDouble() < LEFT_OUT) {
                continue;
            }
            long ms = match.clock().filmTimes(tag.t()).stream()
                    .findFirst()
                    .map(f -> f.ms())
                    .orElse(-1L);
            if (ms >= 0) {
                say(cues, ms + 800 + chance.nextInt(2500), said);
                if (chance.nextDouble() < CHATTER) {
                    say(cues, ms + 4500, pick(TALK));
                }
            }
        }
        cues.sort(java.util.Comparator.comparingLong(Cue::fromMs));
        return cues;
    }

    private static void say(List<Cue> cues, long ms, String text) {
        String line = Character.toUpperCase(text.charAt(0)) + text.substring(1);
        cues.add(new Cue(ms, ms + 350L * line.split(" ").length, line));
    }

    private String pick(List<String> among) {
        return among.get(chance.nextInt(among.size()));
    }

    private String who(Corner c) {
        Corner said = chance.nextDouble() < MISTAKEN ? c.other() : c;
        boolean known = said == last;
        last = said;
        if (chance.nextDouble() >= NAMED) {
            // "she" of whoever was spoken of last, else the first name
            return known ? "she" : match.athlete(said).name().split(" ")[0];
        }
        return match.athlete(said).surname();
    }

    private String sentence(Tag tag) {
        if (tag instanceof Tag.Action a) {
            String what = lexicon.techniqueName(a.technique()).toLowerCase(Locale.ROOT);
            return String.format(
                    Locale.ROOT, pick(a.outcome() == Outcome.COMPLETED ? WORKED : TRIED), who(a.by()), what);
        }
        if (tag instanceof Tag.Position p && p.t().ms() > 0) {
            Corner named = p.guard() != null ? p.guard() : p.holder();
            if (named == null) {
                return "";
            }
            return String.format(
                    Locale.ROOT,
                    pick(PLACES),
                    who(named),
                    lexicon.positionName(p.position()).toLowerCase(Locale.ROOT));
        }
        if (tag instanceof Tag.Call c && c.call() == CallKind.POINTS) {
            return c.value() + " points for " + match.athlete(c.who()).surname() + ".";
        }
        return "";
    }
}
