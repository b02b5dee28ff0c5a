package farglass.film.studio;

import java.util.EnumMap;
import java.util.Map;

/** The joints of one figure. */
final class Body {
    static final double UPPER_ARM = 0.29;
    static final double FOREARM = 0.27;
    static final double THIGH = 0.43;
    static final double SHIN = 0.42;
    private static final double SHOULDER = 0.19;
    private static final double HIP = 0.12;

    /** Joints; elbows and knees follow from the others. */
    enum Joint {
        HIP,
        NECK,
        HEAD,
        LS,
        RS,
        LH,
        RH,
        LE,
        RE,
        LF,
        RF,
        LK,
        RK,
        LHIP,
        RHIP
    }

    private final Map<Joint, Vec> at;

    private Body(Map<Joint, Vec> at) {
        this.at = at;
    }

    /**
     * @param lateral unit direction from the left to the right of the figure
     * @param forward unit direction that knees and elbows bend by
     */
    static Body of(Vec hip, Vec neck, Vec head, Vec lh, Vec rh, Vec lf, Vec rf, Vec lateral, Vec forward) {
        Map<Joint, Vec> at = new EnumMap<>(Joint.class);
        at.put(Joint.HIP, hip);
        at.put(Joint.NECK, neck);
        at.put(Joint.HEAD, head);
        Vec shoulder = neck.towards(hip, 0.12);
        at.put(Joint.LS, shoulder.minus(lateral.times(SHOULDER)));
        at.put(Joint.RS, shoulder.plus(lateral.times(SHOULDER)));
        at.put(Joint.LHIP, hip.minus(lateral.times(HIP)));
        at.put(Joint.RHIP, hip.plus(lateral.times(HIP)));
        limb(at, Joint.LS, Joint.LE, Joint.LH, lh, UPPER_ARM, FOREARM, new Vec(0, -0.6, 0).minus(forward.times(0.5)));
        limb(at, Joint.RS, Joint.RE, Joint.RH, rh, UPPER_ARM, FOREARM, new Vec(0, -0.6, 0).minus(forward.times(0.5)));
        Vec knees = forward.plus(new Vec(0, 0.8, 0));
        limb(at, Joint.LHIP, Joint.LK, Joint.LF, lf, THIGH, SHIN, knees.minus(lateral.times(0.4)));
        limb(at, Joint.RHIP, Joint.RK, Joint.RF, rf, THIGH, SHIN, knees.plus(lateral.times(0.4)));
        return new Body(at);
    }

    /**
     * Two bones from root to target: the end comes as near as they reach, the joint between bends towards {@code pole}.
     */
    private static void limb(
            Map<Joint, Vec> at, Joint root, Joint middle, Joint end, Vec target, double upper, double lower, Vec pole) {
        Vec from = at.get(root);
        Vec way = target.minus(from);
        double reach = Math.min(way.length(), (upper + lower) * 0.999);
        reach = Math.max(reach, Math.abs(upper - lower) + 0.02);
        Vec direction = way.unit();
        double along = (upper * upper - lower * lower + reach * reach) / (2 * reach);
        double out = Math.sqrt(Math.max(0, upper * upper - along * along));
        Vec bend = pole.minus(direction.times(pole.dot(direction))).unit();
        Vec joint = from.plus(direction.times(along)).plus(bend.times(out));
        Vec tip = from.plus(direction.times(reach));
        at.put(middle, joint.y() < 0.05 ? new Vec(joint.x(), 0.05, joint.z()) : joint);
        at.put(end, tip.y() < 0.03 ? new Vec(tip.x(), 0.03, tip.z()) : tip);
    }

    Vec get(Joint j) {
        return at.get(j);
    }

    /** The figure on the way to another, 0..1. */
    Body towards(Body other, double share) {
        Map<Joint, Vec> between = new EnumMap<>(Joint.class);
        at.forEach((j, v) -> between.put(j, v.towards(other.at.get(j), share)));
        return new Body(between);
    }

    Body moved(Vec by) {
        Map<Joint, Vec> moved = new EnumMap<>(Joint.class);
        at.forEach((j, v) -> moved.put(j, v.plus(by)));
        return new Body(moved);
    }

    /** Mirrored across the length of the mat, left and right exchanged. */
    Body mirrored() {
        Map<Joint, Vec> m = new EnumMap<>(Joint.class);
        at.forEach((j, v) -> m.put(twin(j), new Vec(v.x(), v.y(), -v.z())));
        return new Body(m);
    }

    private static Joint twin(Joint j) {
        return switch (j) {
            case LS -> Joint.RS;
            case RS -> Joint.LS;
            case LH -> Joint.RH;
            case RH -> Joint.LH;
            case LE -> Joint.RE;
            case RE -> Joint.LE;
            case LF -> Joint.RF;
            case RF -> Joint.LF;
            case LK -> Joint.RK;
            case RK -> Joint.LK;
            case LHIP -> Joint.RHIP;
            case RHIP -> Joint.LHIP;
            default -> j;
        };
    }
}
