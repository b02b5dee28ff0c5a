package farglass.film;

import java.util.List;

/**
 * Brightness of a picture or a part of it.
 *
 * @param pixels row by row, 0..255 as unsigned bytes; not copied, not to be changed
 */
public record GrayPicture(int width, int height, byte[] pixels) {
    /** Noise covers fewer steps of brightness. */
    private static final int FLAT = 8;

    public int at(int x, int y) {
        return pixels[y * width + x] & 0xff;
    }

    /** Mean absolute difference of brightness, 0..255; both pictures have one size. */
    public double difference(GrayPicture other) {
        long sum = 0;
        for (int i = 0; i < pixels.length; i++) {
            sum += Math.abs((pixels[i] & 0xff) - (other.pixels[i] & 0xff));
        }
        return (double) sum / pixels.length;
    }

    /** The same at full contrast: its darkest hundredth black, its brightest white; as it is when it is flat. */
    public GrayPicture contrasted() {
        int[] counts = new int[256];
        for (byte b : pixels) {
            counts[b & 0xff]++;
        }
        int few = pixels.length / 100;
        int dark = 0;
        for (int n = counts[0]; n <= few; n += counts[dark]) {
            dark++;
        }
        int bright = 255;
        for (int n = counts[255]; n <= few; n += counts[bright]) {
            bright--;
        }
        if (bright - dark < FLAT) {
            return this;
        }
        byte[] stretched = new byte[pixels.length];
        for (int i = 0; i < stretched.length; i++) {
            int v = 255 * ((pixels[i] & 0xff) - dark) / (bright - dark);
            stretched[i] = (byte) Math.max(0, Math.min(255, v));
        }
        return new GrayPicture(width, height, stretched);
    }

    /** The mean of pictures of one size, at least one, pixel by pixel. */
    public static GrayPicture mean(List<GrayPicture> pictures) {
        GrayPicture first = pictures.get(0);
        byte[] mean = new byte[first.pixels.length];
        for (int i = 0; i < mean.length; i++) {
            int sum = 0;
            for (GrayPicture p : pictures) {
                sum += p.pixels[i] & 0xff;
            }
            mean[i] = (byte) (sum / pictures.size());
        }
        return new GrayPicture(first.width, first.height, mean);
    }

    /** The columns of this picture between two shares of its width, 0 to 1; at least one. */
    public GrayPicture across(double from, double to) {
        int left = Math.min(width - 1, (int) Math.round(from * width));
        int w = Math.max(1, Math.min(width, (int) Math.round(to * width)) - left);
        byte[] part = new byte[w * height];
        for (int y = 0; y < height; y++) {
            System.arraycopy(pixels, y * width + left, part, y * w, w);
        }
        return new GrayPicture(w, height, part);
    }

    /** The part of this picture inside a margin, each side by a share of its own length, 0 to 0.4. */
    public GrayPicture inside(double across, double down) {
        int left = (int) (across * width);
        int top = (int) (down * height);
        int w = width - 2 * left;
        int h = height - 2 * top;
        byte[] part = new byte[w * h];
        for (int y = 0; y < h; y++) {
            System.arraycopy(pixels, (top + y) * width + left, part, y * w, w);
        }
        return new GrayPicture(w, h, part);
    }
}
