package farglass.match;

/** Parts of a person's name as it is written in one line. */
public final class PersonName {
    private PersonName() {}

    /** The first word; the whole name when it is one word. */
    public static String first(String name) {
        int blank = name.indexOf(' ');
        return blank < 0 ? name : name.substring(0, blank);
    }

    /** The last word: what fits beside a drawing. */
    public static String last(String name) {
        return name.substring(name.lastIndexOf(' ') + 1);
    }
}
