package farglass.type;

import java.io.InputStream;

/** A shipped font file. */
public enum Typeface {
    SERIF("SourceSerif4_400Regular"),
    SERIF_SEMIBOLD("SourceSerif4_600SemiBold"),
    SANS("Barlow_400Regular"),
    SANS_MEDIUM("Barlow_500Medium"),
    SANS_SEMIBOLD("Barlow_600SemiBold"),
    CONDENSED("BarlowCondensed_400Regular"),
    CONDENSED_MEDIUM("BarlowCondensed_500Medium"),
    CONDENSED_SEMIBOLD("BarlowCondensed_600SemiBold");

    private final String file;

    Typeface(String file) {
        this.file = file;
    }

    /** The TrueType file; the caller closes it. */
    public InputStream open() {
        InputStream in = Typeface.class.getResourceAsStream(file + ".ttf");
        if (in == null) {
            throw new IllegalStateException("font file missing from the application: " + file);
        }
        return in;
    }
}
