package farglass.film.score;

import farglass.film.Box;
import farglass.film.text.TextLine;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;

/**
 * Characters that stand together in a line of text. A graphic has its names, points and clock in one line, which the
 * network reads as one; they are told apart by the distance of their characters.
 *
 * @param line its characters, places counted from its own left end
 * @param box round its characters, in pixels of the picture
 */
public record Word(TextLine line, Box box) {
    /** Characters whose middles are further apart than this share of the line's height belong to two words. */
    private static final double GAP = 0.95;
    /** Letters that are nearer belong to one name. */
    private static final double NAME_GAP = 2;
    /** Two digits further apart than others of the line by this factor are of two numbers. */
    private static final double WIDER = 1.5;
    /** Digits are not closer than this, even where the network says so. */
    private static final double LEAST_PITCH = 0.3;
    /** A colon stands apart from its digits in wide typefaces. */
    private static final double COLON_GAP = 1.2;
    /** Half the width of a character, as a share of the line's height. */
    private static final double HALF = 0.42;
    /** What a network that knows all scripts reads for a nought that stands alone. */
    private static final String NOUGHTS = "oODQC口日回□〇";
    /** What it reads for a lone one. */
    private static final String ONES = "lI|i!丨";

    /** What it reads for a corner of the ground. */
    private static final String CORNERS = "[\\]\\['\"¥]";

    private static final int LEAST_LETTERS = 2;
    private static final int LEAST_NAME = 3;

    /** The words of a line, from left to right. */
    public static List<Word> of(TextLine line, Box box) {
        List<Word> words = new ArrayList<>();
        int from = -1;
        int last = -1;
        for (int i = 0; i < line.text().length(); i++) {
            if (Character.isWhitespace(line.text().charAt(i))) {
                continue;
            }
            if (from >= 0 && (parted(line, box, last, i) || (i - last > 1 && headings(line.text(), from, last, i)))) {
                words.add(word(line, box, from, last));
                from = -1;
            }
            from = from < 0 ? i : from;
            last = i;
        }
        if (from >= 0) {
            words.add(word(line, box, from, last));
        }
        return words;
    }

    /** Whether what ends before a space, and what begins after it, are headings of two columns. */
    private static boolean headings(String text, int from, int last, int at) {
        String next = text.substring(at).split("\\s", 2)[0];
        return ScoreKind.of(text.substring(from, last + 1)).isPresent()
                && ScoreKind.of(next).isPresent();
    }

    private static boolean parted(TextLine line, Box box, int before, int at) {
        double distance = distance(line, box, before, at);
        char a = line.text().charAt(before);
        char b = line.text().charAt(at);
        if (a == ':' || b == ':') {
            return distance > COLON_GAP;
        }
        boolean after = at - before > 1;
        if (Character.isAlphabetic(a) && (Character.isDigit(b) || (after && lone(line, at)))) {
            // a number right after a name
            return true;
        }
        if (ofName(a) && ofName(b)) {
            return distance > NAME_GAP;
        }
        boolean digits = Character.isDigit(a) && Character.isDigit(b);
        return distance > GAP || (digits && distance > WIDER * pitch(line, box));
    }

    private static boolean ofName(char c) {
        return Character.isAlphabetic(c) || ".-'".indexOf(c) >= 0;
    }

    /** Whether a character at the end of a line is a nought that was taken for a letter. */
    private static boolean lone(TextLine line, int at) {
        return at == line.text().length() - 1 && NOUGHTS.indexOf(line.text().charAt(at)) >= 0;
    }

    /** Distance of two characters as a share of the line's height. */
    private static double distance(TextLine line, Box box, int before, int at) {
        return (line.at().get(at) - line.at().get(before)) * box.width() / box.height();
    }

    /** The smallest distance of two digits in a line; where numbers stand close, it tells them apart. */
    private static double pitch(TextLine line, Box box) {
        double least = LEAST_PITCH;
        for (int i = 1; i < line.text().length(); i++) {
            if (Character.isDigit(line.text().charAt(i - 1))
                    && Character.isDigit(line.text().charAt(i))) {
                double d = distance(line, box, i - 1, i);
                least = least == LEAST_PITCH ? Math.max(d, LEAST_PITCH) : Math.max(LEAST_PITCH, Math.min(least, d));
            }
        }
        return least;
    }

    private static Word word(TextLine line, Box box, int from, int to) {
        double half = HALF * box.height();
        double left = Math.max(box.x(), box.x() + line.at().get(from) * box.width() - half);
        double right =
                Math.min((double) box.x() + box.width(), box.x() + line.at().get(to) * box.width() + half);
        int x = (int) Math.floor(left);
        Box own = new Box(x, box.y(), Math.max(1, (int) Math.ceil(right) - x), box.height());
        List<Double> at = new ArrayList<>();
        for (int i = from; i <= to; i++) {
            at.add(within(box.x() + line.at().get(i) * box.width(), own));
        }
        return new Word(new TextLine(line.text().substring(from, to + 1), line.confidence(), at), own);
    }

    private static double within(double x, Box box) {
        return Math.max(0, Math.min(1, (x - box.x()) / box.width()));
    }

    /** The same where its line was read with room above and below: so many times higher than its text. */
    Word lower(double room) {
        int high = Math.max(1, (int) Math.round(box.height() / room));
        return new Word(line, new Box(box.x(), box.y() + (box.height() - high) / 2, box.width(), high));
    }

    public String text() {
        return line.text();
    }

    /** Mean chance of the characters of the line that it was read in, 0..1. */
    public double confidence() {
        return line.confidence();
    }

    /** Whether the last sign of a text may be a nought. */
    static boolean endsWithNought(String text) {
        return !text.isEmpty() && NOUGHTS.indexOf(text.charAt(text.length() - 1)) >= 0;
    }

    /** The signs at the end of a name that may be noughts which stand right after it: "KELLIVARO", "TOLENDT B.OO". */
    List<Word> noughts() {
        List<Word> noughts = new ArrayList<>();
        for (int last = text().length() - 1;
                letters() && last >= LEAST_NAME && endsWithNought(text().substring(0, last + 1));
                last--) {
            noughts.add(word(line, box, last, last));
        }
        return noughts;
    }

    /** Whether it can be part of a name: letters, with at most a few other signs between. */
    boolean letters() {
        long letters = text().chars().filter(Character::isAlphabetic).count();
        boolean most = letters >= LEAST_LETTERS && 3 * letters >= 2L * text().length();
        return most || text().matches("\\p{L}\\.?");
    }

    /**
     * The number that it can be, 0 to 99; a lone nought or one is often read as a letter or a sign, and a corner of the
     * ground beside it as another.
     */
    OptionalInt number() {
        String bare = text().length() == 2 ? text().replaceAll(CORNERS, "") : text();
        if (bare.matches("[0-9]{1,2}")) {
            return OptionalInt.of(Integer.parseInt(bare));
        }
        if (bare.length() == 1 && NOUGHTS.contains(bare)) {
            return OptionalInt.of(0);
        }
        return bare.length() == 1 && ONES.contains(bare) ? OptionalInt.of(1) : OptionalInt.empty();
    }
}
