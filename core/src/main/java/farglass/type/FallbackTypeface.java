package farglass.type;

import java.io.InputStream;

/** Shipped font files for letters that the application's own faces lack, in the order in which they are asked. */
public enum FallbackTypeface {
    /** Greek, Cyrillic, Hebrew, Arabic, Armenian, Georgian and signs. */
    WEST("DejaVuSans"),
    /** Korean. */
    KOREAN("NanumSquareR"),
    /** Chinese and Japanese. */
    EAST("DroidSansFallbackFull");

    private final String file;

    FallbackTypeface(String file) {
        this.file = file;
    }

    /** The TrueType file; the caller closes it. */
    public InputStream open() {
        InputStream in = FallbackTypeface.class.getResourceAsStream(file + ".ttf");
        if (in == null) {
            throw new IllegalStateException("font file missing from the application: " + file);
        }
        return in;
    }
}
