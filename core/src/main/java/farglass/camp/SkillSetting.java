package farglass.camp;

/**
 * What a team takes for true of training one skill.
 *
 * @param gain relative change of its figures that endless training would bring, 0..1
 * @param scaleMinutes minutes after which 63 % of that is reached, positive
 * @param leastMinutes minutes it gets whatever it is worth, not negative
 * @param left whether it is left out
 */
public record SkillSetting(double gain, double scaleMinutes, int leastMinutes, boolean left) {
    public static final SkillSetting USUAL = new SkillSetting(0.10, 120, 0, false);

    public SkillSetting {
        if (!(gain >= 0 && gain <= 1)) {
            throw new IllegalArgumentException("gain (" + gain + ") must lie in 0..1");
        }
        if (!(scaleMinutes > 0)) {
            throw new IllegalArgumentException("scale (" + scaleMinutes + " minutes) must be positive");
        }
        if (leastMinutes < 0) {
            throw new IllegalArgumentException("least minutes (" + leastMinutes + ") must not be negative");
        }
    }

    /** The same with another share of the gap that training can close, 0..1. */
    public SkillSetting gain(double g) {
        return new SkillSetting(g, scaleMinutes, leastMinutes, left);
    }

    /** The same with least minutes. */
    public SkillSetting least(int minutes) {
        return new SkillSetting(gain, scaleMinutes, minutes, left);
    }

    /** The same left out of the camp, or taken in again. */
    public SkillSetting left(boolean out) {
        return new SkillSetting(gain, scaleMinutes, leastMinutes, out);
    }
}
