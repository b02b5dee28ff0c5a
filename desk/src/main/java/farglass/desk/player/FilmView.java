package farglass.desk.player;

import farglass.desk.shell.Ui;
import farglass.film.Box;
import farglass.film.FilmInfo;
import farglass.film.Player;
import farglass.film.sound.SoundPlayer;
import farglass.time.FilmTime;
import java.nio.ByteBuffer;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.geometry.Rectangle2D;
import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.layout.StackPane;

/**
 * Shows one film. Pictures are drawn straight from the player's buffers; when the interface thread is late, only the
 * newest one is drawn.
 */
public final class FilmView extends StackPane {
    private final ImageView picture = new ImageView();
    private final Label message = Ui.prose("", "film-message");
    private final ObjectProperty<Moment> moment = new SimpleObjectProperty<>();
    private final ObjectProperty<FilmInfo> info = new SimpleObjectProperty<>();
    private final BooleanProperty playing = new SimpleBooleanProperty();
    private final DoubleProperty speed = new SimpleDoubleProperty(1);
    private final BooleanProperty muted = new SimpleBooleanProperty();
    private final Zoom zoom = new Zoom();
    private Player player;
    private SoundPlayer sound;
    private Path path;
    private Screen screen;
    private Consumer<String> onProblem = m -> {};

    /** What is on screen. */
    public record Moment(int frame, FilmTime time) {}

    public FilmView() {
        getStyleClass().add("film");
        setId("film");
        message.setMaxWidth(460);
        message.setPadding(new javafx.geometry.Insets(0, 24, 0, 24));
        picture.setPreserveRatio(true);
        picture.setManaged(false);
        getChildren().addAll(picture, message);
        setMinSize(0, 0);
        javafx.scene.shape.Rectangle edge = new javafx.scene.shape.Rectangle();
        edge.widthProperty().bind(widthProperty());
        edge.heightProperty().bind(heightProperty());
        setClip(edge);
        zoom.listen(this, this::pictureBounds, this::requestLayout);
        muted.addListener((o, was, is) -> {
            if (sound != null) {
                sound.mute(is);
            }
        });
    }

    /** Opens a film in place of the one shown; null shows {@code text} alone. */
    public void open(Path path, String text) {
        close();
        message.setText(text);
        if (path != null) {
            this.path = path;
            screen = new Screen();
            player = new Player(path, screen);
            player.speed(speed.get());
        }
    }

    public void onProblem(Consumer<String> action) {
        onProblem = action;
    }

    /** The player, or null while no film is open. */
    public Player player() {
        return player;
    }

    public ReadOnlyObjectProperty<Moment> moment() {
        return moment;
    }

    public ReadOnlyObjectProperty<FilmInfo> info() {
        return info;
    }

    public ReadOnlyBooleanProperty playing() {
        return playing;
    }

    public ReadOnlyDoubleProperty speed() {
        return speed;
    }

    public void speed(double factor) {
        speed.set(Math.max(Player.SLOWEST, Math.min(Player.FASTEST, factor)));
        if (player != null) {
            player.speed(speed.get());
        }
    }

    /** Whether the film is shown without its sound. */
    public BooleanProperty muted() {
        return muted;
    }

    /** How near the picture is looked at. */
    public Zoom zoom() {
        return zoom;
    }

    private void addSound() {
        sound = new SoundPlayer(path);
        sound.mute(muted.get());
        SoundPlayer mine = sound;
        player.sound(new Player.Sound() {
            @Override
            public void play(long filmMs, double factor) {
                mine.play(filmMs, factor);
            }

            @Override
            public void stop() {
                mine.stop();
            }
        });
    }

    /** Frees the film. The decoding thread is waited for elsewhere, not by the interface thread. */
    public void close() {
        if (player != null) {
            screen.gone = true;
            Player old = player;
            Thread closer = new Thread(old::close, "film-close");
            closer.setDaemon(true);
            closer.start();
            player = null;
        }
        if (sound != null) {
            sound.close();
            sound = null;
        }
        zoom.whole();
        picture.setImage(null);
        info.set(null);
        moment.set(null);
        playing.set(false);
    }

