package farglass.plan;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What the analyst changed about reports: words, what is left out, the order.
 *
 * @param sentences at most one per athlete and sentence
 * @param order by athlete, ids of sentences as they were moved; those that are not named stand where they were computed
 */
public record ReportEdits(List<ReportEdit> sentences, Map<String, List<String>> order) {
    /** Reports as they are computed. */
    public static final ReportEdits NONE = new ReportEdits(List.of(), Map.of());

    public ReportEdits {
        sentences = List.copyOf(sentences);
        Map<String, List<String>> copy = new TreeMap<>();
        order.forEach((who, ids) -> copy.put(who, List.copyOf(ids)));
        order = Collections.unmodifiableMap(copy);
    }

    /** What was made of a sentence. */
    public ReportEdit of(String athlete, String sentence) {
        return sentences.stream()
                .filter(e -> e.about(athlete, sentence))
                .findFirst()
                .orElse(ReportEdit.none(athlete, sentence));
    }

    /** The same with an edit in place of the one before. */
    public ReportEdits with(ReportEdit edit) {
        List<ReportEdit> list = new ArrayList<>(sentences);
        list.removeIf(e -> e.about(edit.athlete(), edit.sentence()));
        if (!edit.empty()) {
            list.add(edit);
        }
        return new ReportEdits(list, order);
    }

    /** Ids of the sentences of one part in the order wanted; what was never moved keeps its place at the end. */
    public List<String> ordered(String athlete, List<String> computed) {
        List<String> moved = order.getOrDefault(athlete, List.of());
        List<String> list = new ArrayList<>();
        moved.stream().filter(computed::contains).forEach(list::add);
        computed.stream().filter(id -> !moved.contains(id)).forEach(list::add);
        return list;
    }

    /** The same without those that are left out. */
    public List<String> kept(String athlete, List<String> computed) {
        return ordered(athlete, computed).stream()
                .filter(id -> !of(athlete, id).leftOut())
                .toList();
    }

    /** What a sentence says: the analyst's words, or those that were computed. */
    public String words(String athlete, String sentence, String computed) {
        String own = of(athlete, sentence).wording();
        return own.isEmpty() ? computed : own;
    }

    /** The same with a sentence moved within its part. */
    public ReportEdits move(String athlete, List<String> part, String sentence, int by) {
        List<String> list = new ArrayList<>(ordered(athlete, part));
        int at = list.indexOf(sentence);
        int to = Math.max(0, Math.min(list.size() - 1, at + by));
        if (at < 0 || to == at) {
            return this;
        }
        list.add(to, list.remove(at));
        List<String> all = new ArrayList<>(order.getOrDefault(athlete, List.of()));
        all.removeAll(part);
        all.addAll(list);
        Map<String, List<String>> next = new TreeMap<>(order);
        next.put(athlete, all);
        return new ReportEdits(sentences, next);
    }

    /** Without a word about an athlete. */
    ReportEdits without(String athlete) {
        Map<String, List<String>> rest = new TreeMap<>(order);
        rest.remove(athlete);
        return new ReportEdits(
                sentences.stream().filter(e -> !e.athlete().equals(athlete)).toList(), rest);
    }
}
