package farglass.film.studio;

/** A camera beside the mat, looking at its middle. */
final class Camera {
    private static final double DISTANCE = 4.6;
    private static final double FOCAL = 1.5;
    private static final Vec AIM = new Vec(0, 0.45, 0);

    private final Vec eye;
    private final Vec right;
    private final Vec up;
    private final Vec ahead;
    private final double width;
    private final double height;

    /**
     * @param azimuth degrees round the mat; 0 looks along -z
     * @param elevation degrees above the mat
     */
    Camera(double azimuth, double elevation, double width, double height) {
        double a = Math.toRadians(azimuth);
        double e = Math.toRadians(elevation);
        eye = new Vec(
                        Math.sin(a) * Math.cos(e) * DISTANCE,
                        Math.sin(e) * DISTANCE,
                        Math.cos(a) * Math.cos(e) * DISTANCE)
                .plus(AIM);
        ahead = AIM.minus(eye).unit();
        right = cross(ahead, new Vec(0, 1, 0)).unit();
        up = cross(right, ahead);
        this.width = width;
        this.height = height;
    }

    private static Vec cross(Vec a, Vec b) {
        return new Vec(a.y() * b.z() - a.z() * b.y(), a.z() * b.x() - a.x() * b.z(), a.x() * b.y() - a.y() * b.x());
    }

    /** Depth in metres along the line of sight. */
    double depth(Vec p) {
        return p.minus(eye).dot(ahead);
    }

    /** Pixels per metre at a point. */
    double scale(Vec p) {
        return height * FOCAL / Math.max(0.3, depth(p));
    }

    double x(Vec p) {
        return width / 2 + p.minus(eye).dot(right) * scale(p);
    }

    double y(Vec p) {
        return height * 0.56 - p.minus(eye).dot(up) * scale(p);
    }
}
