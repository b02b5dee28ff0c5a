package farglass.matchup.model;

/**
 * Where one athlete is.
 *
 * @param group code of the group of positions
 * @param standing 1 ahead or above a guard, 0 neutral, -1 under or playing guard
 * @param paid whether a higher place of this control has been left downward, so that going up again earns nothing
 */
public record ModelState(String group, int standing, boolean paid) implements Comparable<ModelState> {
    /** Standing apart, where every match begins. */
    public static final ModelState START = new ModelState("STD", 0, false);

    /** A class of positions with who is ahead: 1 ours, 0 nobody, -1 the other. */
    public static ModelState of(String group, int standing) {
        return new ModelState(group, standing, false);
    }

    /** The same seen by the other athlete. */
    public ModelState mirrored() {
        return new ModelState(group, -standing, paid);
    }

    /** The same with its points counted already, or not. */
    public ModelState paid(boolean now) {
        return new ModelState(group, standing, now);
    }

    /** Code, standing as {@code +}, {@code =} or {@code -}, and {@code *} when already paid. */
    public String key() {
        return group + sign() + (paid ? "*" : "");
    }

    /** @throws IllegalArgumentException when the text is not a key */
    public static ModelState ofKey(String key) {
        boolean paid = key.endsWith("*");
        String k = paid ? key.substring(0, key.length() - 1) : key;
        int standing = k.isEmpty() ? -1 : "-=+".indexOf(k.charAt(k.length() - 1));
        if (standing < 0 || k.length() < 2) {
            throw new IllegalArgumentException("'" + key + "' is no place");
        }
        return new ModelState(k.substring(0, k.length() - 1), standing - 1, paid);
    }

    /** As their keys, without making them. */
    @Override
    public int compareTo(ModelState o) {
        int byGroup = group.compareTo(o.group);
        if (byGroup != 0) {
            return byGroup;
        }
        int bySign = Character.compare(sign(), o.sign());
        return bySign != 0 ? bySign : Boolean.compare(paid, o.paid);
    }

    private char sign() {
        return standing > 0 ? '+' : standing < 0 ? '-' : '=';
    }
}
