package farglass.film;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
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
 * The FFmpeg side of a film: packets in, frames out. Every packet is given its place in the file in place of a time,
 * and the decoder hands the place on to the picture it makes of it: which picture this is never depends on the
 * container's times.
 */
final class FrameSource implements AutoCloseable {
    private static final long TRUNCATED_MS = 1500;
    /** Pictures at the beginning whose order is held against their times where those are often wrong. */
    private static final int LOOKED_AT = 40;
    /** Packets read after a jump before it is given up that one is known. */
    private static final int UNKNOWN_PACKETS = 400;

    private final Path path;
    private AVFormatContext format;
    private AVStream stream;
    private AVCodecContext codec;
    private final AVPacket packet = av_packet_alloc();
    private final AVFrame frame = av_frame_alloc();
    private PacketTable packets;
    /** Places of packets that arrived damaged. */
    private final BitSet corrupt = new BitSet();

    private boolean draining;
    /** Place of the packet read last. */
    private int place = -1;
    /** The first packet that is decoded after a jump: those before it are passed over. */
    private int from;

    FrameSource(Path path) throws FilmException {
        this.path = path;
        try {
            openFormat();
            openCodec();
        } catch (FilmException e) {
            close();
            throw e;
        }
    }

    private void openFormat() throws FilmException {
        format = FilmInput.open(path);
        if (format == null) {
            throw unusable(FilmWords.of("why.none"));
        }
        if (avformat_find_stream_info(format, (PointerPointer<?>) null) < 0) {
            throw unusable(FilmWords.of("why.streams"));
        }
        int best = av_find_best_stream(format, AVMEDIA_TYPE_VIDEO, -1, -1, (PointerPointer<?>) null, 0);
        if (best < 0) {
            throw unusable(FilmWords.of("why.no-picture"));
        }
        for (int i = 0; i < format.nb_streams(); i++) {
            if (i != best) {
                format.streams(i).discard(AVDISCARD_ALL);
            }
        }
        stream = format.streams(best);
    }

    private void openCodec() throws FilmException {
        AVCodec decoder = avcodec_find_decoder(stream.codecpar().codec_id());
        if (decoder == null || decoder.isNull()) {
            throw unusable(FilmWords.of("why.unsupported"));
        }
        codec = avcodec_alloc_context3(decoder);
        avcodec_parameters_to_context(codec, stream.codecpar());
        codec.thread_count(2);
        if (avcodec_open2(codec, decoder, (AVDictionary) null) < 0) {
            throw unusable(FilmWords.of("why.undecodable"));
        }
        if (codec.width() <= 0 || codec.height() <= 0) {
            throw unusable(FilmWords.of("why.no-decodable"));
        }
    }

    private FilmException unusable(String why) {
        return new FilmException(FilmWords.of("unusable", path.getFileName(), why));
    }

    /** Reads all packets once, which is what numbers the frames. */
    FrameIndex readIndex(BooleanSupplier cancelled) throws FilmException {
        packets = new PacketTable();
        boolean vp8 = stream.codecpar().codec_id() == AV_CODEC_ID_VP8;
        while (av_read_frame(format, packet) >= 0) {
            if (packet.stream_index() == stream.index()) {
                if ((packet.flags() & AV_PKT_FLAG_CORRUPT) != 0) {
                    corrupt.set(packets.size());
                }
                boolean shown = (packet.flags() & AV_PKT_FLAG_DISCARD) == 0 && !(vp8 && hidden());
                packets.add(
                        packet.pts(),
                        packet.dts(),
                        packet.pos(),
                        (packet.flags() & AV_PKT_FLAG_KEY) != 0,
                        shown && packet.size() > 0);
            }
            av_packet_unref(packet);
            if (packets.size() % 256 == 0 && cancelled.getAsBoolean()) {
                throw new FilmException(FilmWords.of("opening.cancelled"));
            }
        }
        if (packets.shownPackets() == 0) {
            throw unusable(FilmWords.of("why.no-frames"));
        }
        packets.done();
        FrameIndex index = index(cancelled);
        start();
        return index;
    }

