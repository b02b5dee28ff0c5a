package farglass.film.sound;

import farglass.film.FilmException;
import farglass.film.FilmInput;
import farglass.film.FilmWords;
import farglass.film.Samples;
import java.nio.ShortBuffer;
import java.nio.file.Path;
import org.bytedeco.ffmpeg.global.avutil;
import org.bytedeco.javacv.FFmpegFrameFilter;
import org.bytedeco.javacv.FFmpegFrameGrabber;
import org.bytedeco.javacv.Frame;
import org.bytedeco.javacv.FrameFilter;
import org.bytedeco.javacv.FrameGrabber;

/**
 * The sound of a film from any moment on, at any speed and at its true pitch (FFmpeg's {@code atempo}, which overlaps
 * and adds stretches of the wave). For one thread only.
 */
public final class SoundReader implements AutoCloseable {
    /** The filter stretches by at most this much at a time. */
    private static final double SLOWEST_STEP = 0.5;

    private final FFmpegFrameGrabber grabber;
    private FFmpegFrameFilter tempo;
    private boolean drained;

    /** @throws FilmException when the film has no sound that can be read */
    public SoundReader(Path film) throws FilmException {
        avutil.av_log_set_level(avutil.AV_LOG_QUIET);
        grabber = new FFmpegFrameGrabber(film.toFile());
        try {
            FilmInput.options().forEach(grabber::setOption);
            grabber.setAudioChannels(1);
            grabber.setSampleRate(Samples.RATE);
            grabber.setSampleMode(FrameGrabber.SampleMode.SHORT);
            grabber.start();
            if (!grabber.hasAudio()) {
                throw new FilmException(FilmWords.of("sound.none", film.getFileName()));
            }
        } catch (FrameGrabber.Exception e) {
            close();
            throw new FilmException(FilmWords.of("sound.unread", film.getFileName(), e.getMessage()));
        } catch (FilmException e) {
            close();
            throw e;
        }
    }

    /**
     * Goes to a film moment.
     *
     * @param speed film seconds per second, positive
     * @throws FilmException when the film cannot be read there
     */
    public void from(long filmMs, double speed) throws FilmException {
        try {
            endTempo();
            // the sound stream alone may be sought in: the picture is decoded elsewhere
            grabber.setAudioTimestamp(filmMs * 1000);
            drained = false;
            if (speed != 1) {
                tempo = new FFmpegFrameFilter(chain(speed), 1);
                tempo.setSampleRate(Samples.RATE);
                tempo.setSampleFormat(avutil.AV_SAMPLE_FMT_S16);
                tempo.start();
            }
        } catch (FrameGrabber.Exception | FrameFilter.Exception e) {
            throw new FilmException(FilmWords.of("sound.unplayed", e.getMessage()));
        }
    }

    /** The filters that make a speed: halvings first, then what is left. */
    static String chain(double speed) {
        StringBuilder chain = new StringBuilder();
        double left = speed;
        while (left < SLOWEST_STEP) {
            chain.append("atempo=").append(SLOWEST_STEP).append(',');
            left /= SLOWEST_STEP;
        }
        return chain.append("atempo=").append(left).toString();
    }

    /**
     * The next stretch of sound, of no certain length.
     *
     * @return null at the end of the film
     * @throws FilmException when the film cannot be read on
     */
    public short[] next() throws FilmException {
        try {
            while (true) {
                Frame done = tempo == null ? null : tempo.pullSamples();
                if (done != null && done.samples != null) {
                    return Samples.of((ShortBuffer) done.samples[0]);
                }
                if (drained) {
                    return null;
                }
                Frame frame = grabber.grabSamples();
                if (frame == null || frame.samples == null) {
                    drained = true;
                    if (tempo == null) {
                        return null;
                    }
                    tempo.push(null);
                } else if (tempo == null) {
                    return Samples.of((ShortBuffer) frame.samples[0]);
                } else {
                    tempo.push(frame);
                }
            }
        } catch (FrameGrabber.Exception | FrameFilter.Exception e) {
            throw new FilmException(FilmWords.of("sound.broken", e.getMessage()));
        }
    }

    private void endTempo() {
        if (tempo != null) {
            try {
                tempo.close();
            } catch (FrameFilter.Exception e) {
                // nothing is lost: the filter held only what was about to be heard
            }
            tempo = null;
        }
    }

    @Override
    public void close() {
        endTempo();
        try {
            grabber.close();
        } catch (FrameGrabber.Exception e) {
            // it was only read from
        }
    }
}
