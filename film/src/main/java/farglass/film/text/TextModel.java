package farglass.film.text;

import ai.onnxruntime.OnnxTensor;
import ai.onnxruntime.OrtEnvironment;
import ai.onnxruntime.OrtException;
import ai.onnxruntime.OrtSession;
import farglass.film.FilmException;
import farglass.film.FilmWords;
import java.io.IOException;
import java.io.InputStream;
import java.nio.FloatBuffer;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Map;

/** A neural network that ships with the application, run on one thread so that playback keeps the others. */
final class TextModel implements AutoCloseable {
    /** Finds text: PP-OCRv4 mobile detection. */
    static final Shipped FIND =
            new Shipped("find.onnx", "30a86f5731181461d08021402766601e4302a9b9b9666be8aff402696339cdff");
    /** Reads a line: PP-OCRv4 mobile recognition. */
    static final Shipped READ =
            new Shipped("read.onnx", "06b3e6af6c59a1ba5d53790ed8c2e4b2de389870b6cf5a97f349f3412cb269c0");

    private final OrtEnvironment environment;
    private final OrtSession session;
    private final String input;

    /**
     * A file among the resources.
     *
     * @param sha256 of its bytes, hexadecimal
     */
    record Shipped(String name, String sha256) {}

    /**
     * Numbers with their shape.
     *
     * @param shape as the network says, largest stride first
     */
    record Output(float[] values, long[] shape) {}

    private TextModel(OrtEnvironment environment, OrtSession session) {
        this.environment = environment;
        this.session = session;
        this.input = session.getInputNames().iterator().next();
    }

    /** @throws FilmException when the file is missing or is not the one that was shipped */
    static TextModel open(Shipped file) throws FilmException {
        try (InputStream in = TextModel.class.getResourceAsStream(file.name())) {
            return of(file, in == null ? new byte[0] : in.readAllBytes());
        } catch (IOException e) {
            throw unusable(file, FilmWords.of("reader.unread"));
        }
    }

    static TextModel of(Shipped file, byte[] bytes) throws FilmException {
        if (bytes.length == 0) {
            throw unusable(file, FilmWords.of("reader.missing"));
        }
        if (!sha256(bytes).equals(file.sha256())) {
            throw unusable(file, FilmWords.of("reader.damaged"));
        }
        try (OrtSession.SessionOptions options = new OrtSession.SessionOptions()) {
            options.setIntraOpNumThreads(1);
            options.setInterOpNumThreads(1);
            OrtEnvironment environment = OrtEnvironment.getEnvironment();
            return new TextModel(environment, environment.createSession(bytes, options));
        } catch (OrtException | LinkageError e) {
            throw unusable(file, FilmWords.of("reader.unrun"));
        }
    }

    private static FilmException unusable(Shipped file, String why) {
        return new FilmException(FilmWords.of("reader", file.name(), why));
    }

    private static String sha256(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    /**
     * Runs the network on one picture.
     *
     * @param planes three planes of height times width, row by row
     */
    Output run(float[] planes, int width, int height) throws FilmException {
        long[] shape = {1, 3, height, width};
        try (OnnxTensor x = OnnxTensor.createTensor(environment, FloatBuffer.wrap(planes), shape);
                OrtSession.Result result = session.run(Map.of(input, x))) {
            OnnxTensor y = (OnnxTensor) result.get(0);
            FloatBuffer buffer = y.getFloatBuffer();
            float[] values = new float[buffer.remaining()];
            buffer.get(values);
            return new Output(values, y.getInfo().getShape());
        } catch (OrtException e) {
            throw new FilmException(FilmWords.of("text.unread", e.getMessage()));
        }
    }

    @Override
    public void close() {
        try {
            session.close();
        } catch (OrtException e) {
            throw new IllegalStateException("a session that was opened can be closed", e);
        }
    }
}
