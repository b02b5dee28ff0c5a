package farglass.team;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * Two changed versions of one value, field by field: what only one of them changed stands, what both changed alike too.
 * A field that both changed otherwise is a clash; fields that are records themselves are looked into. (Three-way merge;
 * Mens, "A state-of-the-art survey on software merging", IEEE TSE 28(5), 2002, section 3.)
 *
 * @param theirs both changes, theirs where they clash
 * @param mine both changes, mine where they clash
 * @param fields names of the fields that clash; empty when the two are the same
 */
record FieldMerge<T>(T theirs, T mine, List<String> fields) {
    FieldMerge {
        fields = List.copyOf(fields);
    }

    /** @param before what both were made from */
    static <T extends Record> FieldMerge<T> of(T before, T mine, T theirs) {
        if (before.getClass() != mine.getClass() || before.getClass() != theirs.getClass()) {
            return mine.equals(theirs)
                    ? new FieldMerge<>(theirs, theirs, List.of())
                    : new FieldMerge<>(theirs, mine, List.of("type"));
        }
        RecordComponent[] components = before.getClass().getRecordComponents();
        @Nullable Object[] theirsFirst = new Object[components.length];
        @Nullable Object[] mineFirst = new Object[components.length];
        List<String> fields = new ArrayList<>();
        List<String> changed = new ArrayList<>();
        for (int i = 0; i < components.length; i++) {
            String name = components[i].getName();
            Object b = value(components[i], before);
            Object m = value(components[i], mine);
            Object t = value(components[i], theirs);
            theirsFirst[i] = t;
            mineFirst[i] = m;
            if (Objects.equals(m, b)) {
                mineFirst[i] = t;
                continue;
            }
            changed.add(name);
            if (Objects.equals(t, b)) {
                theirsFirst[i] = m;
            } else if (b instanceof Record x && m instanceof Record y && t instanceof Record z) {
                FieldMerge<Record> within = of(x, y, z);
                theirsFirst[i] = within.theirs;
                mineFirst[i] = within.mine;
                fields.addAll(within.fields);
            } else if (!Objects.equals(t, m)) {
                fields.add(name);
            }
        }
        T both = made(theirs, components, theirsFirst);
        if (both == null) {
            // what each of them may be, both together may not: an end before its beginning
            return new FieldMerge<>(theirs, mine, changed);
        }
        T own = made(theirs, components, mineFirst);
        return new FieldMerge<>(both, own == null ? mine : own, fields);
    }

    private static @Nullable Object value(RecordComponent c, Record of) {
        try {
            return c.getAccessor().invoke(of);
        } catch (IllegalAccessException | InvocationTargetException e) {
            throw new IllegalStateException("a field cannot be read", e);
        }
    }

    /** One of the same class; null when the class refuses these values together. */
    @SuppressWarnings("unchecked") // a constructor of T's own class makes a T
    private static <T extends Record> @Nullable T made(
            T like, RecordComponent[] components, @Nullable Object[] values) {
        Class<?>[] types = new Class<?>[components.length];
        for (int i = 0; i < types.length; i++) {
            types[i] = components[i].getType();
        }
        try {
            return (T) like.getClass().getDeclaredConstructor(types).newInstance(values);
        } catch (InvocationTargetException e) {
            return null;
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("a record cannot be made", e);
        }
    }
}
