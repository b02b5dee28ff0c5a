package farglass.desk.film;

import farglass.desk.shell.Keys;
import farglass.film.Player;
import farglass.match.Drawing;
import farglass.time.MatchTime;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;

/** The keys of the film station. Keys that are letters or plain arrows hold only while the phrase line is empty. */
final class FilmKeys {
    private static final long FRAME_MS = 40;
    private final FilmStation station;
    private final Keys keys = new Keys();

    FilmKeys(FilmStation station) {
        this.station = station;
        BooleanSupplier idle = () -> station.phrase().isEmpty();
        BooleanSupplier inHand = () -> idle.getAsBoolean() && station.drafts().atWork();
        keys.on("Space", "keys.play", idle, this::toggle)
                .on("Ctrl+Space", "keys.play", this::toggle)
                .on("Right", "keys.frame.next", idle, () -> player(p -> p.step(1)))
                .on("Left", "keys.frame.previous", idle, () -> player(p -> p.step(-1)))
                .on("Shift+Right", "keys.second.next", idle, () -> jump(1000))
                .on("Shift+Left", "keys.second.previous", idle, () -> jump(-1000))
                .on("Ctrl+Right", "keys.five.next", idle, () -> jump(5000))
                .on("Ctrl+Left", "keys.five.previous", idle, () -> jump(-5000))
                .on(
                        "Up",
                        "keys.faster",
                        idle,
                        () -> station.film().speed(station.film().speed().get() * 2))
                .on(
                        "Down",
                        "keys.slower",
                        idle,
                        () -> station.film().speed(station.film().speed().get() / 2))
                .on("Comma", "keys.three.previous", idle, () -> jump(-3000))
                .on("Period", "keys.three.next", idle, () -> jump(3000))
                .on("Ctrl+L", "keys.loop", () -> station.looping().here())
                .on("Ctrl+Shift+L", "keys.loop.end", () -> station.looping().end())
                .on(
                        "Open Bracket",
                        "keys.loop.from",
                        idle,
                        () -> station.looping().beginHere())
                .on(
                        "Close Bracket",
                        "keys.loop.to",
                        idle,
                        () -> station.looping().endHere())
                .on(
                        "Shift+Open Bracket",
                        "keys.loop.from.earlier",
                        idle,
                        () -> station.looping().moveBegin(-1))
                .on(
                        "Ctrl+Open Bracket",
                        "keys.loop.from.later",
                        () -> station.looping().moveBegin(1))
                .on(
                        "Shift+Close Bracket",
                        "keys.loop.to.later",
                        idle,
                        () -> station.looping().moveEnd(1))
                .on(
                        "Ctrl+Close Bracket",
                        "keys.loop.to.earlier",
                        () -> station.looping().moveEnd(-1))
                .on("Slash", "keys.review", idle, () -> station.looping().review())
                .on("Equals", "keys.stopwatch", idle, station::stopwatch)
                .on("F2", "keys.sync.start", () -> station.sync(MatchTime.ZERO))
                .on(
                        "F4",
                        "keys.sync.end",
                        () -> station.sync(
                                MatchTime.ofMs(station.record().details().lengthMs())))
                .on("Ctrl+M", "keys.map", () -> station.clockFinder().begin())
                .on("Ctrl+Alt+M", "keys.map.box", () -> station.clockFinder().draw())
                .on("F11", "keys.scored", station::whatScored)
                .on("Alt+Down", "keys.scored.next", () -> station.scored().step(1))
                .on("Alt+Up", "keys.scored.previous", () -> station.scored().step(-1))
                .on("Alt+Enter", "keys.scored.take", () -> station.scored().take())
                .on("Alt+Shift+Enter", "keys.scored.all", () -> station.scored().takeAll())
                .on("Alt+1", "keys.draw.arrow", () -> draw(Drawing.Kind.ARROW))
                .on("Alt+2", "keys.draw.line", () -> draw(Drawing.Kind.LINE))
                .on("Alt+3", "keys.draw.ring", () -> draw(Drawing.Kind.RING))
                .on("Alt+4", "keys.draw.spotlight", () -> draw(Drawing.Kind.SPOTLIGHT))
                .on("Alt+5", "keys.draw.text", () -> draw(Drawing.Kind.TEXT))
                .on("Alt+0", "keys.draw.clear", () -> station.sketch().clear())
                .on("Alt+6", "keys.draw.angle", () -> draw(Drawing.Kind.ANGLE))
                .on("Alt+Page Up", "keys.draw.longer", () -> station.sketch().hold(1000))
                .on("Alt+Page Down", "keys.draw.shorter", () -> station.sketch().hold(-1000))
                .on("Ctrl+Equals", "keys.zoom.in", () -> station.film().zoom().near(1))
                .on("Ctrl+Minus", "keys.zoom.out", () -> station.film().zoom().near(-1))
                .on("Ctrl+0", "keys.zoom.whole", () -> station.film().zoom().whole())
                .on(
                        "Ctrl+Alt+Left",
                        "keys.zoom.left",
                        () -> station.film().zoom().pan(-1, 0))
                .on(
                        "Ctrl+Alt+Right",
                        "keys.zoom.right",
                        () -> station.film().zoom().pan(1, 0))
                .on("Ctrl+Alt+Up", "keys.zoom.up", () -> station.film().zoom().pan(0, -1))
                .on(
                        "Ctrl+Alt+Down",
                        "keys.zoom.down",
                        () -> station.film().zoom().pan(0, 1))
                .on("Alt+S", "keys.mute", station::mute)
                .on("Alt+A", "keys.angle", station::nextAngle)
                .on("Alt+Shift+A", "keys.angle.remove", () -> station.choice().remove())
                .on(
                        "Ctrl+Shift+M",
                        "keys.map.change",
                        () -> station.clockFinder().change())
                .on("F6", "keys.still", () -> station.sheets().keepStill())
                .on("F8", "keys.reel", () -> station.sheets().reel())
                .on("F9", "keys.pair", () -> station.sheets().pair())
                .on(
                        "F10",
                        "keys.talk",
                        () -> station.sheets().speak(station.phrase().field()))
                .on("Shift+F10", "keys.talk.write", () -> station.sheets().writeTalk())
                .on("F7", "keys.reaction", () -> station.sheets().measureReaction())
                .on("F5", "keys.pass", station::changePass)
                .on("F3", "keys.draft.next", station::next)
                .on("Shift+F3", "keys.draft.previous", () -> station.drafts().step(-1))
                .on("Ctrl+F3", "keys.skim", () -> station.skim().toggle())
                .on("F12", "keys.draft.sheet", () -> station.drafts().toggle())
                .on(
                        "Enter",
                        "keys.draft.take",
                        inHand,
                        () -> station.drafts().pass().take())
                .on(
                        "Ctrl+Enter",
                        "keys.draft.here",
                        inHand,
                        () -> station.drafts().pass().takeHere())
                .on(
                        "Shift+Enter",
                        "keys.draft.run",
                        inHand,
                        () -> station.drafts().pass().takeRun())
                .on(
                        "Delete",
                        "keys.draft.refuse",
                        inHand,
                        () -> station.drafts().pass().refuse())
                .on("Page Up", "keys.tag.previous", () -> step(-1))
                .on("Page Down", "keys.tag.next", () -> step(1))
                .on("Alt+Left", "keys.nudge.earlier", () -> station.edits().nudge(-FRAME_MS))
                .on("Alt+Right", "keys.nudge.later", () -> station.edits().nudge(FRAME_MS))
                .on(
                        "Alt+Shift+Left",
                        "keys.nudge.second.earlier",
                        () -> station.edits().nudge(-1000))
                .on(
                        "Alt+Shift+Right",
                        "keys.nudge.second.later",
                        () -> station.edits().nudge(1000))
                .on("Delete", "keys.delete", idle, () -> station.edits().delete())
                .on("Alt+M", "keys.mirror", () -> station.edits().mirror())
                .on("Alt+W", "keys.swap", () -> station.edits().swap())
                .on("Alt+U", "keys.unsure", () -> station.edits().unsure())
                .on("Alt+H", "keys.hidden", () -> station.edits().hideSide())
                .on("Alt+T", "keys.clock", station::turnClock)
                .on("Ctrl+R", "keys.repeat", station::repeat)
                .on("Ctrl+E", "keys.correct", station::correct)
                .on("Ctrl+D", "keys.split", station::split)
                .on("Ctrl+Z", "keys.undo", station::undo)
                .on("Ctrl+Shift+Z", "keys.redo", () -> station.desk().redo());
    }

    Keys keys() {
        return keys;
    }

    private void step(int by) {
        station.edits().step(by);
        if (station.edits().selected() >= 0) {
            station.pick(station.edits().selected());
        }
    }

    private void toggle() {
        if (station.film().player() != null) {
            station.film().player().toggle();
        } else if (station.record() != null) {
            station.mat().toggle();
            station.clockMoved();
        }
    }

    private void jump(long ms) {
        if (station.film().player() != null) {
            station.film().player().jump(ms);
        } else {
            station.mat().move(ms);
            station.clockMoved();
        }
    }

    private void draw(Drawing.Kind kind) {
        String typed = station.phrase().field().getText();
        if (kind == Drawing.Kind.TEXT && !typed.isBlank()) {
            station.phrase().field().clear();
        }
        station.sketch().take(kind, typed);
    }

    private void player(Consumer<Player> action) {
        if (station.film().player() != null) {
            action.accept(station.film().player());
        }
    }
}
