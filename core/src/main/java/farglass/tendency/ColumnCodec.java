package farglass.tendency;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;

/** Columns as bytes, to be kept beside the counts they are made of. */
public final class ColumnCodec {
    private ColumnCodec() {}

    /** The bytes of a column. */
    public static byte[] write(CountColumn column) {
        PackedWriter out = new PackedWriter();
        out.number(column.size());
        column.inOrder(null, (row, times) -> {
            out.number(times);
            out.number(row.size());
            out.number(row.words().isEmpty() ? 0 : 1);
            for (int i = 0; i < row.size(); i++) {
                if (!row.words().isEmpty()) {
                    out.word(row.words().get(i));
                }
                out.number(row.at(i));
            }
        });
        return out.bytes();
    }

    /** @throws IOException when the bytes are not those of a column of this kind */
    public static CountColumn read(ColumnKey.Kind kind, byte[] bytes) throws IOException {
        try {
            PackedReader in = new PackedReader(bytes);
            int size = in.number();
            List<CountRow> rows = new ArrayList<>();
            int[] times = new int[size];
            for (int i = 0; i < size; i++) {
                times[i] = in.number();
                rows.add(row(in));
            }
            in.end();
            CountColumn.Builder column = new CountColumn.Builder(kind);
            column.put(rows, times);
            return column.build();
        } catch (IllegalArgumentException | IndexOutOfBoundsException | NegativeArraySizeException e) {
            throw new IOException("not a column: " + e.getMessage(), e);
        }
    }

    private static CountRow row(PackedReader in) throws IOException {
        int size = in.number();
        boolean named = in.number() > 0;
        List<String> words = new ArrayList<>();
        long[] numbers = new long[size];
        for (int i = 0; i < size; i++) {
            if (named) {
                words.add(in.word());
            }
            numbers[i] = in.whole();
        }
        return new CountRow(List.copyOf(words), numbers);
    }
}
