package farglass.film;

import static org.bytedeco.ffmpeg.global.avutil.av_frame_clone;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_free;

import farglass.time.FilmTime;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.BitSet;
import java.util.Iterator;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.BooleanSupplier;
import org.bytedeco.ffmpeg.avutil.AVFrame;

/**
 * A film opened for decoding by frame number. For one thread only.
 *
 * <p>Opening reads all packet headers once and sorts their presentation times: the n-th of them is frame n. A frame is
 * fetched by decoding on from where the decoder stands or, when that lies behind or far ahead, from the last key frame
 * before it. Frames that pass by are kept, in the decoder's own pixel format, up to a limit in bytes, so that stepping
 * back is answered from memory and a long group of pictures is decoded again only once per window.
 */
public final class FilmFile implements AutoCloseable {
    /** Bytes of decoded pictures kept: about 61 frames of 1920x1080, a whole group of pictures at 640x360. */
    private static final long WINDOW_BYTES = 190L * 1024 * 1024;

    private static final int NEAR_FRAMES = 12;
    /** Earlier key frames that are tried before a frame is taken for damaged. */
    private static final int EARLIER_KEYS = 3;

    /** Pictures are no longer left out of a look over the film when two that came lie farther apart. */
    private static final long SPARSE_MS = 130;

    private final Path path;
    private final FrameSource source;
    private final FrameIndex index;
    private final FilmInfo info;
    private final TreeMap<Integer, AVFrame> window = new TreeMap<>();
    private final int windowFrames;
    private final PictureConverter converter;
    private final Turn turn;
    /** Frames that were found not to come out of the decoder. */
    private final BitSet missing = new BitSet();
    /** Number of the frame that comes out next, -1 when that is not known. */
    private int next = -1;
    /** The key frame that was decoded from: what is shown before it may be made of what was not decoded. */
    private int first;

    private BooleanSupplier interrupt = FilmFile::never;

    private FilmFile(Path path, FrameSource source, FrameIndex index, FilmInfo info, long windowBytes) {
        this.path = path;
        this.source = source;
        this.index = index;
        this.info = info;
        this.turn = new Turn(info.rotation());
        this.converter = new PictureConverter(turn);
        long bytes = Math.max(1, (long) info.width() * info.height() * 3 / 2);
        this.windowFrames = (int) Math.max(8, Math.min(300, windowBytes / bytes));
    }

    /**
     * @throws FilmException when the file is missing, is not a film, has no picture, or cannot be decoded
     */
    public static FilmFile open(Path path) throws FilmException {
        return open(path, FilmFile::never);
    }

    /** @param cancelled asked now and then while the file is read; when true, opening stops with an exception */
    public static FilmFile open(Path path, BooleanSupplier cancelled) throws FilmException {
        return open(path, cancelled, WINDOW_BYTES);
    }

    /** Opens a film to be read from front to back: next to nothing of what was decoded is kept. */
    public static FilmFile openForward(Path path, BooleanSupplier cancelled) throws FilmException {
        return open(path, cancelled, 0);
    }

    private static FilmFile open(Path path, BooleanSupplier cancelled, long windowBytes) throws FilmException {
        if (Files.exists(path) && !Files.isRegularFile(path)) {
            throw new FilmException(FilmWords.of("no-film", path));
        }
        if (!Files.exists(path)) {
            throw new FilmException(FilmWords.of("missing", path));
        }
        FrameSource source = new FrameSource(path);
        try {
            FrameIndex index = source.readIndex(cancelled);
            FilmInfo info = source.describe(index);
            FilmFile film = new FilmFile(path, source, index, info, windowBytes);
            source.damaged(index, film.missing);
            try {
                film.nearest(0);
            } catch (FilmException e) {
                film.drop();
                throw e;
            }
            return film;
        } catch (FilmException | RuntimeException e) {
            source.close();
            throw e;
        }
    }

    public FilmInfo info() {
        return info;
    }

    public Path path() {
        return path;
    }

    /** Film time at which a frame appears. */
    public FilmTime timeOf(int frame) {
        return FilmTime.ofMs(index.ms(frame));
    }

    /** The frame on screen at a film time; the last one beyond the end. */
    public int frameAt(FilmTime t) {
        return index.at(t.ms());
    }

    /**
     * Draws a frame into {@code target} as 32-bit BGRA, upright, top row first.
     *
     * @param frame 0 to frames - 1
     * @param target direct buffer of at least 4 width height bytes
     * @throws FilmException when this frame is damaged; no other is drawn in its place
     */
    public void picture(int frame, ByteBuffer target) throws FilmException {
        picture(frame, target, info.shownWidth(), info.shownHeight());
    }

    /** Draws a frame brought to another size. */
    public void picture(int frame, ByteBuffer target, int width, int height) throws FilmException {
        converter.convert(frame(frame), target, width, height);
    }

    /**
     * Draws a frame unless something newer is wanted before it has been decoded.
     *
     * @param newer asked after every decoded frame; when true, decoding stops where it is
     * @return whether the frame was drawn
     * @throws FilmException when this frame is damaged
     */
    public boolean picture(int frame, ByteBuffer target, BooleanSupplier newer) throws FilmException {
        interrupt = newer;
        try {
            AVFrame found = frame(frame);
            if (found != null) {
                converter.convert(found, target, info.shownWidth(), info.shownHeight());
            }
            return found != null;
        } finally {
            interrupt = FilmFile::never;
        }
    }

    /** Whether a frame can be had at once: it is in memory, or a few frames ahead of the decoder. */
    public boolean near(int frame) {
        return window.containsKey(frame)
                || (next >= 0 && frame >= next && frame - next <= NEAR_FRAMES)
                || frame - index.keyBefore(frame) <= NEAR_FRAMES;
    }

