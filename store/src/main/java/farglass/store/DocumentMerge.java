package farglass.store;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Two changed versions of one JSON document. Objects are merged field by field, lists of objects that all have an
 * {@code id} by that; what both changed otherwise is a clash, where theirs stands. Two new things of one id both stay,
 * ours under another.
 *
 * @param theirs both changes, theirs where they clash
 * @param mine both changes, mine where they clash
 * @param fields paths of what clashes; empty when the two are the same
 */
record DocumentMerge(String theirs, String mine, List<String> fields) {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final String ID = "id";

    DocumentMerge {
        fields = List.copyOf(fields);
    }

    /** @param before what both were made from, or null when each is the first */
    static DocumentMerge of(@Nullable String before, String mine, String theirs) {
        if (mine.equals(theirs) || mine.equals(before)) {
            return new DocumentMerge(theirs, theirs, List.of());
        }
        if (theirs.equals(before)) {
            return new DocumentMerge(mine, mine, List.of());
        }
        try {
            JsonNode b = before == null ? null : JSON.readTree(before);
            JsonNode m = JSON.readTree(mine);
            JsonNode t = JSON.readTree(theirs);
            List<String> fields = new ArrayList<>();
            JsonNode theirsFirst = merged(b, m, t, false, "", fields);
            JsonNode mineFirst = merged(b, m, t, true, "", new ArrayList<>());
            return new DocumentMerge(JSON.writeValueAsString(theirsFirst), JSON.writeValueAsString(mineFirst), fields);
        } catch (JsonProcessingException e) {
            return new DocumentMerge(theirs, mine, List.of("text"));
        }
    }

    private static @Nullable JsonNode merged(
            @Nullable JsonNode b,
            @Nullable JsonNode m,
            @Nullable JsonNode t,
            boolean mineFirst,
            String path,
            List<String> fields) {
        if (same(m, t) || same(m, b)) {
            return t;
        }
        if (same(t, b)) {
            return m;
        }
        if (m instanceof ObjectNode x && t instanceof ObjectNode y) {
            ObjectNode whole = JsonNodeFactory.instance.objectNode();
            Set<String> names = new LinkedHashSet<>();
            y.fieldNames().forEachRemaining(names::add);
            x.fieldNames().forEachRemaining(names::add);
            for (String name : names) {
                JsonNode was = b == null ? null : b.get(name);
                JsonNode field = merged(was, x.get(name), y.get(name), mineFirst, path + "/" + name, fields);
                if (field != null) {
                    whole.set(name, field);
                }
            }
            return whole;
        }
        if (m instanceof ArrayNode x && t instanceof ArrayNode y && named(x) && named(y) && (b == null || named(b))) {
            return byId(b, x, y, mineFirst, path, fields);
        }
        fields.add(path);
        return mineFirst ? m : t;
    }

    private static ArrayNode byId(
            @Nullable JsonNode b, ArrayNode m, ArrayNode t, boolean mineFirst, String path, List<String> fields) {
        Map<String, JsonNode> was = ids(b);
        Map<String, JsonNode> mine = ids(m);
        Map<String, JsonNode> theirs = ids(t);
        Set<String> all = new LinkedHashSet<>(theirs.keySet());
        all.addAll(mine.keySet());
        ArrayNode whole = JsonNodeFactory.instance.arrayNode();
        for (String id : all) {
            if (!was.containsKey(id)
                    && mine.containsKey(id)
                    && theirs.containsKey(id)
                    && !mine.get(id).equals(theirs.get(id))) {
                // two new things that happen to be called the same: both stay
                whole.add(theirs.get(id));
                whole.add(((ObjectNode) mine.get(id).deepCopy()).put(ID, free(id, all)));
                continue;
            }
            JsonNode e = merged(was.get(id), mine.get(id), theirs.get(id), mineFirst, path + "/" + id, fields);
            if (e != null) {
                whole.add(e);
            }
        }
        return whole;
    }

    private static String free(String id, Set<String> taken) {
        int k = 2;
        while (taken.contains(id + "-" + k)) {
            k++;
        }
        return id + "-" + k;
    }

    private static boolean named(JsonNode list) {
        for (JsonNode e : list) {
            if (!e.path(ID).isTextual()) {
                return false;
            }
        }
        return list.isArray();
    }

    private static Map<String, JsonNode> ids(@Nullable JsonNode list) {
        Map<String, JsonNode> ids = new LinkedHashMap<>();
        if (list != null) {
            list.forEach(e -> ids.put(e.get(ID).textValue(), e));
        }
        return ids;
    }

    private static boolean same(@Nullable JsonNode a, @Nullable JsonNode b) {
        return a == null ? b == null : a.equals(b);
    }
}
