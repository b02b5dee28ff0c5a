package farglass.text;

/**
 * Makes one harmless line of a text that may come from a file: a terminal or a page must not be steered by what a file
 * holds. Control characters (category Cc), format characters (Cf, which holds the marks that turn the direction of
 * writing), line and paragraph separators, private and unassigned characters become blanks; runs of blanks become one.
 */
public final class PlainLine {
    /** Characters of one message: it must fit a terminal's few lines and a notice. */
    public static final int MESSAGE = 290;

    private static final String CUT = "...";

    private PlainLine() {}

    /** The text as one line of at most {@link #MESSAGE} characters. */
    public static String message(String text) {
        return of(text, MESSAGE);
    }

    /**
     * @param text null counts as empty
     * @param most characters (UTF-16 units) of the line, more than 10; a longer one loses its middle, because the
     * beginning of a message names the thing and its end the way out
     */
    public static String of(String text, int most) {
        if (text == null) {
            return "";
        }
        // what is far longer than the line is cut before it is looked at
        String near = text.length() > 4 * most
                ? text.substring(0, 2 * most) + " " + text.substring(text.length() - 2 * most)
                : text;
        StringBuilder line = new StringBuilder();
        near.codePoints().forEach(c -> {
            boolean blank = Character.isWhitespace(c) || Character.isSpaceChar(c) || !shown(c);
            if (!blank) {
                line.appendCodePoint(c);
            } else if (!line.isEmpty() && line.charAt(line.length() - 1) != ' ') {
                line.append(' ');
            }
        });
        String plain = line.toString().strip();
        boolean cut = near.length() < text.length();
        if (plain.length() <= most && !cut) {
            return plain;
        }
        int head = Math.min(plain.length(), (most - CUT.length()) * 2 / 3);
        int tail = Math.max(head, plain.length() - (most - CUT.length() - head));
        // not through the middle of a character of two units
        if (head > 0 && Character.isHighSurrogate(plain.charAt(head - 1))) {
            head--;
        }
        if (tail < plain.length() && Character.isLowSurrogate(plain.charAt(tail))) {
            tail++;
        }
        return plain.substring(0, head) + CUT + plain.substring(tail);
    }

    private static boolean shown(int c) {
        return switch (Character.getType(c)) {
            case Character.CONTROL,
                    Character.FORMAT,
                    Character.SURROGATE,
                    Character.PRIVATE_USE,
                    Character.UNASSIGNED,
                    Character.LINE_SEPARATOR,
                    Character.PARAGRAPH_SEPARATOR -> false;
            default -> true;
        };
    }
}
