package farglass.cli;

import farglass.lexicon.Technique;
import farglass.match.Tag;
import farglass.tendency.Claim;
import farglass.tendency.ClaimWriter;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.Places;
import farglass.tendency.Profile;
import farglass.tendency.Transitions;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** {@code farglass.profile/1}. */
final class ProfileDocument {
    private static final List<String> LATER = List.of("rates", "reactions", "dilemmas", "chains", "dwell", "context");
    private final Profile profile;
    private final List<String> errors;
    private final ClaimWriter writer = new ClaimWriter(Locale.ENGLISH);

    ProfileDocument(Profile profile, List<String> errors) {
        this.profile = profile;
        this.errors = errors;
    }

    Map<String, Object> document() {
        Map<String, Object> m = new LinkedHashMap<>();
        Filter f = profile.evidence().filter();
        m.put("format", "farglass.profile/1");
        m.put("athlete", profile.athlete());
        Map<String, Object> filters = new LinkedHashMap<>();
        filters.put("attire", f.attire());
        filters.put("ruleset", f.ruleset());
        filters.put("halfLifeYears", f.halfLifeYears());
        filters.put("baseline", f.baseline());
        m.put("filters", filters);
        m.put("asOf", f.asOf() == null ? null : f.asOf().toString());
        m.put("matches", profile.evidence().matches().size());
        m.put("exposure", exposure());
        m.put("proportions", claims(Claim.Topic.TECHNIQUE));
        m.put("sides", claims(Claim.Topic.SIDE));
        m.put("transitions", transitions());
        m.put("finishes", claims(Claim.Topic.FINISH));
        m.put("neverSeen", claims(Claim.Topic.NOT_SEEN));
        m.put("openings", claims(Claim.Topic.OPENING));
        m.put("guards", claims(Claim.Topic.GUARD));
        LATER.forEach(key -> m.put(key, List.of()));
        m.put("notComputed", LATER);
        m.put("errors", errors);
        return m;
    }

    private List<Object> exposure() {
        List<Object> rows = new ArrayList<>();
        for (Places.Row row : Places.of(profile.evidence())) {
            Map<String, Object> m = new LinkedHashMap<>();
            m.put("position", row.position());
            m.put("role", row.role());
            m.put("ms", row.ms());
            m.put("share", Json.estimate(row.share()));
            rows.add(m);
        }
        return rows;
    }

    private List<Object> transitions() {
        List<Object> rows = new ArrayList<>();
        for (Transitions.Row row : Transitions.of(profile.evidence())) {
            Map<String, Object> m = new LinkedHashMap<>();
            m.put("from", row.from());
            m.put("role", row.role());
            m.put("to", row.to());
            m.put("by", row.by());
            m.put("technique", row.technique());
            m.putAll(Json.estimate(row.estimate()));
            rows.add(m);
        }
        return rows;
    }

    private List<Object> claims(Claim.Topic topic) {
        List<Object> rows = new ArrayList<>();
        for (Claim c : profile.claims()) {
            if (c.topic() != topic) {
                continue;
            }
            Map<String, Object> m = new LinkedHashMap<>();
            m.put("claim", c.id());
            m.put("sentence", writer.sentence(c));
            String subject = c.id().substring(c.id().indexOf('.') + 1);
            switch (topic) {
                case TECHNIQUE -> technique(m, subject);
                case SIDE -> {
                    m.put("family", subject);
                    m.put("right", c.side().right());
                    m.put("left", c.side().left());
                    m.put("pRight", c.side().pRight());
                    m.put("pBeyond", c.side().pBeyond());
                    m.put(
                            "word",
                            c.side().word().name().toLowerCase(Locale.ROOT).replace('_', '-'));
                }
                case NOT_SEEN -> {
                    m.put("what", subject);
                    m.put("upper", c.estimate().hi());
                    m.put("unit", "match");
                }
                case FINISH -> m.put("technique", subject.startsWith("by.") ? subject.substring(3) : null);
                default -> {}
            }
            m.putAll(Json.estimate(c.estimate()));
            m.put("withoutUnsure", c.withoutUnsure());
            m.put("notVisible", c.hidden());
            rows.add(m);
        }
        return rows;
    }

    private void technique(Map<String, Object> m, String code) {
        Evidence evidence = profile.evidence();
        m.put("technique", code);
        m.put("family", evidence.lexicon().familyOf(code));
        m.put("from", evidence.lexicon().technique(code).map(Technique::from).orElse(List.of()));
        int[] ladder = new int[4];
        for (Evidence.Act act : evidence.ownAttempts(a -> a.technique().equals(code))) {
            Tag.Action a = act.action();
            if (a.reached() != null) {
                ladder[a.reached() - 1]++;
            }
        }
        m.put("ladder", ladder);
    }
}
