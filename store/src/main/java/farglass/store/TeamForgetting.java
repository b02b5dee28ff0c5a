package farglass.store;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A team forgets an athlete: the mirror in which it was decided tells what goes and what stays without him; every other
 * mirror finds by itself what it has of him.
 *
 * @param gone things that are his
 * @param kept things of others, which named him
 */
public record TeamForgetting(List<Thing> gone, List<Thing> kept) {
    private static final ObjectMapper JSON = new ObjectMapper();

    public TeamForgetting {
        gone = List.copyOf(gone);
        kept = List.copyOf(kept);
    }

    /** Something that a team shares. */
    public record Thing(TeamChange.Kind kind, String item) {}

    /** By what a team's log names a forgotten athlete: SHA-256 of the id, which his own mirrors know again. */
    public static String mark(String athlete) {
        try {
            byte[] sum = MessageDigest.getInstance("SHA-256").digest(athlete.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(sum);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    static TeamForgetting of(Forgetting f) {
        List<Thing> gone = new ArrayList<>();
        f.matches().forEach(m -> {
            gone.add(new Thing(TeamChange.Kind.DRAFT, m));
            gone.add(new Thing(TeamChange.Kind.MATCH, m));
        });
        f.plans().forEach(p -> gone.add(new Thing(TeamChange.Kind.PLAN, p)));
        f.assignments().forEach(a -> gone.add(new Thing(TeamChange.Kind.ASSIGNMENT, a)));
        List<Thing> kept = new ArrayList<>();
        f.traces().forEach(m -> {
            kept.add(new Thing(TeamChange.Kind.DRAFT, m));
            kept.add(new Thing(TeamChange.Kind.MATCH, m));
        });
        f.quoting().forEach(p -> kept.add(new Thing(TeamChange.Kind.PLAN, p)));
        f.naming().forEach(a -> kept.add(new Thing(TeamChange.Kind.ASSIGNMENT, a)));
        f.settings().stream().filter(MirrorRows::shared).forEach(s -> kept.add(new Thing(TeamChange.Kind.SETTING, s)));
        return new TeamForgetting(gone, kept);
    }

    String text() {
        ObjectNode o = JSON.createObjectNode();
        write(o.putArray("gone"), gone);
        write(o.putArray("kept"), kept);
        return o.toString();
    }

    private static void write(ArrayNode to, List<Thing> things) {
        things.forEach(t -> to.addArray().add(t.kind().code()).add(t.item()));
    }

    static TeamForgetting read(@Nullable String text) {
        try {
            JsonNode o = JSON.readTree(text == null ? "{}" : text);
            return new TeamForgetting(things(o.path("gone")), things(o.path("kept")));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("a step of this program's own cannot be read", e);
        }
    }

    private static List<Thing> things(JsonNode list) {
        List<Thing> things = new ArrayList<>();
        list.forEach(t -> things.add(
                new Thing(TeamChange.Kind.of(t.path(0).asText()), t.path(1).asText())));
        return things;
    }
}
