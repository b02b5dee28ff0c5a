package farglass.desk.debrief;

import farglass.desk.profile.ClipView;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.stats.TagRef;
import farglass.stats.Trial;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Rows of a debrief: a verdict, what it is about, its numbers, and the film of it. */
final class Lines {
    private static final double VERDICT = 104;

    private final ClipView clip;

    Lines(ClipView clip) {
        this.clip = clip;
    }

    /**
     * @param good true for a good end, false for a bad one, null for neither
     * @param trials may be empty
     */
    VBox row(String verdict, Boolean good, String what, String numbers, double indent, List<Trial> trials) {
        Label said = Ui.label(verdict, "verdict", good == null ? "soft" : good ? "held" : "weak");
        said.setMinWidth(VERDICT);
        Region space = new Region();
        space.setMinWidth(indent);
        HBox head = new HBox(8, said, space, Ui.grow(Ui.prose(what, "pinned-sentence")));
        head.setAlignment(Pos.CENTER_LEFT);
        if (!trials.isEmpty()) {
            Button play = Ui.button(Words.of("matchup.play", trials.size()), () -> clip.playAll(trials), "quiet");
            play.setMinWidth(Region.USE_PREF_SIZE);
            head.getChildren().add(play);
        }
        VBox box = new VBox(0, head);
        if (!numbers.isEmpty()) {
            Label below = Ui.prose(numbers, "claim-notes");
            below.setPadding(new javafx.geometry.Insets(0, 0, 0, VERDICT + indent + 16));
            box.getChildren().add(below);
        }
        return box;
    }

    /** Tags of a record as moments to play. */
    static List<Trial> trials(MatchRecord r, List<Integer> tags) {
        return tags.stream()
                .map(i -> new Trial(
                        new TagRef(r.id(), r.tagName(i)),
                        i,
                        r.tags().get(i).t(),
                        r.tags().get(i) instanceof Tag.Action a && a.completed(),
                        1,
                        false))
                .toList();
    }
}
