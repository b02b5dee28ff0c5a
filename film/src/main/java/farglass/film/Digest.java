package farglass.film;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;

/** What a film file is known by wherever it lies. */
public final class Digest {
    private static final int BLOCK = 1 << 20;

    private Digest() {}

    /**
     * SHA-256 of a file, in hexadecimal digits.
     *
     * @param progress told the share read, 0..1
     * @return empty when cancelled
     * @throws FilmException when the file cannot be read
     */
    public static Optional<String> of(Path file, DoubleConsumer progress, BooleanSupplier cancelled)
            throws FilmException {
        try (InputStream in = Files.newInputStream(file)) {
            MessageDigest sha = MessageDigest.getInstance("SHA-256");
            long size = Math.max(1, Files.size(file));
            byte[] block = new byte[BLOCK];
            long done = 0;
            for (int n = in.read(block); n >= 0; n = in.read(block)) {
                if (cancelled.getAsBoolean()) {
                    return Optional.empty();
                }
                sha.update(block, 0, n);
                done += n;
                progress.accept(Math.min(1, (double) done / size));
            }
            return Optional.of(HexFormat.of().formatHex(sha.digest()));
        } catch (IOException e) {
            throw new FilmException(FilmWords.of("unread", file.getFileName(), e.getMessage()));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
