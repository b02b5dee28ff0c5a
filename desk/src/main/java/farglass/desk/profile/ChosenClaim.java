package farglass.desk.profile;

import farglass.desk.claim.ClaimActions;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.plan.PinnedClaim;
import farglass.profile.Claim;
import farglass.stats.Trial;
import farglass.tendency.Filter;
import farglass.work.publish.Cut;
import farglass.work.publish.ReelPublication;
import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.stage.FileChooser;

/** What is done with a claim of the profile in sight. */
public final class ChosenClaim implements ClaimActions {
    private final Desk desk;
    private final ClipView clip;
    private final Supplier<Filter> counted;
    private final Consumer<Function<Runnable, Node>> lay;

    /**
     * @param counted the filter that the claims in sight were counted in
     * @param lay lays a sheet over the station, made with what puts it away
     */
    ChosenClaim(Desk desk, ClipView clip, Supplier<Filter> counted, Consumer<Function<Runnable, Node>> lay) {
        this.desk = desk;
        this.clip = clip;
        this.counted = counted;
        this.lay = lay;
    }

    @Override
    public String describe(Trial t) {
        return clip.describe(t);
    }

    @Override
    public void play(Trial t) {
        clip.play(t);
    }

    @Override
    public void playAll(Claim c) {
        clip.playAll(c.trials());
    }

    @Override
    public void pin(Claim c) {
        if (hasPlan()) {
            String who = desk.profiled().get();
            PinnedClaim pinned = PinnedClaim.of(who, c, desk.claimWriter(), counted.get());
            desk.changePlan(p -> p.isPinned(who, c.id()) ? p.unpin(pinned) : p.pin(pinned));
        }
    }

    @Override
    public void judge(Claim c) {
        if (hasPlan()) {
            lay.accept(close -> new JudgeSheet(desk, c, close));
        }
    }

    @Override
    public void reel(Claim c) {
        FileChooser chooser = new FileChooser();
        chooser.setInitialFileName(desk.profiled().get() + "." + c.id() + ".mp4");
        File file = chooser.showSaveDialog(clip.getScene().getWindow());
        if (file != null) {
            writeReel(c, file.toPath());
        }
    }

    /** Writes the moments of a claim as a film; the outcome is told in a notice. */
    public void writeReel(Claim c, Path target) {
        List<Cut> cuts =
                c.trials().stream().map(t -> Cut.of(t.tag().match(), t.index())).toList();
        desk.publisher()
                .export(
                        Words.of("reel.writing"),
                        target,
                        new ReelPublication(desk.material(), desk.claimWriter().sentence(c), cuts, true));
    }

    boolean hasPlan() {
        if (desk.plan().get() == null) {
            desk.notices().done(Words.of("claim.no-plan"));
            return false;
        }
        return true;
    }
}
