package farglass.desk.player;

import farglass.film.reel.DrawingPainter;
import farglass.match.Drawing;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.util.List;
import javafx.geometry.Rectangle2D;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.layout.Pane;

/** Drawings laid over a film view, where its picture lies. */
public class Marks extends Pane {
    private final FilmView film;
    private final DrawingPainter painter;
    private final ImageView picture = new ImageView();
    private List<Drawing.Mark> shown = List.of();
    private Rectangle2D where = Rectangle2D.EMPTY;

    public Marks(FilmView film, DrawingPainter painter) {
        this.film = film;
        this.painter = painter;
        setMouseTransparent(true);
        picture.setManaged(false);
        getChildren().add(picture);
    }

    /** Shows these marks in place of those shown. */
    public final void show(List<Drawing.Mark> marks) {
        Rectangle2D p = film.pictureBounds();
        boolean same = marks.equals(shown) && p.equals(where) && !marks.isEmpty();
        picture.setVisible(!marks.isEmpty());
        if (!same && !marks.isEmpty() && getWidth() > 2 && getHeight() > 2) {
            picture.setImage(image(marks, p));
            shown = marks;
            where = p;
        } else if (marks.isEmpty()) {
            shown = List.of();
        }
    }

    private WritableImage image(List<Drawing.Mark> marks, Rectangle2D p) {
        int w = (int) getWidth();
        int h = (int) getHeight();
        BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_INT_ARGB_PRE);
        Graphics2D g = image.createGraphics();
        painter.paint(g, marks, p.getMinX(), p.getMinY(), p.getWidth(), p.getHeight());
        g.dispose();
        WritableImage drawn = new WritableImage(w, h);
        int[] pixels = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
        drawn.getPixelWriter().setPixels(0, 0, w, h, PixelFormat.getIntArgbPreInstance(), pixels, 0, w);
        return drawn;
    }
}
