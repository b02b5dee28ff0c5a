package farglass.stats;

/**
 * One number less another, with its interval from the two numbers' own (method of variance estimates recovery: Newcombe
 * 1998, method 10; Zou and Donner 2008). It holds for proportions, rates and times alike.
 *
 * @param value a - b
 * @param lo lower end of the 90 % interval
 * @param hi upper end
 * @param grade the weaker of the two
 */
public record Difference(double value, double lo, double hi, Grade grade) {
    /** How far two independent estimates lie apart. */
    public static Difference of(Estimate a, Estimate b) {
        double d = a.mean() - b.mean();
        double down = Math.hypot(a.mean() - a.lo(), b.hi() - b.mean());
        double up = Math.hypot(a.hi() - a.mean(), b.mean() - b.lo());
        Grade weaker = a.grade().compareTo(b.grade()) > 0 ? a.grade() : b.grade();
        return new Difference(d, d - down, d + up, weaker);
    }

    /** Whether the interval leaves 0 out. */
    public boolean clear() {
        return lo > 0 || hi < 0;
    }
}
