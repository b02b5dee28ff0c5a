package farglass.store.json;

import com.fasterxml.jackson.databind.JsonNode;
import farglass.camp.Skill;
import farglass.conduct.EventPattern;
import farglass.debrief.Branch;
import farglass.matchup.model.ModelState;
import farglass.matchup.solve.Option;
import farglass.plan.Approach;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What a computed plan on file ({@code farglass.plan/1}) says to whoever trains it or looks back at it.
 *
 * @param skills what leverage says is worth training, the most valuable first
 * @param root the proposed tree
 * @param forecasts to be scored
 */
public record ProposalReader(
        String us, String them, String ruleset, List<Skill> skills, Branch root, List<Approach.Forecast> forecasts) {
    /** Nodes of a tree that a file may hold. */
    private static final int DEEPEST = 40;

    public ProposalReader {
        skills = List.copyOf(skills);
        forecasts = List.copyOf(forecasts);
    }

    /** Whether a plan on file is one that somebody keeps, with what was pinned and decided; else it was computed. */
    public static boolean isKept(String document) throws FormatException {
        JsonNode root = MatchJson.parse(document);
        return PlanJson.FORMAT.equals(root.path("format").asText()) && !root.has("policy");
    }

    /** @throws FormatException when the text is something else, or a part is wrong */
    public static ProposalReader read(String document) throws FormatException {
        Fields f = Fields.of(MatchJson.parse(document), "");
        String format = f.needText("format");
        if (!format.equals(ProposalJson.FORMAT) && !format.equals(ProposalJson.OLD_FORMAT)) {
            throw f.error(
                    "format", "is " + format + "; give what ./farglass plan prints (" + ProposalJson.FORMAT + ")");
        }
        return new ProposalReader(
                f.needText("us"),
                f.needText("them"),
                f.needText("ruleset"),
                skills(f),
                branch(Fields.of(f.need("tree"), f.path("tree")), new int[1], 0),
                forecasts(f));
    }

    private static List<Skill> skills(Fields f) throws FormatException {
        Map<String, Double> worth = new LinkedHashMap<>();
        Map<String, List<ModelState>> places = new LinkedHashMap<>();
        JsonNode rows = f.need("leverage");
        for (int i = 0; i < rows.size(); i++) {
            Fields r = Fields.of(rows.get(i), f.path("leverage") + "/" + i);
            boolean ours = ours(r, "actor");
            double sign = ours ? 1 : -1;
            double gain = Math.max(0, sign * r.needNumber("gain10", -1, 1))
                    + Math.max(0, sign * r.needNumber("chance10", -1, 1));
            String key = (ours ? "+" : "-") + r.needText("exit");
            worth.merge(key, gain, Double::sum);
            places.computeIfAbsent(key, k -> new ArrayList<>()).add(place(r));
        }
        Map<String, String> serves = serves(f, worth, places);
        return worth.entrySet().stream()
                .filter(e -> e.getValue() > 0)
                .sorted(Map.Entry.<String, Double>comparingByValue(Comparator.reverseOrder()))
                .map(e -> new Skill(
                        e.getKey().substring(1),
                        e.getKey().startsWith("+"),
                        e.getValue(),
                        places.getOrDefault(e.getKey(), List.of()),
                        serves.getOrDefault(e.getKey(), "")))
                .toList();
    }

    /**
     * What decisions and weapons need, in words by the key of the skill; a decision is worth at least what the plan
     * loses without it. Older documents have neither.
     */
    private static Map<String, String> serves(Fields f, Map<String, Double> worth, Map<String, List<ModelState>> places)
            throws FormatException {
        Map<String, String> serves = new LinkedHashMap<>();
        for (Fields d : rows(f, "decisions")) {
            Option option = Option.ofKey(d.needText("action")).orElse(Option.NATURAL);
            if (option.kind() == Option.Kind.PRESS) {
                String key = "+" + option.technique();
                serves.putIfAbsent(key, d.needText("text"));
                worth.merge(key, d.needNumber("worth", -1, 1), Math::max);
                places.computeIfAbsent(key, k -> new ArrayList<>()).add(0, place(d, "place"));
            }
        }
        for (Fields w : rows(f, "weapons")) {
            serves.putIfAbsent("-" + w.needText("technique"), w.needText("text"));
        }
        return serves;
    }

    private static List<Fields> rows(Fields f, String field) throws FormatException {
        JsonNode nodes = f.get(field);
        List<Fields> list = new ArrayList<>();
        for (int i = 0; nodes != null && i < nodes.size(); i++) {
            list.add(Fields.of(nodes.get(i), f.path(field) + "/" + i));
        }
        return list;
    }

    private static boolean ours(Fields f, String field) throws FormatException {
        String who = f.needText(field);
        if (!who.equals("us") && !who.equals("them")) {
            throw f.error(field, "\"" + who + "\" is not one of us, them");
        }
        return who.equals("us");
    }

    private static ModelState place(Fields f) throws FormatException {
        return place(f, "state");
    }

    private static ModelState place(Fields f, String field) throws FormatException {
        try {
            return ModelState.ofKey(f.needText(field));
        } catch (IllegalArgumentException e) {
            throw f.error(field, e.getMessage());
        }
    }

    private static Branch branch(Fields f, int[] count, int depth) throws FormatException {
        if (depth > DEEPEST) {
            throw f.error("next", "lies too deep");
        }
        String id = "f" + ++count[0];
        String technique = f.text("technique");
        String actor = f.text("actor");
        boolean ours = actor == null || ours(f, "actor");
        String option = f.needText("option");
        String pressed = depth == 0 && option.startsWith("press ") ? option.substring("press ".length()) : technique;
        EventPattern sight =
                pressed == null ? null : new EventPattern(EventPattern.Kind.ACTION, ours, Set.of(pressed), pressed);
        List<Branch> next = new ArrayList<>();
        JsonNode nodes = f.need("next");
        for (int i = 0; i < nodes.size(); i++) {
            next.add(branch(Fields.of(nodes.get(i), f.path("next") + "/" + i), count, depth + 1));
        }
        return new Branch(id, f.needText("by") + ", " + f.needText("place"), ours, sight, next);
    }

    private static List<Approach.Forecast> forecasts(Fields f) throws FormatException {
        List<Approach.Forecast> list = new ArrayList<>();
        JsonNode rows = f.need("forecasts");
        for (int i = 0; i < rows.size(); i++) {
            Fields r = Fields.of(rows.get(i), f.path("forecasts") + "/" + i);
            String state = r.text("state");
            list.add(new Approach.Forecast(
                    r.needText("what") + (state == null ? "" : " " + state),
                    r.needText("claim"),
                    Math.max(0.01, Math.min(0.99, r.needNumber("p", 0, 1)))));
        }
        return list;
    }
}
