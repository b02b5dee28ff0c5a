package farglass.store.bundle;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.Locale;
import java.util.Set;

/**
 * File names for ids, which may hold anything. An id that is a harmless name stays as it is; of any other the harmless
 * part stays and a mark made of the whole id tells it from its neighbours. Within one set of names no two differ by
 * capitals alone, because not every system tells those apart.
 */
public final class FileNames {
    private static final int LONGEST = 80;
    private static final int MARK = 10;

    private final Set<String> given = new HashSet<>();

    /** A name that this object has not given before, unless for the same id twice. */
    public String next(String id) {
        String name = of(id);
        if (!given.add(name.toLowerCase(Locale.ROOT))) {
            name = marked(name, id);
            given.add(name.toLowerCase(Locale.ROOT));
        }
        return name;
    }

    /**
     * The name for an id: letters, digits, dot, hyphen and underscore of ASCII, at most 91 characters, never beginning
     * with a dot.
     */
    public static String of(String id) {
        String name = id.replaceAll("[^A-Za-z0-9._-]", "_");
        name = name.startsWith(".") ? "_" + name : name;
        return name.equals(id) && name.length() <= LONGEST && !name.isEmpty() ? name : marked(name, id);
    }

    private static String marked(String name, String id) {
        try {
            byte[] sum = MessageDigest.getInstance("SHA-256").digest(id.getBytes(StandardCharsets.UTF_8));
            String mark = HexFormat.of().formatHex(sum).substring(0, MARK);
            return (name.length() > LONGEST ? name.substring(0, LONGEST) : name) + "-" + mark;
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
