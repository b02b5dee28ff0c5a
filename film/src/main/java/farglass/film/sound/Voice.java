package farglass.film.sound;

import farglass.film.Samples;
import java.io.ByteArrayOutputStream;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.LineUnavailableException;
import javax.sound.sampled.TargetDataLine;

/** Somebody speaking. */
public interface Voice {
    /** Begins to listen. */
    void begin();

    /** Stops listening and gives what was said, {@link Samples#RATE} samples a second. */
    short[] end();

    /** Whether somebody real may be heard. */
    boolean real();

    /** The machine's microphone; a made-up voice where it has none. */
    static Voice ofMachine() {
        AudioFormat format = new AudioFormat(Samples.RATE, 16, 1, true, false);
        try {
            TargetDataLine line = AudioSystem.getTargetDataLine(format);
            line.open(format);
            return new Microphone(line);
        } catch (LineUnavailableException | IllegalArgumentException | SecurityException e) {
            return new MadeUp();
        }
    }

    /** The machine's microphone. */
    final class Microphone implements Voice {
        private final TargetDataLine line;
        private final ByteArrayOutputStream heard = new ByteArrayOutputStream();
        private Thread listener;

        Microphone(TargetDataLine line) {
            this.line = line;
        }

        @Override
        public void begin() {
            line.start();
            listener = new Thread(this::listen, "microphone");
            listener.setDaemon(true);
            listener.start();
        }

        private void listen() {
            byte[] some = new byte[Samples.RATE / 5];
            for (int n = line.read(some, 0, some.length); n > 0; n = line.read(some, 0, some.length)) {
                synchronized (heard) {
                    heard.write(some, 0, n);
                }
            }
        }

        @Override
        public short[] end() {
            line.stop();
            line.close();
            synchronized (heard) {
                byte[] bytes = heard.toByteArray();
                return Samples.shorts(bytes, bytes.length);
            }
        }

        @Override
        public boolean real() {
            return true;
        }
    }

    /** A stand-in that hums syllables for as long as it is listened to. */
    final class MadeUp implements Voice {
        private long begun;

        @Override
        public void begin() {
            begun = System.nanoTime();
        }

        @Override
        public short[] end() {
            return syllables((int) ((System.nanoTime() - begun) / 1_000_000));
        }

        /** Four syllables a second with a pause after every fifth. */
        static short[] syllables(int ms) {
            short[] samples = new short[(int) ((long) ms * Samples.RATE / 1000)];
            for (int i = 0; i < samples.length; i++) {
                double t = (double) i / Samples.RATE;
                int syllable = (int) (t * 4);
                double within = t * 4 - syllable;
                double loud = syllable % 6 == 5 ? 0 : Math.sin(Math.PI * Math.min(1, within * 1.25));
                double pitch = 120 + 12 * (syllable % 3);
                double wave = Math.sin(2 * Math.PI * pitch * t)
                        + 0.5 * Math.sin(4 * Math.PI * pitch * t)
                        + 0.25 * Math.sin(10 * Math.PI * pitch * t);
                samples[i] = (short) (Math.max(0, loud) * wave * 5000);
            }
            return samples;
        }

        @Override
        public boolean real() {
            return false;
        }
    }
}
