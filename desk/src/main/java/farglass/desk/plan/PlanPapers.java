package farglass.desk.plan;

import farglass.desk.matchup.MeetingModel;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.matchup.gameplan.GamePage;
import farglass.store.json.GamePageJson;
import farglass.store.json.OwnPlanJson;
import farglass.work.publish.PlanPublication;
import java.io.File;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** What is written of the open plan: a page, the corner card, the document. */
public final class PlanPapers {
    private final Desk desk;
    private final MeetingModel model;
    private final OwnPlanModel own;
    private final Supplier<Window> window;

    /** @param window over which it is asked where to write */
    PlanPapers(Desk desk, MeetingModel model, OwnPlanModel own, Supplier<Window> window) {
        this.desk = desk;
        this.model = model;
        this.own = own;
        this.window = window;
    }

    private Optional<Path> target(String ending) {
        FileChooser chooser = new FileChooser();
        chooser.setInitialFileName(desk.plan().get().id() + ending);
        File file = chooser.showSaveDialog(window.get());
        return Optional.ofNullable(file).map(File::toPath);
    }

    /** @param forks whether the page of forks is meant; without a proposal there is no other */
    void choosePdf(boolean forks) {
        target(".pdf").ifPresent(forks || model.proposal().get() == null ? this::writePdf : this::writePage);
    }

    void chooseCard() {
        if (model.proposal().get() == null) {
            desk.notices().done(Words.of("plan.card.none"));
            return;
        }
        target(".corner.pdf").ifPresent(this::writeCard);
    }

    /** Writes the corner card of the proposal, A4 when the name ends in -a4.pdf, else A5. */
    public void writeCard(Path path) {
        desk.publisher().file(path, publication().card(gamePage(), occasion()));
    }

    void chooseJson() {
        target(".plan.json").ifPresent(this::writeJson);
    }

    /** Writes the game plan on a page, with our own plan where one is laid; the outcome is told in a notice. */
    public void writePage(Path path) {
        desk.publisher().file(path, publication().page(gamePage(), occasion()));
    }

    /** The page as it is now; null while there is no proposal. */
    GamePage gamePage() {
        if (model.proposal().get() == null) {
            return null;
        }
        OwnPlanModel.Known k = own.known().get();
        return model.pages()
                .page(
                        model.proposal().get(),
                        model.game(),
                        k == null ? null : k.plan(),
                        desk.plan().get().calls());
    }

    /** Writes the forks on a page; the outcome is told in a notice. */
    public void writePdf(Path path) {
        desk.publisher().file(path, publication().page(occasion()));
    }

    /** Writes the open document; the outcome is told in a notice. */
    public void writeJson(Path path) {
        desk.publisher().file(path, publication().document(computed()));
    }

    /** The page and what our own plan is worth, as far as they are worked out. */
    private Map<String, Object> computed() {
        Map<String, Object> m = new LinkedHashMap<>();
        OwnPlanModel.Known k = own.known().get();
        if (model.proposal().get() != null) {
            m.put("page", GamePageJson.rows(gamePage()));
        }
        if (k != null) {
            m.put("own", new OwnPlanJson(model.writer().own(), k.model()).row(k.plan()));
        }
        return m;
    }

    private PlanPublication publication() {
        return new PlanPublication(desk.material(), desk.plan().get());
    }

    private String occasion() {
        return PlanPublication.occasion(desk.assignment().get(), desk.rulesets().get());
    }
}
