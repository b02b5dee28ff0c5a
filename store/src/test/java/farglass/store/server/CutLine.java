package farglass.store.server;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.concurrent.atomic.AtomicLong;

/** A line to a server that is cut after so many bytes, in the middle of whatever is being said. */
final class CutLine implements AutoCloseable {
    private final ServerSocket in;
    private final int port;
    private final AtomicLong left = new AtomicLong(Long.MAX_VALUE);

    CutLine(int port) throws IOException {
        this.port = port;
        in = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
        daemon(this::accept);
    }

    int port() {
        return in.getLocalPort();
    }

    /** Cuts the line once so many bytes have gone either way. */
    void cutAfter(long bytes) {
        left.set(bytes);
    }

    void mend() {
        left.set(Long.MAX_VALUE);
    }

    private void accept() {
        while (!in.isClosed()) {
            try {
                Socket from = in.accept();
                Socket to = new Socket(InetAddress.getLoopbackAddress(), port);
                daemon(() -> pass(from, to));
                daemon(() -> pass(to, from));
            } catch (IOException e) {
                // closed, or cut
            }
        }
    }

    private void pass(Socket from, Socket to) {
        byte[] buffer = new byte[256];
        try (from;
                to) {
            InputStream read = from.getInputStream();
            OutputStream write = to.getOutputStream();
            for (int n = read.read(buffer); n >= 0; n = read.read(buffer)) {
                long rest = left.addAndGet(-n);
                if (rest < 0) {
                    write.write(buffer, 0, (int) Math.max(0, n + rest));
                    return;
                }
                write.write(buffer, 0, n);
            }
        } catch (IOException e) {
            // the other end is gone
        }
    }

    private static void daemon(Runnable work) {
        Thread t = new Thread(work, "cut line");
        t.setDaemon(true);
        t.start();
    }

    @Override
    public void close() throws IOException {
        in.close();
    }
}
