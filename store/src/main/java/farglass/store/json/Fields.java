package farglass.store.json;

import com.fasterxml.jackson.core.JsonParseException;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.IntNode;
import com.fasterxml.jackson.databind.node.NullNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import farglass.match.Coded;
import farglass.match.Corner;
import farglass.time.MatchTime;
import java.io.IOException;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** A JSON object being read: typed access with the path in every error, and a note of which fields were asked for. */
final class Fields {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final Object NOTHING = new Object();
    private static final ArrayNode NONE = MatchJson.JSON.createArrayNode();
    private static final double MAX_MS = 1e12;
    /** Fields of most tags. */
    private static final int FEW = 10;
    /** Characters of a name or id. */
    private static final int LONGEST_NAME = 300;

    private String[] names = new String[FEW];
    /** Of the names, which are told apart by it nearly always. */
    private int[] hashes = new int[FEW];
    /** Texts, numbers, flags, {@link #NOTHING} for JSON null, and nodes for what holds more. */
    private Object[] values = new Object[FEW];
    /** Whether somebody asked for the field. */
    private boolean[] asked = new boolean[FEW];

    private int count;
    /**
     * One bit for every name: most fields that are asked for are not there, which this tells without a look at the
     * names.
     */
    private long bits;

    /** What stands where an object is expected; null for an object. */
    private @Nullable Object instead;

    private final String base;
    /** Place in a list at {@link #base}, -1 for none: put together when there is something to say about it. */
    private final int index;

    private Fields(String base, int index) {
        this.base = base;
        this.index = index;
    }

    static Fields of(JsonNode node, String path) throws FormatException {
        if (!node.isObject()) {
            throw new FormatException(path, "an object is expected, found " + describe(node));
        }
        Fields f = new Fields(path, -1);
        for (Map.Entry<String, JsonNode> e : node.properties()) {
            f.add(e.getKey(), value(e.getValue()));
        }
        return f;
    }

    private static Object value(JsonNode node) {
        return switch (node.getNodeType()) {
            case STRING -> node.textValue();
            case NUMBER -> node.numberValue();
            case BOOLEAN -> node.booleanValue();
            case NULL -> NOTHING;
            default -> node;
        };
    }

    /**
     * Reads an object straight from a parser that stands at its begin, with one field apart that is a list of objects.
     * Records hold many small ones, and a tree of them costs twice what they do.
     *
     * @param listed name of the field; when it is such a list an empty one stands in its place
     * @param objects gets the list's objects
     * @param most objects that the list may have
     * @param mostValues values in the lists and objects of one field: a tree of many small ones takes many times the
     * room of its text
     * @throws JsonProcessingException also for a field that is there twice, or more objects or values than there may be
     */
    static Fields read(JsonParser parser, String listed, List<Fields> objects, int most, int mostValues)
            throws IOException {
        Fields f = new Fields("", -1);
        String name;
        while ((name = f.next(parser)) != null) {
            JsonToken token = parser.nextToken();
            if (name.equals(listed) && token == JsonToken.START_ARRAY) {
                f.add(name, NONE);
                String base = "/" + name;
                while (parser.nextToken() != JsonToken.END_ARRAY) {
                    if (objects.size() == most) {
                        throw new JsonParseException(parser, "More than " + most + " " + listed);
                    }
                    objects.add(element(parser, new Fields(base, objects.size()), mostValues));
                }
            } else {
                f.add(name, value(parser, token, mostValues));
            }
        }
        return f;
    }

    private static Fields element(JsonParser parser, Fields f, int mostValues) throws IOException {
        JsonToken token = parser.currentToken();
        if (token != JsonToken.START_OBJECT) {
            f.instead = value(parser, token, mostValues);
            return f;
        }
        String name;
        while ((name = f.next(parser)) != null) {
            f.add(name, value(parser, parser.nextToken(), mostValues));
        }
        return f;
    }

    /** Name of the object's next field, null at its end. */
    private @Nullable String next(JsonParser parser) throws IOException {
        String name = parser.nextFieldName();
        if (name != null && !absent(name) && find(name) >= 0) {
            throw new JsonParseException(parser, "Duplicate field '" + name + "'");
        }
        return name;
    }

    /**
     * The value that begins at a token.
     *
     * @param most values that it may hold, when it is a list or an object
     */
    private static Object value(JsonParser parser, JsonToken token, int most) throws IOException {
        return switch (token) {
            case VALUE_STRING -> Texts.of(parser);
            case VALUE_NUMBER_INT, VALUE_NUMBER_FLOAT -> parser.getNumberValue();
            case VALUE_TRUE -> true;
            case VALUE_FALSE -> false;
            case VALUE_NULL -> NOTHING;
            case START_ARRAY -> array(parser, new int[] {most});
            case START_OBJECT -> object(parser, new int[] {most});
            default -> throw new JsonParseException(parser, "A value is expected");
        };
    }