    /** A picture of VP8 that only others are made from; RFC 6386, section 9.1: the fourth bit of the first byte. */
    private boolean hidden() {
        return packet.size() > 0 && (packet.data().get() >> 4 & 1) == 0;
    }

    private FrameIndex index(BooleanSupplier cancelled) throws FilmException {
        double msPerTick =
                1000.0 * stream.time_base().num() / stream.time_base().den();
        if (packets.timed()) {
            boolean jumps = packets.jumps(msPerTick);
            FrameIndex byTime = shownByTime(packets.times(true, msPerTick), msPerTick);
            if (trusted() || (!jumps && agrees(byTime))) {
                return byTime;
            }
            if (jumps && agrees(byTime)) {
                return byTime;
            }
        }
        int[] order = decoded(Integer.MAX_VALUE, true, cancelled);
        if (order.length == 0 || order.length != Arrays.stream(order).distinct().count()) {
            throw unusable(FilmWords.of("why.order"));
        }
        return new FrameIndex(order, packets.times(packets.timed(), msPerTick), packets.keys(), msPerTick);
    }

    /** Containers that give every picture its own presentation time. */
    private boolean trusted() {
        String name = format.iformat().name().getString();
        return name.contains("mp4") || name.contains("matroska");
    }

    private FrameIndex shownByTime(long[] times, double msPerTick) {
        int[] order =
                Arrays.stream(FrameIndex.byTime(times)).filter(packets::shown).toArray();
        return new FrameIndex(order, times, packets.keys(), msPerTick);
    }

    /** Whether the first pictures come out of the decoder in the order in which they are numbered. */
    private boolean agrees(FrameIndex index) throws FilmException {
        int[] first = decoded(LOOKED_AT, false, () -> false);
        for (int i = 0; i < first.length; i++) {
            if (index.frame(first[i]) != i) {
                return false;
            }
        }
        return first.length > 0;
    }

    /**
     * The packets whose pictures come out of the decoder, in that order, from the file's start.
     *
     * @param quick whether the pictures themselves are of no use, so that what takes longest may be left out
     */
    private int[] decoded(int most, boolean quick, BooleanSupplier cancelled) throws FilmException {
        start();
        if (quick) {
            codec.skip_loop_filter(AVDISCARD_ALL);
            codec.skip_idct(AVDISCARD_ALL);
        }
        int[] order = new int[packets.size()];
        int n = 0;
        for (AVFrame f = next(); f != null && n < most; f = next()) {
            int of = place(f);
            if (of >= 0 && of < packets.size() && packets.shown(of) && n < order.length) {
                order[n++] = of;
            }
            if (n % 64 == 0 && cancelled.getAsBoolean()) {
                throw new FilmException(FilmWords.of("opening.cancelled"));
            }
        }
        codec.skip_loop_filter(AVDISCARD_DEFAULT);
        codec.skip_idct(AVDISCARD_DEFAULT);
        return Arrays.copyOf(order, n);
    }

    /** Marks the frames whose packets the container itself calls damaged. */
    void damaged(FrameIndex index, BitSet frames) {
        for (int i = corrupt.nextSetBit(0); i >= 0; i = corrupt.nextSetBit(i + 1)) {
            if (index.frame(i) >= 0) {
                frames.set(index.frame(i));
            }
        }
    }

    FilmInfo describe(FrameIndex index) {
        boolean audio = false;
        for (int i = 0; i < format.nb_streams(); i++) {
            audio |= format.streams(i).codecpar().codec_type() == AVMEDIA_TYPE_AUDIO;
        }
        long stated = format.duration() == AV_NOPTS_VALUE ? 0 : format.duration() / 1000;
        return new FilmInfo(
                codec.width(),
                codec.height(),
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
                stream.codecpar().coded_side_data(), stream.codecpar().nb_coded_side_data(), AV_PKT_DATA_DISPLAYMATRIX);
        if (data == null || data.isNull()) {
            return 0;
        }
        double degrees = -av_display_rotation_get(new IntPointer(data.data()));
        return Double.isNaN(degrees) ? 0 : (int) (Math.round(degrees / 90) * 90 % 360 + 360) % 360;
    }

