package farglass.film;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import farglass.time.FilmTime;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Iterator;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.BooleanSupplier;
import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avcodec.AVPacketSideData;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.javacpp.PointerPointer;

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

    private static final long TRUNCATED_MS = 1500;
    private static final int NEAR_FRAMES = 12;
    private static final BooleanSupplier NEVER = () -> false;

    private final Path path;
    private final FrameSource source;
    private final FrameIndex index;
    private final FilmInfo info;
    private final TreeMap<Integer, AVFrame> window = new TreeMap<>();
    private final int windowFrames;
    private final PictureConverter converter = new PictureConverter();
    private int next = -1;
    private BooleanSupplier interrupt = NEVER;

    private FilmFile(Path path, FrameSource source, FrameIndex index, FilmInfo info, long windowBytes) {
        this.path = path;
        this.source = source;
        this.index = index;
        this.info = info;
        long bytes = Math.max(1, (long) info.width() * info.height() * 3 / 2);
        this.windowFrames = (int) Math.max(8, Math.min(300, windowBytes / bytes));
    }

    /**
     * @throws FilmException when the file is missing, is not a film, has no picture, or cannot be decoded
     */
    public static FilmFile open(Path path) throws FilmException {
        return open(path, NEVER);
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
        if (!Files.isRegularFile(path)) {
            throw new FilmException("The film " + path
                    + " is not there. The tags are kept. Put the file back, or choose" + " where it is now.");
        }
        FrameSource source = new FrameSource(path);
        try {
            FrameIndex index = source.readIndex(cancelled);
            FilmInfo info = source.describe(index);
            FilmFile film = new FilmFile(path, source, index, info, windowBytes);
            film.frame(0);
            return film;
        } catch (FilmException e) {
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
     * Draws a frame into {@code target} as 32-bit BGRA, top row first.
     *
     * @param frame 0 to frames - 1
     * @param target direct buffer of at least 4 width height bytes
     * @throws FilmException when this place of the film is damaged
     */
    public void picture(int frame, ByteBuffer target) throws FilmException {
        picture(frame, target, info.width(), info.height());
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
     */
    public boolean picture(int frame, ByteBuffer target, BooleanSupplier newer) throws FilmException {
        interrupt = newer;
        try {
            AVFrame found = frame(frame);
            if (found != null) {
                converter.convert(found, target, info.width(), info.height());
            }
            return found != null;
        } finally {
            interrupt = NEVER;
        }
    }

    /** Whether a frame can be had at once: it is in memory, or a few frames ahead of the decoder. */
    public boolean near(int frame) {
        return window.containsKey(frame)
                || next >= 0 && frame >= next && frame - next <= NEAR_FRAMES
                || frame - index.keyBefore(frame) <= NEAR_FRAMES;
    }

    /**
     * Brightness of a part of a frame at full size, read without converting colours where the format has a plane of it.
     *
     * @param box clipped to the picture
     */
    public GrayPicture gray(int frame, Box box) throws FilmException {
        Box b = box.within(info.width(), info.height());
        return GrayReader.crop(frame(frame), b);
    }

    /** Brightness of a frame brought to a small size by picking pixels, enough to tell scenes apart. */
    public GrayPicture thumbnail(int frame, int width, int height) throws FilmException {
        return GrayReader.picked(frame(frame), info.width(), info.height(), width, height);
    }

    private AVFrame frame(int n) throws FilmException {
        if (n < 0 || n >= index.size()) {
            throw new IllegalArgumentException("frame (" + n + ") must lie in 0.." + (index.size() - 1));
        }
        AVFrame kept = window.get(n);
        if (kept != null) {
            return kept;
        }
        int key = index.keyBefore(n);
        if (next < 0 || n < next || key > next) {
            return seekAndDecode(n, key);
        }
        AVFrame found = decodeTo(n, false);
        return found != null || interrupt.getAsBoolean() ? found : seekAndDecode(n, key);
    }

    private AVFrame seekAndDecode(int n, int from) throws FilmException {
        int key = from;
        while (true) {
            source.seek(index.pts(key));
            next = -1;
            AVFrame found = decodeTo(n, key == 0);
            if (found != null || interrupt.getAsBoolean()) {
                return found;
            }
            if (key == 0) {
                throw new FilmException("The film " + path.getFileName() + " is damaged near " + timeOf(n)
                        + ". The rest of it and all tags are kept.");
            }
            key = index.keyBefore(key - 1);
        }
    }

    /**
     * Decodes on until frame n comes out. A damaged frame n is replaced by the first one after it.
     *
     * @param anyLater whether the first later frame will do when n itself does not come
     * @return null when the decoder began after n, so that an earlier key frame must be tried
     */
    private AVFrame decodeTo(int n, boolean anyLater) throws FilmException {
        boolean first = true;
        for (AVFrame f = source.next(); f != null; f = source.next()) {
            int number = index.find(f.best_effort_timestamp());
            if (number < 0) {
                continue;
            }
            if (first && number > n && next < 0 && !anyLater) {
                return null;
            }
            first = false;
            next = number + 1;
            keep(number, f);
            if (number < n && interrupt.getAsBoolean()) {
                return null;
            }
            if (number >= n) {
                AVFrame shown = window.get(number);
                if (number > n) {
                    keep(n, shown);
                }
                return window.get(n);
            }
        }
        next = -1;
        return anyLater && !window.isEmpty() && window.floorEntry(n) != null
                ? window.floorEntry(n).getValue()
                : null;
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
        for (Iterator<Map.Entry<Integer, AVFrame>> i = window.entrySet().iterator(); i.hasNext(); ) {
            av_frame_free(i.next().getValue());
            i.remove();
        }
        converter.close();
        source.close();
    }

    /** The FFmpeg side: packets in, frames out. */
    private static final class FrameSource {
        private final Path path;
        private final AVFormatContext format;
        private final AVStream stream;
        private final AVCodecContext codec;
        private final AVPacket packet = av_packet_alloc();
        private final AVFrame frame = av_frame_alloc();
        private boolean draining;

        FrameSource(Path path) throws FilmException {
            this.path = path;
            av_log_set_level(AV_LOG_QUIET);
            AVFormatContext context = new AVFormatContext(null);
            if (avformat_open_input(context, path.toString(), null, null) < 0) {
                throw unusable("it is not a film this program can read, or it was cut off before it was finished");
            }
            this.format = context;
            if (avformat_find_stream_info(format, (PointerPointer<?>) null) < 0) {
                avformat_close_input(format);
                throw unusable("its streams cannot be read");
            }
            int best = av_find_best_stream(format, AVMEDIA_TYPE_VIDEO, -1, -1, (PointerPointer<?>) null, 0);
            if (best < 0) {
                avformat_close_input(format);
                throw unusable("it holds no picture");
            }
            for (int i = 0; i < format.nb_streams(); i++) {
                if (i != best) {
                    format.streams(i).discard(AVDISCARD_ALL);
                }
            }
            this.stream = format.streams(best);
            AVCodec decoder = avcodec_find_decoder(stream.codecpar().codec_id());
            if (decoder == null || decoder.isNull()) {
                avformat_close_input(format);
                throw unusable("its picture format is not supported");
            }
            this.codec = avcodec_alloc_context3(decoder);
            avcodec_parameters_to_context(codec, stream.codecpar());
            codec.thread_count(2);
            if (avcodec_open2(codec, decoder, (AVDictionary) null) < 0) {
                avformat_close_input(format);
                throw unusable("its picture cannot be decoded");
            }
        }

        private FilmException unusable(String why) {
            return new FilmException("The film " + path.getFileName() + " cannot be used: " + why
                    + ". Nothing was changed. Convert it to MP4 (H.264) or WebM, or choose another file.");
        }

        FrameIndex readIndex(BooleanSupplier cancelled) throws FilmException {
            long[] pts = new long[4096];
            boolean[] key = new boolean[4096];
            int n = 0;
            while (av_read_frame(format, packet) >= 0) {
                boolean shown = (packet.flags() & AV_PKT_FLAG_DISCARD) == 0;
                if (packet.stream_index() == stream.index() && shown) {
                    if (n == pts.length) {
                        pts = Arrays.copyOf(pts, n * 2);
                        key = Arrays.copyOf(key, n * 2);
                    }
                    pts[n] = packet.pts() != AV_NOPTS_VALUE ? packet.pts() : packet.dts();
                    key[n++] = (packet.flags() & AV_PKT_FLAG_KEY) != 0;
                }
                av_packet_unref(packet);
                if (n % 256 == 0 && cancelled.getAsBoolean()) {
                    throw new FilmException("Opening the film was cancelled. Nothing was changed.");
                }
            }
            if (n == 0) {
                throw unusable("it holds no frames");
            }
            double msPerTick =
                    1000.0 * stream.time_base().num() / stream.time_base().den();
            seek(pts[0]);
            return new FrameIndex(Arrays.copyOf(pts, n), Arrays.copyOf(key, n), msPerTick);
        }

        FilmInfo describe(FrameIndex index) {
            boolean audio = false;
            for (int i = 0; i < format.nb_streams(); i++) {
                audio |= format.streams(i).codecpar().codec_type() == AVMEDIA_TYPE_AUDIO;
            }
            long stated = format.duration() == AV_NOPTS_VALUE ? 0 : format.duration() / 1000;
            return new FilmInfo(
                    stream.codecpar().width(),
                    stream.codecpar().height(),
                    index.size(),
                    index.durationMs(),
                    avcodec_get_name(stream.codecpar().codec_id()).getString(),
                    index.keyFrames(),
                    index.variable(),
                    audio,
                    rotation(),
                    stated > index.durationMs() + TRUNCATED_MS);
        }

        private int rotation() {
            AVPacketSideData data = av_packet_side_data_get(
                    stream.codecpar().coded_side_data(),
                    stream.codecpar().nb_coded_side_data(),
                    AV_PKT_DATA_DISPLAYMATRIX);
            if (data == null || data.isNull()) {
                return 0;
            }
            double degrees = -av_display_rotation_get(new IntPointer(data.data()));
            return Double.isNaN(degrees) ? 0 : (int) (Math.round(degrees / 90) * 90 % 360 + 360) % 360;
        }

        void seek(long pts) {
            av_seek_frame(format, stream.index(), pts, AVSEEK_FLAG_BACKWARD);
            avcodec_flush_buffers(codec);
            draining = false;
        }

        /** The next frame in presentation order, valid until the next call; null at the end. */
        AVFrame next() {
            while (true) {
                int got = avcodec_receive_frame(codec, frame);
                if (got >= 0) {
                    return frame;
                }
                if (got == AVERROR_EOF() || draining) {
                    return null;
                }
                if (av_read_frame(format, packet) < 0) {
                    draining = true;
                    avcodec_send_packet(codec, null);
                    continue;
                }
                if (packet.stream_index() == stream.index()) {
                    // a damaged packet gives an error here; the decoder goes on with the next one
                    avcodec_send_packet(codec, packet);
                }
                av_packet_unref(packet);
            }
        }

        void close() {
            av_packet_free(packet);
            av_frame_free(frame);
            avcodec_free_context(codec);
            avformat_close_input(format);
        }
    }
}
