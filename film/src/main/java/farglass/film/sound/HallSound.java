package farglass.film.sound;

import farglass.film.Samples;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.time.ClockMap;
import farglass.time.FilmTime;
import java.util.ArrayList;
import java.util.List;

/** The made-up sound of made-up footage: people murmuring in a hall, and the referee's whistle. */
public final class HallSound {
    private static final long WHISTLE_MS = 450;
    private final List<Long> whistles = new ArrayList<>();
    private double low;

    public HallSound(MatchRecord record, ClockMap map) {
        for (Tag tag : record.tags()) {
            boolean blown = tag instanceof Tag.Start
                    || tag instanceof Tag.Stop
                    || tag instanceof Tag.Resume
                    || tag instanceof Tag.End;
            if (blown) {
                map.filmTimes(tag.t()).stream().findFirst().map(FilmTime::ms).ifPresent(whistles::add);
            }
        }
    }

    /** Fills the samples from one on; called in order, since the murmur runs through a slow filter. */
    public void fill(short[] samples, long first) {
        for (int i = 0; i < samples.length; i++) {
            long n = first + i;
            low += 0.02 * (noise(n) - low);
            double murmur = low * 5200 * (0.7 + 0.3 * Math.sin(n * 2 * Math.PI / (3.1 * Samples.RATE)));
            samples[i] = (short) Math.max(-32000, Math.min(32000, murmur + whistle(n * 1000 / Samples.RATE, n)));
        }
    }

    private double whistle(long ms, long n) {
        for (long at : whistles) {
            long in = ms - at;
            if (in >= 0 && in < WHISTLE_MS) {
                double t = (double) n / Samples.RATE;
                double loud = Math.sin(Math.PI * in / WHISTLE_MS);
                return loud * 6000 * Math.sin(2 * Math.PI * 2300 * t + 6 * Math.sin(2 * Math.PI * 28 * t));
            }
        }
        return 0;
    }

    /** The same value for the same sample every time, evenly in -1..1. */
    private static double noise(long n) {
        long x = n * 0x9E3779B97F4A7C15L;
        x = (x ^ x >>> 30) * 0xBF58476D1CE4E5B9L;
        x = (x ^ x >>> 27) * 0x94D049BB133111EBL;
        return (x ^ x >>> 31) / (double) Long.MAX_VALUE;
    }
}
