package farglass.match;

import java.util.Comparator;

/**
 * A place as one of the two has it.
 *
 * @param position its code
 */
public record Situation(String position, Role role) implements Comparable<Situation> {
    private static final Comparator<Situation> ORDER =
            Comparator.comparing(Situation::position).thenComparing(Situation::role);

    /** What a span is to one of the two. */
    public static Situation of(Span span, Corner who) {
        return new Situation(span.place(), Role.of(span, who));
    }

    @Override
    public int compareTo(Situation o) {
        return ORDER.compare(this, o);
    }

    /** The same in every run, so that what is summed in the order of a map is summed alike. */
    @Override
    public int hashCode() {
        return 31 * position.hashCode() + role.code().hashCode();
    }

    @Override
    public String toString() {
        return position + " " + role;
    }
}
