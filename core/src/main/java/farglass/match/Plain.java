package farglass.match;

/** Values in the free fields of a record. */
public final class Plain {
    private Plain() {}

    /** A whole number as JSON readers give it back, so that a record equals itself after a round trip. */
    public static Object number(long n) {
        return n == (int) n ? (Object) (int) n : (Object) n;
    }
}
