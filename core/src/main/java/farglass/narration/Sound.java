package farglass.narration;

/** Whether words sound alike: what a recogniser writes wrong it mostly hears right. */
final class Sound {
    private static final String UNHEARD = "aeiouyhw";
    /** Consonants that are easily taken for one another, and what stands for them. */
    private static final String SIMILAR = "qckzsdtbpvfgj";

    private static final String FOR = "kkkssttppffjj";
    private static final int SHORTEST = 4;
    private static final int FURTHER = 2;

    private Sound() {}

    /**
     * The same consonants in the same order, the same letter first, of nearly the same length.
     *
     * @param consonants that there must be at least
     * @param ending whether the last of them must be heard too: of a name it often is not
     */
    static boolean alike(String said, String name, int consonants, boolean ending) {
        String heard = consonants(name, ending);
        return said.length() >= SHORTEST
                && said.charAt(0) == name.charAt(0)
                && Math.abs(said.length() - name.length()) <= FURTHER
                && heard.length() >= consonants
                && heard.equals(consonants(said, ending));
    }

    private static String consonants(String word, boolean ending) {
        StringBuilder heard = new StringBuilder();
        for (int i = 0; i < word.length(); i++) {
            char c = word.charAt(i);
            int at = SIMILAR.indexOf(c);
            char like = at < 0 ? c : FOR.charAt(at);
            boolean again = !heard.isEmpty() && heard.charAt(heard.length() - 1) == like;
            if (UNHEARD.indexOf(c) < 0 && !again) {
                heard.append(like);
            }
        }
        int last = heard.length() - 1;
        if (!ending && last > 1 && heard.charAt(last) == 't') {
            heard.setLength(last);
        }
        return heard.toString();
    }
}
