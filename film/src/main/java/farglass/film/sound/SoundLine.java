package farglass.film.sound;

import farglass.film.Samples;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.LineUnavailableException;
import javax.sound.sampled.SourceDataLine;

/** Where sound goes. */
public interface SoundLine extends AutoCloseable {
    /** Bytes the machine's line holds: a tenth of a second, so that sound stays with the picture. */
    int BUFFER_BYTES = Samples.RATE / 10 * 2;

    /** Sounds samples; waits while the line is full. */
    void write(short[] samples);

    /** Forgets what has not been heard yet. */
    void drop();

    @Override
    void close();

    /** The machine's line; a silent one where it has none. */
    static SoundLine ofMachine() {
        try {
            AudioFormat format = new AudioFormat(Samples.RATE, 16, 1, true, false);
            SourceDataLine line = AudioSystem.getSourceDataLine(format);
            line.open(format, BUFFER_BYTES);
            line.start();
            return new Machine(line);
        } catch (LineUnavailableException | IllegalArgumentException | SecurityException e) {
            return new Silent();
        }
    }

    /** The machine's line. */
    record Machine(SourceDataLine line) implements SoundLine {
        @Override
        public void write(short[] samples) {
            byte[] bytes = Samples.bytes(samples);
            line.write(bytes, 0, bytes.length);
        }

        @Override
        public void drop() {
            line.flush();
        }

        @Override
        public void close() {
            line.close();
        }
    }

    /** Takes sound at the pace at which it would be heard, and nobody hears it. */
    record Silent() implements SoundLine {
        @Override
        public void write(short[] samples) {
            try {
                Thread.sleep(samples.length * 1000L / Samples.RATE);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }

        @Override
        public void drop() {
            // nothing is kept
        }

        @Override
        public void close() {
            // nothing is held
        }
    }
}
