package farglass.desk.film;

import farglass.desk.player.FilmView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.film.FilmException;
import farglass.film.FilmInfo;
import farglass.film.Player;
import farglass.film.proxy.Proxy;
import farglass.film.proxy.ProxyReader;
import farglass.film.proxy.ProxyStore;
import java.nio.ByteBuffer;
import java.nio.file.Path;

/** Gives a film that is slow to jump about in its quick copy, making it in the background when it is not there. */
public final class QuickCopy {
    /** Setting: how much room quick copies may take, GB. */
    public static final String LIMIT = "quick-copies.gb";

    /** What they may take until it is set, GB. */
    public static final int USUAL_GB = 2;

    private static final long GB = 1024L * 1024 * 1024;
    private final Desk desk;
    private final FilmView film;

    QuickCopy(Desk desk, FilmView film) {
        this.desk = desk;
        this.film = film;
    }

    /** Where they lie. */
    public static Path folder(Desk desk) {
        return desk.library().folder().resolve("proxies");
    }

    /** How much room they may take, GB. */
    public static int limit(Desk desk) {
        try {
            return desk.preferences().get(LIMIT).map(Integer::parseInt).orElse(USUAL_GB);
        } catch (NumberFormatException e) {
            return USUAL_GB;
        }
    }

    /** The film has been opened. */
    void opened(Path path, FilmInfo info) {
        if (!ProxyStore.wanted(info) || film.player() == null) {
            return;
        }
        ProxyStore store = new ProxyStore(folder(desk), limit(desk) * GB);
        Proxy proxy = store.of(path, info);
        film.player().quick(new Pictures(new ProxyReader(proxy)));
        if (proxy.made() < 1) {
            desk.tasks().longTask(Words.of("film.copying"), (progress, cancelled) -> {
                try {
                    proxy.make(progress, cancelled);
                    store.tidy(proxy);
                } catch (FilmException e) {
                    desk.notices().problem(e.getMessage());
                }
            });
        }
    }

    private record Pictures(ProxyReader reader) implements Player.Quick {
        @Override
        public boolean draw(long filmMs, ByteBuffer bgra) {
            return reader.picture(filmMs, bgra);
        }

        @Override
        public void close() {
            reader.close();
        }
    }
}
