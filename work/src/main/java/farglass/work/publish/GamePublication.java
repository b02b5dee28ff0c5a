package farglass.work.publish;

import farglass.lexicon.Lexicon;
import farglass.print.GamePaper;
import farglass.scout.GameFigure;
import farglass.scout.GameSvg;
import farglass.scout.ReportWriter;
import farglass.store.WholeFile;
import farglass.text.Language;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Set;
import javax.imageio.ImageIO;

/** The game figure as a drawing (SVG), a page (PDF) or a picture (PNG). */
public final class GamePublication {
    private static final String AMBER = "#B4640B";
    private static final String TEAL = "#0C6B76";

    private GamePublication() {}

    /**
     * The target's ending says what: {@code .pdf}, {@code .png}, any other SVG.
     *
     * @param athlete id of whose game it is
     * @param name displayed
     * @param ours whether it is our own athlete's, who has the other colour
     */
    public static Publication of(GameFigure figure, String athlete, String name, Lexicon lexicon, boolean ours) {
        ReportWriter writer = new ReportWriter(Language.locale());
        GamePaper paper = new GamePaper(name, figure, writer, lexicon, ours);
        return Publication.file(Set.of(athlete), target -> {
            String file = target.getFileName().toString().toLowerCase(Locale.ROOT);
            if (file.endsWith(".pdf")) {
                paper.write(target);
            } else if (file.endsWith(".png")) {
                picture(paper, target);
            } else {
                WholeFile.write(target, GameSvg.of(figure, writer, lexicon, ours ? AMBER : TEAL));
            }
        });
    }

    private static void picture(GamePaper paper, Path target) throws IOException {
        var image = paper.picture();
        WholeFile.write(target, part -> ImageIO.write(image, "png", part.toFile()));
    }
}
