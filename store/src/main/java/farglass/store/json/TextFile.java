package farglass.store.json;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CoderResult;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;

/** Reads text files from outside: never more than a limit, however large or endless the file is, and only UTF-8. */
public final class TextFile {
    private TextFile() {}

    /**
     * @param mostMb megabytes that such a file may have
     * @throws FormatException when it is larger, or is not UTF-8, with the place of the first byte that is not
     * @throws IOException when it cannot be read; the message says why in words
     */
    public static String read(Path file, int mostMb) throws IOException, FormatException {
        return decode(bytes(file, mostMb));
    }

    /** @throws FormatException when the bytes are not UTF-8, with the place of the first that is not */
    public static String decode(byte[] bytes) throws FormatException {
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException e) {
            throw new FormatException(
                    "", "not UTF-8 text, byte " + firstBad(bytes) + ": save it as UTF-8 and try again");
        }
    }

    /** The bytes of a file; see {@link #read}. */
    public static byte[] bytes(Path file, int mostMb) throws IOException, FormatException {
        long most = mostMb * 1024L * 1024;
        if (Files.isDirectory(file)) {
            throw new IOException("it is a folder, a file is expected");
        }
        try (InputStream in = Files.newInputStream(file)) {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            byte[] buffer = new byte[64 * 1024];
            for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
                out.write(buffer, 0, n);
                if (out.size() > most) {
                    throw new FormatException("", "larger than " + mostMb + " MB, the most such a file can have");
                }
            }
            return out.toByteArray();
        } catch (NoSuchFileException e) {
            // the exception's own message is the path alone
            throw new IOException("there is no such file", e);
        } catch (AccessDeniedException e) {
            throw new IOException("it may not be read", e);
        }
    }

    private static int firstBad(byte[] bytes) {
        ByteBuffer in = ByteBuffer.wrap(bytes);
        java.nio.CharBuffer out = java.nio.CharBuffer.allocate(8 * 1024);
        java.nio.charset.CharsetDecoder decoder = StandardCharsets.UTF_8.newDecoder();
        while (true) {
            CoderResult result = decoder.decode(in, out, true);
            if (!result.isOverflow()) {
                return in.position();
            }
            out.clear();
        }
    }
}