    /** @param left how many values the list or object around it may still hold */
    private static JsonNode within(JsonParser parser, JsonToken token, int[] left) throws IOException {
        if (--left[0] < 0) {
            throw new JsonParseException(parser, "Too many values in one field");
        }
        return switch (token) {
            case START_ARRAY -> array(parser, left);
            case START_OBJECT -> object(parser, left);
            default -> node(value(parser, token, 0));
        };
    }

    private static ArrayNode array(JsonParser parser, int[] left) throws IOException {
        ArrayNode array = MatchJson.JSON.createArrayNode();
        for (JsonToken t = parser.nextToken(); t != JsonToken.END_ARRAY; t = parser.nextToken()) {
            array.add(within(parser, t, left));
        }
        return array;
    }

    private static ObjectNode object(JsonParser parser, int[] left) throws IOException {
        ObjectNode object = MatchJson.JSON.createObjectNode();
        for (String name = parser.nextFieldName(); name != null; name = parser.nextFieldName()) {
            if (object.replace(name, within(parser, parser.nextToken(), left)) != null) {
                throw new JsonParseException(parser, "Duplicate field '" + name + "'");
            }
        }
        return object;
    }

    private void add(String name, Object value) {
        if (count == names.length) {
            names = Arrays.copyOf(names, 2 * count);
            hashes = Arrays.copyOf(hashes, 2 * count);
            values = Arrays.copyOf(values, 2 * count);
            asked = Arrays.copyOf(asked, 2 * count);
        }
        names[count] = name;
        hashes[count] = name.hashCode();
        bits |= 1L << hashes[count];
        values[count++] = value;
    }

    /** Where a field stands, -1 when it is not there; they are few, so that they are looked through one by one. */
    private int find(String name) {
        int hash = name.hashCode();
        for (int i = 0; i < count; i++) {
            if (hashes[i] == hash && names[i].equals(name)) {
                return i;
            }
        }
        return -1;
    }

    /** Surely not there; what is not absent may still not be there. */
    private boolean absent(String name) {
        return (bits & 1L << name.hashCode()) == 0;
    }

    /** @throws FormatException when something else stood in its place in the list */
    Fields object() throws FormatException {
        if (instead != null) {
            throw new FormatException(path(), "an object is expected, found " + describe(instead));
        }
        return this;
    }

    private static JsonNode node(Object value) {
        if (value instanceof JsonNode n) {
            return n;
        }
        if (value instanceof String text) {
            return TextNode.valueOf(text);
        }
        if (value instanceof Integer n) {
            return IntNode.valueOf(n);
        }
        return value == NOTHING ? NullNode.getInstance() : JSON.valueToTree(value);
    }

    private static String describe(Object value) {
        String text = node(value).toString();
        return text.length() > 40 ? text.substring(0, 40) + "..." : text;
    }

    private String path() {
        return index < 0 ? base : base + "/" + index;
    }

    FormatException error(String field, @Nullable String message) {
        return new FormatException(path() + "/" + field, message);
    }

    String path(String field) {
        return path() + "/" + field;
    }

    /** A text, number, flag or node; null when absent or JSON null. */
    private @Nullable Object raw(String field) {
        return absent(field) ? null : found(field);
    }

    private @Nullable Object found(String field) {
        int at = find(field);
        if (at < 0) {
            return null;
        }
        asked[at] = true;
        return values[at] == NOTHING ? null : values[at];
    }

    /** The field's value, or null when absent or JSON null. */
    @Nullable
    JsonNode get(String field) {
        Object value = raw(field);
        return value == null ? null : node(value);
    }

    JsonNode need(String field) throws FormatException {
        JsonNode value = get(field);
        if (value == null) {
            throw missing(field);
        }
        return value;
    }

    private FormatException missing(String field) {
        return error(field, "missing");
    }

    @Nullable
    String text(String field) throws FormatException {
        Object value = raw(field);
        if (value != null && !(value instanceof String)) {
            throw error(field, "a text is expected, found " + describe(value));
        }
        return (String) value;
    }

    String needText(String field) throws FormatException {
        String text = text(field);
        if (text == null) {
            throw missing(field);
        }
        return text;
    }

