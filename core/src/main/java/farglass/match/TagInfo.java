package farglass.match;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What every tag may carry besides its own fields.
 *
 * @param id identity of the tag within its record, or null
 * @param tagger who tagged it, or null
 * @param confidence 0..1, or null when not stated
 * @param note free text, or null
 * @param extra fields this version does not know, kept as read (plain JSON values)
 */
public record TagInfo(
        @Nullable String id,
        @Nullable String tagger,
        @Nullable Double confidence,
        @Nullable String note,
        Map<String, Object> extra) {
    public static final TagInfo NONE = new TagInfo(null, null, null, null, Map.of());

    public TagInfo {
        if (confidence != null && !(confidence >= 0 && confidence <= 1)) {
            throw new IllegalArgumentException("confidence (" + confidence + ") must lie in 0..1");
        }
        extra = extra.isEmpty() ? Map.of() : Collections.unmodifiableMap(new LinkedHashMap<>(extra));
    }

    /** Common fields of a tag of which only the id is known. */
    public static TagInfo withId(String id) {
        return new TagInfo(id, null, null, null, Map.of());
    }

    /** Whether the tagger himself doubts it: confidence under 0.5. */
    public boolean unsure() {
        return confidence != null && confidence < 0.5;
    }

    /** The same with the tagger's own confidence, 0..1, or null. */
    public TagInfo confidence(Double value) {
        return new TagInfo(id, tagger, value, note, extra);
    }
}
