package farglass.simulate;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.RemarkKind;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.phrase.PreferenceWords;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;
import org.jspecify.annotations.Nullable;

/**
 * What an analyst adds at the second look at a made-up match: changes of direction, body facts, checkpoints, faults
 * with what would have been right, praise, stated preferences; and what is known of the athletes. What happened stays
 * as it was made, so that a film of the match stays true. Details that helped are seen more often with what worked.
 */
final class SecondTagging {
    private static final long PUNISHED_MS = 12_000;
    private static final Map<String, String> FACTS = Map.of(
            "pass", "hips-turned",
            "takedown", "weight-forward",
            "sweep", "posture-broken",
            "submission", "posture-broken");
    private static final Map<String, String> CHECKS = Map.of(
            "knee-cut", "underhook-won",
            "toreando", "knees-pinned",
            "body-lock-pass", "hips-locked",
            "lasso-sweep", "sleeve-held",
            "spider-sweep", "sleeve-held",
            "triangle", "angle-cut",
            "double-leg", "head-outside",
            "single-leg", "head-inside",
            "cross-collar-choke", "second-hand-deep");

    /** Whose fault comes again and is punished. */
    static final String FAULTY = "juno-fastrel";

    static final String FAULT = "head down on the way in";

    private record Lesson(String fault, String instead, String praise) {}

    private static final Map<String, List<Lesson>> LESSONS = Map.of(
            "pass",
                    List.of(
                            new Lesson(
                                    "reached for the far sleeve before the hips were past",
                                    "knee-cut",
                                    "kept the hips low in the pass"),
                            new Lesson("left the near elbow open", "leg-drag", "stripped the sleeve before passing")),
            "takedown",
                    List.of(
                            new Lesson("shot from too far away", "collar-drag", "set the shot up with a grip"),
                            new Lesson("head down on the way in", "single-leg", "finished with the head up")),
            "sweep",
                    List.of(
                            new Lesson(
                                    "swept without the posture broken", "half-guard-sweep", "broke the posture first"),
                            new Lesson("let the sleeve go too early", "lasso-sweep", "held the sleeve to the end")),
            "submission",
                    List.of(
                            new Lesson(
                                    "fell back without control of the hips",
                                    "to-mount",
                                    "waited until the position was settled"),
                            new Lesson(
                                    "crossed the feet too early", "triangle", "changed the angle before squeezing")));

    private static final Map<String, String> SAID = Map.of(
            "ansa-kellivar", "knee cut over half guard pass because it keeps the weight forward",
            "brisa-tolendt", "lasso sweep over scissor sweep because of long legs except in no-gi",
            "odile-marrowen", "x pass over toreando because it stays on the feet",
            "juno-fastrel", "double leg over single leg because there are fewer scrambles");

    private final Lexicon lexicon;
    private final MatchRecord record;
    private final UniformRandomProvider rng;
    private final List<Tag> tags = new ArrayList<>();
    private int added;

    private SecondTagging(Lexicon lexicon, MatchRecord record) {
        this.lexicon = lexicon;
        this.record = record;
        this.rng = RandomSource.XO_RO_SHI_RO_128_PP.create(record.id().hashCode());
    }

    static MatchRecord of(MatchRecord record, Lexicon lexicon) {
        SecondTagging pass = new SecondTagging(lexicon, record);
        MatchRecord.Details d = record.details();
        return record.withTags(pass.look())
                .withDetails(new MatchRecord.Details(
                        d.date(),
                        d.event(),
                        d.round(),
                        d.division(),
                        d.attire(),
                        d.ruleset(),
                        d.lengthMs(),
                        known(d.a()),
                        known(d.b()),
                        d.result()));
    }

    /** Stance and weight stay the same over the years here. */
    private static MatchAthlete known(MatchAthlete a) {
        Map<String, Object> extra = new LinkedHashMap<>(a.extra());
        int n = Math.floorMod(a.id().hashCode(), 7);
        extra.put("stance", n % 3 == 0 ? "left" : "right");
        extra.put("weightKg", 54.5 + n * 0.5);
        if (n == 2 || n == 5) {
            extra.put("grade", "brown");
        }
        return new MatchAthlete(a.id(), a.name(), a.marker(), a.colour(), extra);
    }