    /** A name or id: a text that is there and, in a document from outside, no longer than such a thing can be. */
    String needName(String field, boolean outside) throws FormatException {
        String text = needText(field);
        if (outside && text.length() > LONGEST_NAME) {
            throw error(field, "longer than " + LONGEST_NAME + " characters, found " + text.length());
        }
        return text;
    }

    /** A whole number of milliseconds, not negative. */
    @Nullable
    Long ms(String field) throws FormatException {
        Object value = raw(field);
        if (value == null) {
            return null;
        }
        if (!(value instanceof Number n) || n.doubleValue() != Math.rint(n.doubleValue())) {
            throw error(field, "whole milliseconds are expected, found " + describe(value));
        }
        if (n.doubleValue() < 0 || n.doubleValue() > MAX_MS) {
            throw error(field, "milliseconds must not be negative or absurdly large, found " + describe(value));
        }
        return n.longValue();
    }

    long needMs(String field) throws FormatException {
        Long ms = ms(field);
        if (ms == null) {
            throw missing(field);
        }
        return ms;
    }

    @Nullable
    MatchTime time(String field) throws FormatException {
        Long value = ms(field);
        return value == null ? null : MatchTime.ofMs(value);
    }

    @Nullable
    Integer integer(String field, int min, int max) throws FormatException {
        Object value = raw(field);
        if (value == null) {
            return null;
        }
        if (!(value instanceof Integer n) || n < min || n > max) {
            throw error(field, "a whole number from " + min + " to " + max + " is expected, found " + describe(value));
        }
        return n;
    }

    int needInteger(String field, int min, int max) throws FormatException {
        Integer value = integer(field, min, max);
        if (value == null) {
            throw missing(field);
        }
        return value;
    }

    @Nullable
    Double number(String field, double min, double max) throws FormatException {
        Object value = raw(field);
        if (value == null) {
            return null;
        }
        if (!(value instanceof Number n) || !(n.doubleValue() >= min && n.doubleValue() <= max)) {
            throw error(field, "a number from " + min + " to " + max + " is expected, found " + describe(value));
        }
        return n.doubleValue();
    }

    double needNumber(String field, double min, double max) throws FormatException {
        Double value = number(field, min, max);
        if (value == null) {
            throw missing(field);
        }
        return value;
    }

    @Nullable
    Boolean flag(String field) throws FormatException {
        Object value = raw(field);
        if (value != null && !(value instanceof Boolean)) {
            throw error(field, "true or false is expected, found " + describe(value));
        }
        return (Boolean) value;
    }

    boolean needFlag(String field) throws FormatException {
        Boolean value = flag(field);
        if (value == null) {
            throw missing(field);
        }
        return value;
    }

    /** True or false; what stands there when the field does not. */
    boolean flag(String field, boolean otherwise) throws FormatException {
        Boolean value = flag(field);
        return value == null ? otherwise : value;
    }

    <E extends Enum<E> & Coded> E needCoded(String field, Class<E> type) throws FormatException {
        return parse(field, needText(field), type);
    }

    <E extends Enum<E> & Coded> @Nullable E coded(String field, Class<E> type) throws FormatException {
        String code = text(field);
        return code == null ? null : parse(field, code, type);
    }

    <E extends Enum<E> & Coded> E parse(String field, String code, Class<E> type) throws FormatException {
        return Coded.parse(type, code).orElseThrow(() -> {
            StringBuilder known = new StringBuilder();
            for (E e : type.getEnumConstants()) {
                known.append(known.isEmpty() ? "" : ", ").append(e.code());
            }
            return error(field, "\"" + code + "\" is not one of " + known);
        });
    }

    @Nullable
    Corner corner(String field) throws FormatException {
        String code = text(field);
        if (code == null) {
            return null;
        }
        if (!code.equals("a") && !code.equals("b")) {
            throw error(field, "\"" + code + "\" is not one of a, b");
        }
        return code.equals("a") ? Corner.A : Corner.B;
    }

    Corner needCorner(String field) throws FormatException {
        Corner corner = corner(field);
        if (corner == null) {
            throw missing(field);
        }
        return corner;
    }

    Fields object(String field) throws FormatException {
        return of(need(field), path(field));
    }

    /** Fields nobody asked for, as plain JSON values. */
    Map<String, Object> rest() {
        Map<String, Object> rest = null;
        for (int i = 0; i < count; i++) {
            if (!asked[i]) {
                rest = rest == null ? new LinkedHashMap<>() : rest;
                rest.put(
                        names[i], values[i] instanceof JsonNode n ? plain(n) : values[i] == NOTHING ? null : values[i]);
            }
        }
        return rest == null ? Map.of() : rest;
    }

    static Object plain(JsonNode value) {
        return JSON.convertValue(value, Object.class);
    }
}