    @Override
    protected void layoutChildren() {
        super.layoutChildren();
        FilmInfo i = info.get();
        if (i == null) {
            return;
        }
        double w = i.shownWidth();
        double h = i.shownHeight();
        double scale = Math.min(getWidth() / w, getHeight() / h) * zoom.factor();
        picture.setFitWidth(w * scale);
        picture.setFitHeight(h * scale);
        picture.setX(zoom.begin(getWidth(), w * scale, zoom.x()));
        picture.setY(zoom.begin(getHeight(), h * scale, zoom.y()));
    }

    /** Where the picture lies in this view; empty while there is none. */
    public Rectangle2D pictureBounds() {
        return info.get() == null
                ? Rectangle2D.EMPTY
                : new Rectangle2D(picture.getX(), picture.getY(), picture.getFitWidth(), picture.getFitHeight());
    }

    /** The part of the picture, as it is shown, under a rectangle of this view; empty outside it. */
    public Optional<Box> pictureBox(double x0, double y0, double x1, double y1) {
        FilmInfo i = info.get();
        if (i == null) {
            return Optional.empty();
        }
        double scale = picture.getFitWidth() / i.shownWidth();
        int left = (int) Math.max(0, (Math.min(x0, x1) - picture.getX()) / scale);
        int top = (int) Math.max(0, (Math.min(y0, y1) - picture.getY()) / scale);
        int right = (int) Math.min(i.shownWidth(), (Math.max(x0, x1) - picture.getX()) / scale);
        int bottom = (int) Math.min(i.shownHeight(), (Math.max(y0, y1) - picture.getY()) / scale);
        return right - left < 2 || bottom - top < 2
                ? Optional.empty()
                : Optional.of(new Box(left, top, right - left, bottom - top));
    }

    private record Shown(int buffer, ByteBuffer pixels, Moment moment) {}

    /** Takes pictures from the player's thread to the interface thread. */
    private final class Screen implements Player.Screen {
        private final AtomicReference<Shown> newest = new AtomicReference<>();
        private final WritableImage[] images = new WritableImage[3];
        private final PixelBuffer<?>[] buffers = new PixelBuffer<?>[3];
        private volatile boolean gone;
        /** Damage is told once a film: a bad stretch has many frames. */
        private boolean told;

        private FilmInfo description;

        @Override
        public void opened(FilmInfo opened) {
            later(() -> {
                description = opened;
                info.set(opened);
                if (opened.audio()) {
                    addSound();
                }
                message.setText("");
                requestLayout();
            });
        }

        @Override
        public void show(int buffer, ByteBuffer bgra, int frame, FilmTime time) {
            Shown before = newest.getAndSet(new Shown(buffer, bgra, new Moment(frame, time)));
            if (before == null) {
                later(this::draw);
            }
        }

        private void draw() {
            Shown shown = newest.getAndSet(null);
            if (shown == null || description == null) {
                return;
            }
            int b = shown.buffer();
            if (images[b] == null) {
                PixelBuffer<ByteBuffer> pixels = new PixelBuffer<>(
                        description.shownWidth(),
                        description.shownHeight(),
                        shown.pixels(),
                        PixelFormat.getByteBgraPreInstance());
                buffers[b] = pixels;
                images[b] = new WritableImage(pixels);
            } else {
                buffers[b].updateBuffer(x -> null);
            }
            picture.setImage(images[b]);
            moment.set(shown.moment());
        }

        @Override
        public void playing(boolean now) {
            later(() -> playing.set(now));
        }

        @Override
        public void speed(double now) {
            later(() -> speed.set(now));
        }

        @Override
        public void damaged(String text) {
            later(() -> {
                if (!told) {
                    told = true;
                    onProblem.accept(text);
                }
            });
        }

        @Override
        public void failed(String text) {
            later(() -> {
                message.setText(text);
                onProblem.accept(text);
            });
        }

        private void later(Runnable action) {
            Platform.runLater(() -> {
                if (!gone) {
                    action.run();
                }
            });
        }
    }
}
