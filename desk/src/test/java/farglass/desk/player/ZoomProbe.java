package farglass.desk.player;

/** What a zoom tells the view it belongs to, for tests. */
public final class ZoomProbe {
    private ZoomProbe() {}

    /** Where a picture so long begins in a view so long. */
    public static double begin(Zoom zoom, double view, double picture) {
        return zoom.begin(view, picture, zoom.x());
    }
}
