package farglass.match;

/** One of the two athletes of a record. */
public enum Corner {
    A,
    B;

    /** The opposite corner. */
    public Corner other() {
        return this == A ? B : A;
    }

    /** {@code a} or {@code b}. */
    public String code() {
        return this == A ? "a" : "b";
    }
}
