package farglass.film.studio;

/**
 * A point or direction in metres: x along the mat, y up, z towards the first camera.
 */
record Vec(double x, double y, double z) {
    Vec plus(Vec o) {
        return new Vec(x + o.x, y + o.y, z + o.z);
    }

    Vec minus(Vec o) {
        return new Vec(x - o.x, y - o.y, z - o.z);
    }

    Vec times(double f) {
        return new Vec(x * f, y * f, z * f);
    }

    double dot(Vec o) {
        return x * o.x + y * o.y + z * o.z;
    }

    double length() {
        return Math.sqrt(dot(this));
    }

    Vec unit() {
        double l = length();
        return l < 1e-9 ? new Vec(0, 1, 0) : times(1 / l);
    }

    Vec towards(Vec o, double share) {
        return plus(o.minus(this).times(share));
    }

    /** Turned about the vertical by degrees, then moved. */
    Vec placed(double yaw, double dx, double dy, double dz) {
        double a = Math.toRadians(yaw);
        return new Vec(x * Math.cos(a) + z * Math.sin(a) + dx, y + dy, -x * Math.sin(a) + z * Math.cos(a) + dz);
    }
}
