package farglass.scout;

import farglass.match.Side;
import farglass.profile.Claim;
import farglass.stats.SideBias;
import java.util.ArrayList;
import java.util.List;

/** To which side, where one is clearly preferred. */
final class SidesPart {
    private SidesPart() {}

    static List<Sentence> of(Known k) {
        List<Sentence> list = new ArrayList<>();
        for (String family : List.of("takedown", "guard-pull", "sweep", "pass", "submission")) {
            k.firm("side." + family).ifPresent(c -> {
                SideBias.Word word =
                        c.side() == null ? SideBias.Word.BOTH_SIDES : c.side().word();
                if (word == SideBias.Word.RIGHT_SIDED || word == SideBias.Word.LEFT_SIDED) {
                    Side side = word == SideBias.Word.RIGHT_SIDED ? Side.RIGHT : Side.LEFT;
                    list.add(sentence(family, side, c));
                }
            });
        }
        return list;
    }

    private static Sentence sentence(String family, Side side, Claim c) {
        return new Sentence.Builder("sides." + family)
                .say("sides." + family + "." + side.code(), c, Assertion.Says.MORE, Known.x(c), Known.n(c))
                .build();
    }
}
