package farglass.store;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What an athlete leaves in documents that are not his: the athlete himself where he was entered by mistake, and his
 * name and id in texts. Equal values are made equal values, so that the steps of a history still follow one another.
 */
final class Traces {
    static final String FORGOTTEN = "forgotten";
    private static final ObjectMapper JSON = new ObjectMapper();
    /** Shorter ids and names are words of their own too often. */
    private static final int SHORTEST = 4;

    /** Fields that hold codes, times and places of files, never a name. */
    private static final Set<String> CODED = Set.of(
            "format",
            "type",
            "t",
            "until",
            "position",
            "holder",
            "guard",
            "technique",
            "family",
            "grip",
            "fact",
            "of",
            "side",
            "sides",
            "hand",
            "outcome",
            "to",
            "limb",
            "depth",
            "ended",
            "call",
            "for",
            "by",
            "kind",
            "cause",
            "base",
            "attire",
            "ruleset",
            "method",
            "winner",
            "edit",
            "sha256",
            "file",
            "colour",
            "match");

    private final String athlete;
    private final @Nullable Pattern pattern;

    /**
     * @param names every name the athlete has in the library
     * @param words last names that others have too, which are left where they stand alone
     */
    Traces(String athlete, Set<String> names, Set<String> words) {
        this.athlete = athlete;
        Set<String> sought = new LinkedHashSet<>();
        for (String name : names) {
            String whole = name.strip();
            String last = whole.substring(whole.lastIndexOf(' ') + 1);
            if (whole.length() >= SHORTEST) {
                sought.add(whole);
            }
            if (last.length() >= SHORTEST && !words.contains(last)) {
                sought.add(last);
            }
        }
        if (athlete.length() >= SHORTEST) {
            sought.add(athlete);
        }
        String any = sought.stream()
                .map(s -> Pattern.compile("\\s+")
                        .splitAsStream(s)
                        .map(Pattern::quote)
                        .collect(Collectors.joining("\\s+")))
                .collect(Collectors.joining("|"));
        // what stands inside a longer word is another word
        this.pattern = sought.isEmpty()
                ? null
                : Pattern.compile(
                        "(?<![\\p{L}\\p{N}-])(?:" + any + ")(?![\\p{L}\\p{N}])",
                        Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
    }

    /** A plain text without him. */
    String text(String text) {
        return pattern == null ? text : pattern.matcher(text).replaceAll("[" + FORGOTTEN + "]");
    }

    /** A JSON document without him; a text that is no JSON is taken as a plain one. */
    String document(String document) {
        if (pattern == null
                ? !document.contains(athlete)
                : !document.contains(athlete) && text(document).equals(document)) {
            return document;
        }
        try {
            JsonNode node = JSON.readTree(document);
            if (node == null || !node.isContainerNode()) {
                return text(document);
            }
            JsonNode cleaned = clean(node);
            return cleaned.equals(node) ? document : JSON.writeValueAsString(cleaned);
        } catch (JsonProcessingException e) {
            return text(document);
        }
    }

    private JsonNode clean(JsonNode node) {
        if (node instanceof ObjectNode o) {
            if (o.path("id").asText().equals(athlete) && o.has("name")) {
                ObjectNode nobody = JSON.createObjectNode();
                nobody.put("id", FORGOTTEN);
                nobody.put("name", FORGOTTEN);
                return nobody;
            }
            ObjectNode cleaned = JSON.createObjectNode();
            for (Map.Entry<String, JsonNode> e : o.properties()) {
                cleaned.set(text(e.getKey()), CODED.contains(e.getKey()) ? e.getValue() : clean(e.getValue()));
            }
            return cleaned;
        }
        if (node instanceof ArrayNode a) {
            ArrayNode cleaned = JSON.createArrayNode();
            a.forEach(n -> cleaned.add(clean(n)));
            return cleaned;
        }
        return node.isTextual() ? TextNode.valueOf(text(node.textValue())) : node;
    }
}
