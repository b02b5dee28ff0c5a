package farglass.film.studio;

import farglass.film.studio.Body.Joint;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Draws the mat and the two figures as one camera sees them. */
final class Painter {
    private static final Color HALL = new Color(0x3b4a50);
    private static final Color MAT_EDGE = new Color(0x5d7a83);
    private static final Color MAT = new Color(0x6f95a0);
    private static final Color INK = new Color(0x1b2a34);
    private static final Color SKIN = new Color(0xd9b08c);
    private static final double EDGE = 3.4;
    private static final double AREA = 2.6;

    private final Graphics2D g;
    private final Camera camera;

    Painter(Graphics2D g, Camera camera) {
        this.g = g;
        this.camera = camera;
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    }

    void mat(int width, int height) {
        g.setColor(HALL);
        g.fillRect(0, 0, width, height);
        square(EDGE, MAT_EDGE);
        square(AREA, MAT);
    }

    private void square(double half, Color colour) {
        Path2D path = new Path2D.Double();
        double[][] corners = {{-half, -half}, {half, -half}, {half, half}, {-half, half}};
        for (int i = 0; i < corners.length; i++) {
            Vec p = new Vec(corners[i][0], 0, corners[i][1] * 0.8);
            if (i == 0) {
                path.moveTo(camera.x(p), camera.y(p));
            } else {
                path.lineTo(camera.x(p), camera.y(p));
            }
        }
        path.closePath();
        g.setColor(colour);
        g.fill(path);
    }

    private record Part(double depth, Runnable draw) {}

    void figures(Body a, Color colourA, Body b, Color colourB) {
        List<Part> parts = new ArrayList<>();
        collect(parts, a, colourA);
        collect(parts, b, colourB);
        parts.sort(Comparator.comparingDouble(Part::depth).reversed());
        parts.forEach(p -> p.draw().run());
    }

    private void collect(List<Part> parts, Body body, Color gi) {
        limb(parts, body, gi, 0.15, Joint.LHIP, Joint.LK, 0);
        limb(parts, body, gi, 0.15, Joint.RHIP, Joint.RK, 0);
        limb(parts, body, gi, 0.12, Joint.LK, Joint.LF, 0.06);
        limb(parts, body, gi, 0.12, Joint.RK, Joint.RF, 0.06);
        limb(parts, body, gi, 0.11, Joint.LS, Joint.LE, 0);
        limb(parts, body, gi, 0.11, Joint.RS, Joint.RE, 0);
        limb(parts, body, gi, 0.09, Joint.LE, Joint.LH, 0.05);
        limb(parts, body, gi, 0.09, Joint.RE, Joint.RH, 0.05);
        Vec middle = body.get(Joint.NECK).towards(body.get(Joint.HIP), 0.5);
        parts.add(new Part(camera.depth(middle), () -> torso(body, gi)));
        Vec head = body.get(Joint.HEAD);
        parts.add(new Part(camera.depth(head) - 0.05, () -> ball(head, 0.12, SKIN)));
    }

    private void limb(List<Part> parts, Body body, Color gi, double thick, Joint from, Joint to, double end) {
        Vec a = body.get(from);
        Vec b = body.get(to);
        parts.add(new Part(camera.depth(a.towards(b, 0.5)), () -> {
            bone(a, b, thick, gi);
            if (end > 0) {
                ball(b, end, SKIN);
            }
        }));
    }

    private void bone(Vec a, Vec b, double thick, Color colour) {
        double w = thick * camera.scale(a.towards(b, 0.5));
        Line2D line = new Line2D.Double(camera.x(a), camera.y(a), camera.x(b), camera.y(b));
        stroke(line, w, colour);
    }

    private void stroke(java.awt.Shape shape, double w, Color colour) {
        g.setColor(INK);
        g.setStroke(new BasicStroke((float) (w + 3), BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        g.draw(shape);
        g.setColor(colour);
        g.setStroke(new BasicStroke((float) w, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        g.draw(shape);
    }

    private void torso(Body body, Color gi) {
        Path2D path = new Path2D.Double();
        Joint[] outline = {Joint.LS, Joint.RS, Joint.RHIP, Joint.LHIP};
        for (int i = 0; i < outline.length; i++) {
            Vec p = body.get(outline[i]);
            if (i == 0) {
                path.moveTo(camera.x(p), camera.y(p));
            } else {
                path.lineTo(camera.x(p), camera.y(p));
            }
        }
        path.closePath();
        double w = 0.13 * camera.scale(body.get(Joint.HIP));
        stroke(path, w, gi);
        g.fill(path);
        Vec l = body.get(Joint.LHIP).towards(body.get(Joint.LS), 0.15);
        Vec r = body.get(Joint.RHIP).towards(body.get(Joint.RS), 0.15);
        g.setColor(INK);
        g.setStroke(new BasicStroke((float) (0.05 * camera.scale(l))));
        g.draw(new Line2D.Double(camera.x(l), camera.y(l), camera.x(r), camera.y(r)));
    }

    private void ball(Vec p, double radius, Color colour) {
        double r = radius * camera.scale(p);
        Ellipse2D disc = new Ellipse2D.Double(camera.x(p) - r, camera.y(p) - r, 2 * r, 2 * r);
        g.setColor(colour);
        g.fill(disc);
        g.setColor(INK);
        g.setStroke(new BasicStroke(1.5f));
        g.draw(disc);
    }
}