    private boolean chance(double p) {
        return rng.nextDouble() < p;
    }

    private TagInfo next() {
        added++;
        return TagInfo.withId("s" + added);
    }

    private List<Tag> look() {
        List<Tag> all = record.tags();
        boolean preferenceSaid = false;
        for (int i = 0; i < all.size(); i++) {
            if (!(all.get(i) instanceof Tag.Action a) || a.outcome() == null) {
                tags.add(all.get(i));
                continue;
            }
            String family = lexicon.familyOf(a.technique());
            boolean worked = a.completed();
            String fact = FACTS.get(family);
            if (fact != null && chance(worked ? 0.55 : 0.25)) {
                tags.add(new Tag.Body(a.t(), a.by().other(), fact, null, null, next()));
            }
            tags.add(detailed(a, family, worked));
            String preference = SAID.get(record.athlete(a.by()).id());
            if (!preferenceSaid && preference != null && chance(0.04)) {
                preferenceSaid = true;
                tags.add(said(a, RemarkKind.PREFERENCE, preference, null, null, PreferenceWords.fields(preference)));
            }
            remark(all, i, a, family, worked);
        }
        return tags;
    }

    private Tag.Action detailed(Tag.Action a, String family, boolean worked) {
        Tag.Action seen = a;
        Side first = a.firstSide();
        boolean sided = FACTS.containsKey(family) && (first == Side.LEFT || first == Side.RIGHT);
        if (sided && a.sides().size() == 1 && chance(worked ? 0.35 : 0.18)) {
            List<Side> turns = new ArrayList<>(List.of(first, first == Side.LEFT ? Side.RIGHT : Side.LEFT));
            if (chance(0.4)) {
                turns.add(first);
            }
            seen = seen.sides(turns);
        }
        String check = CHECKS.get(a.technique());
        return check == null || chance(0.2) ? seen : seen.checked(check, chance(worked ? 0.8 : 0.4));
    }

    private void remark(List<Tag> all, int at, Tag.Action a, String family, boolean worked) {
        if (record.athlete(a.by()).id().equals(FAULTY) && family.equals("takedown") && !worked) {
            fault(all, at, a);
            return;
        }
        List<Lesson> lessons = LESSONS.get(family);
        if (lessons == null || !chance(worked ? 0.12 : 0.16)) {
            return;
        }
        Lesson lesson = lessons.get(rng.nextInt(lessons.size()));
        if (worked) {
            tags.add(said(a, RemarkKind.PRAISE, lesson.praise(), null, null, Map.of()));
        } else {
            Boolean punished = chance(0.15) ? null : Boolean.valueOf(punished(all, at, a.by()));
            tags.add(said(
                    a, RemarkKind.ERROR, lesson.fault(), Map.of("technique", lesson.instead()), punished, Map.of()));
        }
    }

    /** The one fault that comes again: whenever it cost something, and now and then when it did not. */
    private void fault(List<Tag> all, int at, Tag.Action a) {
        boolean cost = punished(all, at, a.by());
        if (cost || chance(0.4)) {
            tags.add(said(a, RemarkKind.ERROR, FAULT, Map.of("technique", "single-leg"), cost, Map.of()));
        }
    }

    private Tag said(
            Tag.Action a,
            RemarkKind kind,
            String text,
            @Nullable Object instead,
            @Nullable Boolean punished,
            Map<String, String> fields) {
        return new Tag.Remark(a.t(), kind, a.by(), "seen", text, instead, punished, fields, next());
    }

    /** Whether the other got something through soon after. */
    private static boolean punished(List<Tag> all, int at, Corner by) {
        Tag from = all.get(at);
        return all.subList(at + 1, all.size()).stream()
                .takeWhile(t -> t.t().since(from.t()) <= PUNISHED_MS)
                .anyMatch(t -> t instanceof Tag.Action a && a.by() != by && a.completed());
    }
}
