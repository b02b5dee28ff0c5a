package farglass.film.proxy;

import farglass.film.FilmException;
import farglass.film.FilmFile;
import java.nio.ByteBuffer;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;

/** Draws from a proxy; keeps the last pieces open. For one thread only. */
public final class ProxyReader implements AutoCloseable {
    private static final int OPEN = 3;
    private final Proxy proxy;
    private final Map<Path, FilmFile> open = new LinkedHashMap<>(OPEN, 0.75f, true);

    public ProxyReader(Proxy proxy) {
        this.proxy = proxy;
    }

    /**
     * Draws the picture nearest before a film moment, brought to the film's own size.
     *
     * @return false when this part of the proxy is not made or cannot be read
     */
    public boolean picture(long filmMs, ByteBuffer target) {
        Path file = proxy.fileAt(filmMs);
        if (file == null) {
            return false;
        }
        try {
            FilmFile piece = open.get(file);
            if (piece == null) {
                piece = FilmFile.openForward(file, () -> false);
                open.put(file, piece);
                closeOldest();
            }
            int frame = Math.min(Proxy.frameAt(filmMs), piece.info().frames() - 1);
            piece.picture(frame, target, proxy.info().shownWidth(), proxy.info().shownHeight());
            return true;
        } catch (FilmException e) {
            // a copy that cannot be read is as good as none; the film itself is decoded instead
            return false;
        }
    }

    private void closeOldest() {
        if (open.size() > OPEN) {
            Iterator<FilmFile> oldest = open.values().iterator();
            oldest.next().close();
            oldest.remove();
        }
    }

    @Override
    public void close() {
        open.values().forEach(FilmFile::close);
        open.clear();
    }
}
