package farglass.film.studio;

import farglass.film.studio.Body.Joint;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** The pose of every position, from {@code poses.txt}, where their notation is explained. */
final class Poses {
    private final Map<String, double[]> templates = new HashMap<>();
    private final Map<String, Pair> pairs = new HashMap<>();

    /** Two figures; the first is the holder, the athlete on top of a guard, or athlete A. */
    record Pair(Body first, Body second) {
        Pair towards(Pair other, double share) {
            return new Pair(first.towards(other.first, share), second.towards(other.second, share));
        }

        Pair mirrored() {
            return new Pair(first.mirrored(), second.mirrored());
        }

        Pair swapped() {
            return new Pair(second, first);
        }
    }

    Poses() {
        try (BufferedReader in = new BufferedReader(
                new InputStreamReader(Poses.class.getResourceAsStream("poses.txt"), StandardCharsets.UTF_8))) {
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                read(line.strip());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void read(String line) {
        if (line.isEmpty() || line.startsWith("#")) {
            return;
        }
        if (line.startsWith("template ")) {
            String[] w = line.split("\\s+");
            double[] values = new double[w.length - 2];
            for (int i = 0; i < values.length; i++) {
                values[i] = Double.parseDouble(w[i + 2]);
            }
            templates.put(w[1], values);
            return;
        }
        String[] parts = line.split("\\|", -1);
        Map<String, Map<Joint, Vec>> links = new HashMap<>();
        Figure first = new Figure(parts[1].strip());
        Figure second = new Figure(parts[2].strip());
        Body a = first.body(Map.of());
        Body b = second.body(Map.of());
        // links aim at where the other stood before; two rounds settle hands that hold hands
        for (int round = 0; round < 2; round++) {
            links.clear();
            for (String link : parts[3].strip().split("\\s+")) {
                if (!link.isEmpty()) {
                    aim(link, a, b, links);
                }
            }
            a = first.body(links.getOrDefault("1", Map.of()));
            b = second.body(links.getOrDefault("2", Map.of()));
        }
        pairs.put(parts[0].strip(), new Pair(a, b));
    }

    private static void aim(String link, Body a, Body b, Map<String, Map<Joint, Vec>> links) {
        String[] ends = link.split(">");
        Joint to = Joint.valueOf(ends[1].substring(2).toUpperCase(Locale.ROOT));
        Vec target = (ends[1].startsWith("1") ? a : b).get(to);
        Joint end = Joint.valueOf(ends[0].substring(2).toUpperCase(Locale.ROOT));
        links.computeIfAbsent(ends[0].substring(0, 1), k -> new EnumMap<>(Joint.class))
                .put(end, target);
    }

    /** A placed template. */
    private final class Figure {
        private final double[] t;
        private final double x;
        private final double z;
        private final double yaw;
        private final double lift;

        Figure(String text) {
            String[] w = text.split("\\s+");
            t = templates.get(w[0]);
            if (t == null) {
                throw new IllegalStateException("no pose template " + w[0]);
            }
            x = Double.parseDouble(w[1]);
            z = Double.parseDouble(w[2]);
            yaw = Double.parseDouble(w[3]);
            lift = w.length > 4 ? Double.parseDouble(w[4]) : 0;
        }

        private Vec point(double px, double py, double pz) {
            return new Vec(px, py, pz).placed(yaw, x, lift, z);
        }

        Body body(Map<Joint, Vec> aimed) {
            Vec zero = new Vec(0, 0, 0);
            Vec lf = knee(aimed, Joint.LK, aimed.getOrDefault(Joint.LF, point(t[12], t[13], t[14])));
            Vec rf = knee(aimed, Joint.RK, aimed.getOrDefault(Joint.RF, point(t[15], t[16], t[17])));
            return Body.of(
                    point(t[0], t[1], 0),
                    point(t[2], t[3], 0),
                    point(t[4], t[5], 0),
                    aimed.getOrDefault(Joint.LH, point(t[6], t[7], t[8])),
                    aimed.getOrDefault(Joint.RH, point(t[9], t[10], t[11])),
                    lf,
                    rf,
                    new Vec(0, 0, 1).placed(yaw, 0, 0, 0).minus(zero),
                    new Vec(1, 0, 0).placed(yaw, 0, 0, 0).minus(zero));
        }

        /** A knee laid on a spot: the foot goes a shin's length below and behind it. */
        private Vec knee(Map<Joint, Vec> aimed, Joint knee, Vec foot) {
            Vec target = aimed.get(knee);
            return target == null ? foot : target.plus(new Vec(-0.25, -0.2, 0).placed(yaw, 0, 0, 0));
        }
    }

    Set<String> codes() {
        return pairs.keySet();
    }

    /** The pose of a position; of a scramble when the code is not known. */
    Pair of(String code) {
        Pair pair = pairs.get(code);
        return pair == null ? pairs.get("SCR") : pair;
    }
}