    /**
     * Goes on from a packet: pictures made of earlier ones no longer come out.
     *
     * @param key place of a key packet
     */
    void jump(int key) throws FilmException {
        for (Jump j : ways(key)) {
            if (j.to() && settle(key)) {
                return;
            }
        }
        start();
        from = key;
    }

    /** A try to bring the reading to before a packet. */
    private interface Jump {
        boolean to();
    }

    private List<Jump> ways(int key) {
        List<Jump> ways = new ArrayList<>();
        if (key == 0 || !packets.known()) {
            return ways;
        }
        long time = packets.pts(key) != PacketTable.NONE ? packets.pts(key) : packets.dts(key);
        Jump byTime = () ->
                time != PacketTable.NONE && av_seek_frame(format, stream.index(), time, AVSEEK_FLAG_BACKWARD) >= 0;
        long early = packets.dts(key) == PacketTable.NONE ? time : packets.dts(key);
        Jump earlier = () -> early != PacketTable.NONE
                && av_seek_frame(format, stream.index(), early - second(), AVSEEK_FLAG_BACKWARD) >= 0;
        long at = packets.position(key);
        Jump byPlace = () -> at >= 0 && av_seek_frame(format, stream.index(), at, AVSEEK_FLAG_BYTE) >= 0;
        String name = format.iformat().name().getString();
        if (name.startsWith("mpeg")) {
            // streams without a table of contents: a jump by time is a guess there
            ways.add(byPlace);
            ways.add(byTime);
        } else {
            ways.add(byTime);
        }
        ways.add(earlier);
        return ways;
    }

    private long second() {
        return Math.max(
                1,
                (long) stream.time_base().den() / Math.max(1, stream.time_base().num()));
    }

    /** Reads on until a packet is known; it must not lie behind the wanted one. */
    private boolean settle(int key) {
        avcodec_flush_buffers(codec);
        draining = false;
        from = key;
        for (int read = 0; read < UNKNOWN_PACKETS && av_read_frame(format, packet) >= 0; read++) {
            if (packet.stream_index() == stream.index()) {
                int known = packets.place(packet.pts(), packet.pos());
                if (known > key) {
                    av_packet_unref(packet);
                    return false;
                }
                if (known >= 0) {
                    place = known;
                    decode();
                    return true;
                }
            }
            av_packet_unref(packet);
        }
        return false;
    }

    /** Whether pictures that no other is made from are left out, which halves the time of films that have many. */
    void sparse(boolean leaveOut) {
        codec.skip_frame(leaveOut ? AVDISCARD_NONREF : AVDISCARD_DEFAULT);
        codec.skip_loop_filter(leaveOut ? AVDISCARD_ALL : AVDISCARD_DEFAULT);
    }

    /** Goes to the file's start, by opening it anew: not every container can be brought back there. */
    private void start() throws FilmException {
        if (place >= 0 || draining || packets.size() > 0) {
            avformat_close_input(format);
            openFormat();
        }
        avcodec_flush_buffers(codec);
        draining = false;
        place = -1;
        from = 0;
    }

    /** Gives the packet at hand, whose place is known, to the decoder. */
    private void decode() {
        if (place >= from && place < packets.size()) {
            packet.pts(place);
            packet.dts(AV_NOPTS_VALUE);
            // a damaged packet gives an error here; the decoder goes on with the next one
            avcodec_send_packet(codec, packet);
        }
        av_packet_unref(packet);
    }

    /** The next frame in the order of showing, valid until the next call; null at the end. */
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
                int known = packets.place(packet.pts(), packet.pos());
                place = known > place ? known : place + 1;
                decode();
            } else {
                av_packet_unref(packet);
            }
        }
    }

    /** Place of the packet that a frame was made of, -1 when the decoder did not say. */
    static int place(AVFrame f) {
        return f.pts() == AV_NOPTS_VALUE ? -1 : (int) f.pts();
    }

    @Override
    public void close() {
        av_packet_free(packet);
        av_frame_free(frame);
        if (codec != null) {
            avcodec_free_context(codec);
        }
        if (format != null) {
            avformat_close_input(format);
        }
    }
}
