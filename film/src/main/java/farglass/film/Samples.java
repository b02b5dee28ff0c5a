package farglass.film;

import java.nio.ShortBuffer;

/** The shape of sound everywhere in the program: one channel of signed 16-bit samples. */
public final class Samples {
    /** Samples per second. */
    public static final int RATE = 44_100;

    private Samples() {}

    public static short[] of(ShortBuffer buffer) {
        ShortBuffer b = buffer.duplicate();
        short[] samples = new short[b.remaining()];
        b.get(samples);
        return samples;
    }

    /** The samples as little-endian bytes, as a sound line takes them. */
    public static byte[] bytes(short[] samples) {
        byte[] bytes = new byte[2 * samples.length];
        for (int i = 0; i < samples.length; i++) {
            bytes[2 * i] = (byte) samples[i];
            bytes[2 * i + 1] = (byte) (samples[i] >> 8);
        }
        return bytes;
    }

    /** The samples of little-endian bytes. */
    public static short[] shorts(byte[] bytes, int length) {
        short[] samples = new short[length / 2];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = (short) ((bytes[2 * i] & 0xff) | bytes[2 * i + 1] << 8);
        }
        return samples;
    }
}
