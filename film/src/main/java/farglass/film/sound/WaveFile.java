package farglass.film.sound;

import farglass.film.FilmWords;
import farglass.film.Samples;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.UnsupportedAudioFileException;

/** Sound as a WAV file: one channel, 16 bits, {@link Samples#RATE} a second. */
public final class WaveFile {
    private static final AudioFormat FORMAT = new AudioFormat(Samples.RATE, 16, 1, true, false);

    private WaveFile() {}

    /** Writes beside the target first, then moves into place. */
    public static void write(short[] samples, Path target) throws IOException {
        Path part = target.resolveSibling(target.getFileName() + ".part");
        try (AudioInputStream in =
                new AudioInputStream(new ByteArrayInputStream(Samples.bytes(samples)), FORMAT, samples.length)) {
            AudioSystem.write(in, AudioFileFormat.Type.WAVE, part.toFile());
            Files.move(part, target, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    /** @throws IOException when it is not such a file */
    public static short[] read(Path file) throws IOException {
        try (AudioInputStream in = AudioSystem.getAudioInputStream(file.toFile())) {
            if (!in.getFormat().matches(FORMAT)) {
                throw new IOException(FilmWords.of("wave.other", file.getFileName(), Integer.toString(Samples.RATE)));
            }
            byte[] bytes = in.readAllBytes();
            return Samples.shorts(bytes, bytes.length);
        } catch (UnsupportedAudioFileException e) {
            throw new IOException(FilmWords.of("wave.none", file.getFileName()), e);
        }
    }
}
