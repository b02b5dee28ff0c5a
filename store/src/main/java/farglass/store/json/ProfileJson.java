package farglass.store.json;

import static java.util.Objects.requireNonNull;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import farglass.lexicon.Technique;
import farglass.match.Tag;
import farglass.profile.Claim;
import farglass.profile.ClaimWriter;
import farglass.profile.Profile;
import farglass.profile.Question;
import farglass.profile.Tables;
import farglass.scout.ReportWriter;
import farglass.scout.ScoutingReport;
import farglass.stats.Curve;
import farglass.stats.SideBias;
import farglass.tendency.Chain;
import farglass.tendency.Dilemmas;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.FinishTree;
import farglass.tendency.PositionTimes;
import farglass.tendency.Reactions;
import farglass.tendency.Transitions;
import farglass.text.Language;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.Supplier;

/** {@code farglass.profile/1}. */
public final class ProfileJson {
    private static final ObjectMapper MAPPER = new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);

    private final Profile profile;
    private final Tables tables;
    private final ScoutingReport report;
    private final ClaimWriter writer = new ClaimWriter(Language.locale());

    /** A profile with what its pages show in part. */
    public ProfileJson(Profile profile, Tables tables) {
        this.profile = profile;
        this.tables = tables;
        this.report = ScoutingReport.of(profile);
    }

    /** The document as text. */
    public String text() {
        return MAPPER.valueToTree(document()).toPrettyString();
    }

    /** The document as maps and lists, in the order of {@code farglass.profile/1}. */
    public Map<String, Object> document() {
        Map<String, Object> m = new LinkedHashMap<>();
        Filter f = profile.evidence().filter();
        m.put("format", "farglass.profile/1");
        m.put("athlete", profile.athlete());
        m.put("filters", filters(f));
        LocalDate day = f.asOf() == null ? profile.evidence().index().newest() : f.asOf();
        m.put("asOf", day == null ? null : day.toString());
        m.put("matches", profile.evidence().matches().size());
        // each on whichever core is free: the check of every interval is drawn for this document
        List<Map.Entry<String, Object>> parts = parts().entrySet().parallelStream()
                .map(part -> Map.entry(part.getKey(), part.getValue().get()))
                .toList();
        parts.forEach(part -> m.put(part.getKey(), part.getValue()));
        return m;
    }

    private Map<String, Supplier<Object>> parts() {
        Map<String, Supplier<Object>> parts = new LinkedHashMap<>();
        parts.put("exposure", this::exposure);
        parts.put("proportions", () -> rows(c -> c.topic() == Claim.Topic.TECHNIQUE && c.unit() == Claim.Unit.SHARE));
        parts.put(
                "rates", () -> rows(c -> c.unit() == Claim.Unit.PER_TEN_MINUTES && c.topic() != Claim.Topic.NOT_SEEN));
        parts.put("sides", () -> rows(c -> c.topic() == Claim.Topic.SIDE));
        parts.put("transitions", this::transitions);
        parts.put("reactions", this::reactions);
        parts.put(
                "dilemmas",
                () -> tables.dilemmas().stream().map(ProfileJson::dilemma).toList());
        parts.put(
                "chains", () -> tables.chains().stream().map(ProfileJson::chain).toList());
        parts.put("finishes", this::finishes);
        parts.put("dwell", () -> tables.dwell().stream().map(ProfileJson::dwell).toList());
        parts.put("context", () -> rows(c -> c.topic() == Claim.Topic.CONTEXT));
        parts.put("neverSeen", () -> rows(c -> c.topic() == Claim.Topic.NOT_SEEN));
        parts.put("openings", () -> rows(c -> c.topic() == Claim.Topic.OPENING));
        parts.put("guards", () -> rows(c -> c.topic() == Claim.Topic.GUARD));
        parts.put("report", () -> new ReportJson(new ReportWriter(Language.locale())).report(report));
        parts.put(
                "sequences",
                () -> tables.sequences().stream().map(ReportJson::sequence).toList());
        parts.put("claims", () -> profile.claims().stream().map(this::row).toList());
        return parts;
    }

    private List<Object> reactions() {
        List<Object> reactions = new ArrayList<>();
        tables.answers().forEach(r -> reactions.add(reaction(r, "self")));
        tables.answered().forEach(r -> reactions.add(reaction(r, "other")));
        return reactions;
    }

    private List<Object> finishes() {
        List<Object> finishes = new ArrayList<>();
        FinishTree.of(profile.evidence()).forEach(root -> finish(finishes, root, root, List.of()));
        return finishes;
    }

    private static Map<String, Object> filters(Filter f) {
        Map<String, Object> filters = new LinkedHashMap<>();
        filters.put("attire", f.attire());
        filters.put("ruleset", f.ruleset());
        filters.put("from", f.from() == null ? null : f.from().toString());
        filters.put("to", f.to() == null ? null : f.to().toString());
        filters.put("halfLifeYears", f.halfLifeYears());
        filters.put("baseline", f.baseline());
        filters.put(
                "kinds",
                f.kinds().stream()
                        .map(k -> k.name().toLowerCase(Locale.ROOT))
                        .sorted()
                        .toList());
        filters.put("opponents", f.opponents().ids().stream().sorted().toList());
        filters.put("lead", f.opponents().stance());
        filters.put("role", f.moment().role() == null ? null : f.moment().role().code());
        filters.put("score", f.moment().score() == null ? null : word(f.moment().score()));
        filters.put("clock", f.moment().clock() == null ? null : word(f.moment().clock()));
        return filters;
    }

    private static String word(Enum<?> e) {
        return e.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private List<Object> exposure() {
        List<Object> rows = new ArrayList<>();
        for (PositionTimes.Row row : PositionTimes.of(profile.evidence())) {
            Map<String, Object> m = new LinkedHashMap<>();
            m.put("position", row.position());
            m.put("role", row.role().code());
            m.put("ms", row.ms());
            m.put("share", EstimateJson.of(row.share()));
            rows.add(m);
        }
        return rows;
    }

    private List<Object> transitions() {
        List<Object> rows = new ArrayList<>();
        for (Transitions.Row row : Transitions.of(profile.evidence())) {
            Map<String, Object> m = new LinkedHashMap<>();
            m.put("from", row.from());
            m.put("role", row.role().code());
            m.put("to", row.to());
            m.put("by", row.by());
            m.put("technique", row.technique());
            m.putAll(EstimateJson.of(row.estimate()));
            rows.add(m);
        }
        return rows;
    }

    private static Map<String, Object> reaction(Reactions.Row row, String by) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("trigger", row.trigger());
        m.put("answeredBy", by);
        List<Object> answers = new ArrayList<>();
        for (Reactions.Answer a : row.answers()) {
            Map<String, Object> one = new LinkedHashMap<>();
            one.put("answer", a.answer());
            one.putAll(EstimateJson.of(a.share()));
            one.put("triggerWorked", EstimateJson.number(a.conceded().x()));
            answers.add(one);
        }
        m.put("answers", answers);
        m.put("medianDelayMs", EstimateJson.number(row.medianDelayMs()));
        return m;
    }

    private static Map<String, Object> dilemma(Dilemmas.Row r) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("x", r.x());
        m.put("y", r.y());
        m.put("logOdds", r.odds().log());
        m.put("lo", r.odds().lo());
        m.put("hi", r.odds().hi());
        m.put("p", r.odds().p());
        m.put("q", r.q());
        m.put("after", EstimateJson.of(r.after()));
        m.put("otherwise", EstimateJson.of(r.otherwise()));
        return m;
    }

    private static Map<String, Object> chain(Chain c) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("tags", c.symbols());
        m.put("exchanges", c.exchanges());
        m.put("matches", c.matches());
        m.put("expected", c.expected());
        m.put("lift", c.lift());
        m.put("liftLo", c.liftLo());
        m.put("p", c.p());
        m.put("q", c.q());
        m.put("grade", word(c.grade()));
        m.put("begins", c.trials().stream().map(t -> t.tag()).toList());
        return m;
    }

    /** Every way to a lock as a row: {@code setup} reads back from the lock. */
    private static void finish(List<Object> rows, FinishTree.Node root, FinishTree.Node node, List<String> setup) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("technique", root.step().code());
        m.put("setup", setup);
        m.put("n", node.n());
        m.put("x", node.x());
        m.put("medianMs", EstimateJson.number(node.medianMs()));
        m.put("tags", node.trials().stream().map(t -> t.tag()).toList());
        rows.add(m);
        for (FinishTree.Node before : node.before()) {
            List<String> longer = new ArrayList<>(setup);
            longer.add(before.step().symbol());
            finish(rows, root, before, longer);
        }
    }

    private static Map<String, Object> dwell(Tables.Dwell d) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("position", d.at().position());
        m.put("role", d.at().role().code());
        m.put("stays", d.stays());
        m.put("seenUntilMs", d.held().seenUntilMs());
        m.put("interval", d.held().clustered() ? "matches as units" : "stays as units");
        m.put("curve", curve(d.held(), "s"));
        List<Object> exits = new ArrayList<>();
        for (Tables.Exit e : d.exits()) {
            Map<String, Object> one = new LinkedHashMap<>();
            one.put("to", e.to() == null ? e.curve().cause() : e.to().position());
            one.put("role", e.to() == null ? null : e.to().role().code());
            one.put("curve", curve(e.curve(), "f"));
            exits.add(one);
        }
        m.put("exits", exits);
        return m;
    }

    private static List<Object> curve(Curve c, String value) {
        List<Object> points = new ArrayList<>();
        for (Curve.Point p : c.points()) {
            Map<String, Object> m = new LinkedHashMap<>();
            m.put("ms", p.ms());
            m.put(value, p.value());
            m.put("lo", p.lo());
            m.put("hi", p.hi());
            points.add(m);
        }
        return points;
    }

    /** Claims of all pages, each once. */
    private List<Object> rows(Predicate<Claim> wanted) {
        Set<String> seen = new LinkedHashSet<>();
        List<Object> rows = new ArrayList<>();
        for (Question q : Question.values()) {
            for (Claim c : profile.page(q).claims()) {
                if (wanted.test(c) && seen.add(c.id())) {
                    rows.add(row(c));
                }
            }
        }
        return rows;
    }

    private Map<String, Object> row(Claim c) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("claim", c.id());
        m.put("sentence", writer.sentence(c));
        m.put("unit", word(c.unit()));
        subject(m, c);
        m.putAll(
                c.unit() == Claim.Unit.PER_TEN_MINUTES && c.topic() != Claim.Topic.NOT_SEEN
                        ? EstimateJson.rate(c.estimate())
                        : EstimateJson.of(c.estimate()));
        m.put("withoutUnsure", c.withoutUnsure() == null ? null : EstimateJson.number(c.withoutUnsure()));
        m.put("notVisible", c.hidden());
        m.put("doubts", c.doubts().stream().map(ProfileJson::word).toList());
        return m;
    }

    private void subject(Map<String, Object> m, Claim c) {
        String subject = c.id().substring(c.id().indexOf('.') + 1);
        switch (c.topic()) {
            case TECHNIQUE -> {
                m.put("by", c.id().startsWith("against.") ? "other" : "self");
                if (c.id().startsWith("technique.")
                        && profile.evidence().lexicon().technique(subject).isPresent()) {
                    technique(m, subject);
                } else {
                    m.put("technique", null);
                    m.put("family", subject.substring(subject.lastIndexOf('.') + 1));
                }
            }
            case SIDE -> {
                m.put("family", subject);
                SideBias side = requireNonNull(c.side());
                m.put("right", side.right());
                m.put("left", side.left());
                m.put("pRight", side.pRight());
                m.put("pBeyond", side.pBeyond());
                m.put("word", word(c.side().word()));
            }
            case NOT_SEEN -> {
                m.put("what", subject);
                m.put("upper", EstimateJson.number(c.estimate().hi()));
                m.put("unit", c.unit() == Claim.Unit.PER_TEN_MINUTES ? "10 min" : "match");
            }
            case CONTEXT -> {
                String[] split = c.id().split("\\.");
                m.put("split", split.length > 1 ? split[1] : null);
                m.put("level", split.length > 2 ? split[2] : null);
                m.put("measure", split.length > 3 ? split[3] : null);
            }
            default -> {}
        }
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
