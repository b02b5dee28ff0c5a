package farglass.print;

import com.ibm.icu.text.ArabicShaping;
import com.ibm.icu.text.ArabicShapingException;
import com.ibm.icu.text.Bidi;
import farglass.type.FallbackTypeface;
import farglass.type.Typeface;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/**
 * The typefaces of a document. Text is brought into the order in which it is seen and its Arabic letters are joined;
 * each letter is taken from the wanted face or, where that lacks it, from a fallback. A letter that no face has is an
 * empty box.
 */
final class Faces {
    /** A piece of text that one font has. */
    record Run(PDFont font, String text) {}

    private static final String BOX = "\u25a1";

    private final PDDocument document;
    private final Map<Typeface, PDFont> fonts = new EnumMap<>(Typeface.class);
    /** Opened when first needed: they are large. */
    private final Map<FallbackTypeface, PDFont> fallbacks = new EnumMap<>(FallbackTypeface.class);

    Faces(PDDocument document) {
        this.document = document;
    }

    private PDFont font(Typeface face) throws IOException {
        PDFont font = fonts.get(face);
        if (font == null) {
            try (InputStream in = face.open()) {
                font = load(in);
            }
            fonts.put(face, font);
        }
        return font;
    }

    private PDFont font(FallbackTypeface face) throws IOException {
        PDFont font = fallbacks.get(face);
        if (font == null) {
            try (InputStream in = face.open()) {
                font = load(in);
            }
            fallbacks.put(face, font);
        }
        return font;
    }

    private PDFont load(InputStream in) throws IOException {
        TrueTypeFont file = new TTFParser().parse(new RandomAccessReadBuffer(in));
        // a ligature has no letters of its own: what is copied or searched for would lose them
        file.setEnableGsub(false);
        return PDType0Font.load(document, file, true);
    }

    /** The text as pieces from left to right. */
    List<Run> runs(String text, Typeface face) throws IOException {
        List<Run> runs = new ArrayList<>();
        PDFont usual = font(face);
        PDFont current = usual;
        StringBuilder piece = new StringBuilder();
        int[] letters = visual(text).codePoints().toArray();
        for (int c : letters) {
            String letter = Character.toString(c);
            PDFont has = having(letter, usual);
            if (has == null) {
                letter = BOX;
                has = having(BOX, usual);
            }
            if (has != current && !piece.isEmpty()) {
                runs.add(new Run(current, piece.toString()));
                piece.setLength(0);
            }
            current = has;
            piece.append(letter);
        }
        if (!piece.isEmpty()) {
            runs.add(new Run(current, piece.toString()));
        }
        return runs;
    }

    private PDFont having(String letter, PDFont usual) throws IOException {
        if (has(usual, letter)) {
            return usual;
        }
        for (FallbackTypeface f : FallbackTypeface.values()) {
            if (has(font(f), letter)) {
                return font(f);
            }
        }
        return null;
    }

    private static boolean has(PDFont font, String letter) {
        try {
            font.encode(letter);
            return true;
        } catch (IOException | IllegalArgumentException e) {
            return false;
        }
    }

    /**
     * Letters in the order in which they are seen, Arabic ones in their joined forms; the Unicode Bidirectional
     * Algorithm (UAX 9).
     */
    static String visual(String text) {
        if (!Bidi.requiresBidi(text.toCharArray(), 0, text.length())) {
            return text;
        }
        try {
            String joined =
                    new ArabicShaping(ArabicShaping.LETTERS_SHAPE | ArabicShaping.LENGTH_GROW_SHRINK).shape(text);
            return new Bidi(joined, Bidi.DIRECTION_DEFAULT_LEFT_TO_RIGHT)
                    .writeReordered(Bidi.DO_MIRRORING | Bidi.REMOVE_BIDI_CONTROLS);
        } catch (ArabicShapingException e) {
            return text;
        }
    }
}
