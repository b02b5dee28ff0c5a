package farglass.film;

import java.nio.ByteBuffer;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Iterator;

/**
 * The native buffers that pictures are handed over in. Those of a closed film go to the next one of its size: left to
 * the collector they would pile up, because it sees only their small heads.
 */
final class PictureBuffers {
    static final int EACH = 3;
    /** Two films side by side, and one that is just being changed. */
    private static final int KEPT = 3;

    /** Native memory that is taken again: the system gives it back late. One per process, as the memory is. */
    private static final Deque<ByteBuffer[]> SPARE = new ArrayDeque<>();

    private PictureBuffers() {}

    /** @return three buffers of 4 * width * height bytes, whose content is left over from earlier */
    static ByteBuffer[] take(int width, int height) {
        int bytes = 4 * width * height;
        synchronized (SPARE) {
            for (Iterator<ByteBuffer[]> i = SPARE.iterator(); i.hasNext(); ) {
                ByteBuffer[] spare = i.next();
                if (spare[0].capacity() == bytes) {
                    i.remove();
                    return spare;
                }
            }
        }
        ByteBuffer[] fresh = new ByteBuffer[EACH];
        for (int i = 0; i < EACH; i++) {
            fresh[i] = ByteBuffer.allocateDirect(bytes);
        }
        return fresh;
    }

    static void giveBack(ByteBuffer[] buffers) {
        synchronized (SPARE) {
            SPARE.addFirst(buffers);
            if (SPARE.size() > KEPT) {
                SPARE.removeLast();
            }
        }
    }
}
