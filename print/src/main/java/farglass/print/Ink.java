package farglass.print;

import java.awt.Color;

/** The colours of paper: as on screen, a little darker where thin type is set in them. */
final class Ink {
    static final Color INK = new Color(0x1b2a34);
    static final Color SOFT = new Color(0x5b6a72);
    static final Color RULE = new Color(0xd9cfbb);
    static final Color OURS = new Color(0x9a5408);
    static final Color THEIRS = new Color(0x0c6b76);
    static final Color OURS_WASH = new Color(0xf0d9b8);
    static final Color THEIRS_WASH = new Color(0xc4dede);
    static final Color ALARM = new Color(0xa63d2a);

    private Ink() {}

    /** A colour laid thinly on white: {@code share} of it, 0 to 1. */
    static Color thin(Color c, double share) {
        return new Color(mix(c.getRed(), share), mix(c.getGreen(), share), mix(c.getBlue(), share));
    }

    private static int mix(int channel, double share) {
        return (int) Math.round(255 - (255 - channel) * share);
    }
}