    /**
     * Brightness of a part of a frame at full size, read without converting colours where the format has a plane of it.
     * Of a frame that is damaged, the nearest one that is not.
     *
     * @param box in the picture as it is shown; clipped to it
     */
    public GrayPicture gray(int frame, Box box) throws FilmException {
        Box b = box.within(info.shownWidth(), info.shownHeight());
        return turn.picture(GrayReader.crop(frame(nearest(frame)), turn.stored(b, info.width(), info.height())));
    }

    /** Brightness of a frame brought to a small size by picking pixels, enough to tell scenes apart. */
    public GrayPicture thumbnail(int frame, int width, int height) throws FilmException {
        int w = turn.sideways() ? height : width;
        int h = turn.sideways() ? width : height;
        return turn.picture(GrayReader.picked(frame(nearest(frame)), info.width(), info.height(), w, h));
    }

    /** Told of every frame of a look over a film, while it is in memory. */
    public interface FrameLook {
        void at(int frame) throws FilmException;
    }

    /**
     * Goes through the film from a frame on, as fast as it can be decoded: damaged frames are passed over, and so are
     * pictures that no other is made from, where enough others come (eight a second at the least).
     */
    public void lookOver(int from, FrameLook look) throws FilmException {
        int key = index.keyBefore(Math.min(from, index.size() - 1));
        source.jump(index.packet(key));
        first = key;
        next = -1;
        source.sparse(true);
        try {
            int last = -1;
            for (AVFrame f = source.next(); f != null; f = source.next()) {
                int number = index.frame(FrameSource.place(f));
                if (number <= last || (f.flags() & AVFrame.AV_FRAME_FLAG_CORRUPT) != 0) {
                    continue;
                }
                if (last >= 0 && number > last + 1 && index.ms(number) - index.ms(last) > SPARSE_MS) {
                    source.sparse(false);
                }
                last = number;
                keep(number, f);
                if (number >= from) {
                    look.at(number);
                }
            }
        } finally {
            source.sparse(false);
        }
    }

    /** Null only when something newer is wanted. */
    private AVFrame frame(int n) throws FilmException {
        if (n < 0 || n >= index.size()) {
            throw new IllegalArgumentException("frame (" + n + ") must lie in 0.." + (index.size() - 1));
        }
        AVFrame kept = window.get(n);
        if (kept != null) {
            return kept;
        }
        if (missing.get(n)) {
            throw damaged(n);
        }
        int key = index.keyBefore(n);
        if (next >= 0 && n >= next && key <= next) {
            AVFrame found = decodeTo(n);
            if (found != null || interrupt.getAsBoolean()) {
                return found;
            }
        }
        return jumpAndDecode(n, key);
    }

    /** Tries from the last key frame and, where that gives no such picture, from some earlier ones. */
    private AVFrame jumpAndDecode(int n, int lastKey) throws FilmException {
        int key = lastKey;
        for (int tries = 0; ; tries++) {
            source.jump(index.packet(key));
            first = key;
            next = -1;
            AVFrame found = decodeTo(n);
            if (found != null || interrupt.getAsBoolean()) {
                return found;
            }
            if (key == 0 || tries == EARLIER_KEYS) {
                missing.set(n);
                throw damaged(n);
            }
            key = index.keyBefore(key - 1);
        }
    }

    private FilmException damaged(int n) {
        return new FilmException(FilmWords.of("damaged", path.getFileName(), timeOf(n), Integer.toString(n)));
    }

    /** Decodes on until frame n comes out; null when it does not, or something newer is wanted. */
    private AVFrame decodeTo(int n) {
        for (AVFrame f = source.next(); f != null; f = source.next()) {
            int number = index.frame(FrameSource.place(f));
            if (number < first || (f.flags() & AVFrame.AV_FRAME_FLAG_CORRUPT) != 0) {
                // shown before the key frame and decoded after it, made of pictures that were not decoded; or damaged
                continue;
            }
            next = number + 1;
            keep(number, f);
            if (number == n) {
                return window.get(n);
            }
            if (number > n || interrupt.getAsBoolean()) {
                return null;
            }
        }
        next = -1;
        return null;
    }

    /** The nearest frame that can be shown: itself, else one of a few before it, else one of a few after it. */
    public int nearest(int frame) throws FilmException {
        FilmException damage = null;
        for (int n : new int[] {0, -1, -2, -3, -5, -10, -25, 1, 2, 5, 10, 25, 50, 100}) {
            int at = frame + n;
            if (at >= 0 && at < index.size()) {
                try {
                    if (frame(at) != null) {
                        return at;
                    }
                } catch (FilmException e) {
                    damage = e;
                }
            }
        }
        throw damage == null ? damaged(frame) : damage;
    }

    /** The last frame at or before one that can be decoded by itself, without those before it. */
    public int keyFrameBefore(int frame) {
        return index.keyBefore(frame);
    }

    private void keep(int number, AVFrame frame) {
        AVFrame copy = av_frame_clone(frame);
        AVFrame old = window.put(number, copy);
        if (old != null) {
            av_frame_free(old);
        }
        while (window.size() > windowFrames) {
            // drop what lies farthest from the frame just decoded
            int lowest = window.firstKey();
            int highest = window.lastKey();
            int drop = number - lowest >= highest - number ? lowest : highest;
            av_frame_free(window.remove(drop));
        }
    }

    @Override
    public void close() {
        drop();
        source.close();
    }

    private void drop() {
        for (Iterator<Map.Entry<Integer, AVFrame>> i = window.entrySet().iterator(); i.hasNext(); ) {
            av_frame_free(i.next().getValue());
            i.remove();
        }
        converter.close();
    }

    private static boolean never() {
        return false;
    }
}
