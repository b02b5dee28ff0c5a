package farglass.profile;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A part of a page.
 *
 * @param title key in the bundle {@code Claims}
 * @param args words for the title
 * @param claims rows, each with its number, interval and dots
 * @param figure a drawing above the rows, or null
 * @param empty key of what to say when there is neither row nor drawing
 */
public record Section(
        String title,
        List<String> args,
        List<Claim> claims,
        @Nullable Figure figure,
        String empty) {
    public Section {
        args = List.copyOf(args);
        claims = List.copyOf(claims);
    }

    static Section of(String title, List<Claim> claims) {
        return new Section(title, List.of(), claims, null, title + ".empty");
    }

    Section with(Figure drawing) {
        return new Section(title, args, claims, drawing, empty);
    }

    /** Whether it has nothing to say. */
    public boolean isEmpty() {
        return claims.isEmpty() && figure == null;
    }
}
