package farglass.scout;

import farglass.profile.Claim;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What cannot be told yet: what was never shown, and where there is too little film. */
final class UnknownPart {
    private static final int FEW_MATCHES = 6;
    private static final int FEW_IN_ATTIRE = 4;
    /** Whole matches after which what was never shown is worth a word. */
    private static final int WHOLE = 5;

    private static final double LITTLE_MS = 3 * 60_000;

    private UnknownPart() {}

    static List<Sentence> of(Known k) {
        List<Sentence> list = new ArrayList<>();
        if (k.matches() < FEW_MATCHES) {
            list.add(new Sentence.Builder("unknown.matches")
                    .say("unknown.matches", null, Assertion.Says.COUNTED, k.matches())
                    .build());
        }
        never(k, list);
        little(k, list);
        attire(k, list);
        return list;
    }

    private static void never(Known k, List<Sentence> list) {
        Sentence.Builder s = new Sentence.Builder("unknown.never");
        String key = "unknown.never";
        for (String kind : List.of("takedown", "guard-pull", "back-take", "leg", "arm", "choke")) {
            Claim c = k.any("never." + kind).orElse(null);
            if (c != null && c.estimate().matches() >= WHOLE) {
                s.say(key, c, Assertion.Says.COUNTED, c.estimate().matches());
                s.say("unknown.kind." + kind, c, Assertion.Says.COUNTED);
                key = "unknown.comma";
            }
        }
        if (!key.equals("unknown.never")) {
            list.add(s.build());
        }
    }

    /** Places of which a few minutes were seen at most. */
    private static void little(Known k, List<Sentence> list) {
        Sentence.Builder s = new Sentence.Builder("unknown.little");
        String key = "unknown.little";
        for (String place : List.of("standing", "guard", "topGuard", "pinning", "pinned", "backOf", "backGiven")) {
            Claim c = k.any("place." + place).orElse(null);
            double ms = c == null ? 0 : c.estimate().x();
            if (ms < LITTLE_MS) {
                s.say(key, c, Assertion.Says.COUNTED);
                s.say("unknown.place." + place, c, Assertion.Says.COUNTED, Math.round(ms / 1000));
                key = "unknown.comma";
            }
        }
        if (!key.equals("unknown.little")) {
            list.add(s.build());
        }
    }

    /** An attire in which hardly a match was seen, when the filter asks for neither. */
    private static void attire(Known k, List<Sentence> list) {
        if (k.profile().evidence().filter().attire() != null) {
            return;
        }
        Map<String, Integer> counts = new LinkedHashMap<>(Map.of("gi", 0, "no-gi", 0));
        k.profile().evidence().matches().forEach(m -> {
            String attire = m.record().details().attire();
            if (attire != null) {
                counts.merge(attire, 1, Integer::sum);
            }
        });
        for (String attire : List.of("gi", "no-gi")) {
            if (counts.getOrDefault(attire, 0) < FEW_IN_ATTIRE) {
                list.add(new Sentence.Builder("unknown." + attire)
                        .say("unknown." + attire, null, Assertion.Says.COUNTED, counts.getOrDefault(attire, 0))
                        .build());
            }
        }
    }
}
