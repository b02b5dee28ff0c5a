package farglass.match;

import java.util.HashMap;
import java.util.Map;

/** The members of closed vocabularies by their codes, put together once: records are read by the thousand. */
final class Codes {
    static final ClassValue<Map<String, Object>> BY_TYPE = new ClassValue<>() {
        @Override
        protected Map<String, Object> computeValue(Class<?> type) {
            Map<String, Object> byCode = new HashMap<>();
            for (Object member : type.getEnumConstants()) {
                byCode.put(((Coded) member).code(), member);
            }
            return byCode;
        }
    };

    private Codes() {}
}
