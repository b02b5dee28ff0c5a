package farglass.film;

import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import java.nio.file.Path;
import java.util.Map;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avutil.AVDictionary;

/**
 * Opens a file for FFmpeg as a file and nothing else: by its whole path, so that a name with a colon is no address, and
 * only in the containers of films, so that a list of other files is not followed.
 */
public final class FilmInput {
    /** Containers, by FFmpeg's names for what reads them. */
    private static final String CONTAINERS =
            "mov,mp4,m4a,3gp,matroska,webm,mpegts,mpeg,avi,ogg,flv,asf,ivf,mp3,wav,aac,flac";

    private FilmInput() {}

    /** FFmpeg's options for opening a film. */
    public static Map<String, String> options() {
        return Map.of("protocol_whitelist", "file", "format_whitelist", CONTAINERS);
    }

    /** @return null when it is none of these, or cannot be opened */
    static AVFormatContext open(Path path) {
        av_log_set_level(AV_LOG_QUIET);
        AVDictionary options = new AVDictionary(null);
        options().forEach((name, value) -> av_dict_set(options, name, value, 0));
        AVFormatContext context = new AVFormatContext(null);
        try {
            return avformat_open_input(context, "file:" + path.toAbsolutePath(), null, options) < 0 ? null : context;
        } finally {
            av_dict_free(options);
        }
    }
}
