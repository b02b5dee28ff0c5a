package farglass.profile;

import farglass.match.RemarkKind;
import farglass.match.Tag;
import farglass.stats.GammaPrior;
import farglass.stats.Trial;
import farglass.tendency.Evidence;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Which faults recur, and how many of them were punished: one that went free today is still a fault. */
final class ErrorsPage {
    private final ClaimFactory q;

    private ErrorsPage(ClaimFactory q) {
        this.q = q;
    }

    static ClaimPage of(ClaimFactory q) {
        return new ErrorsPage(q).page();
    }

    private ClaimPage page() {
        List<Remarks.Said> errors = Remarks.of(q.evidence(), RemarkKind.ERROR);
        return new ClaimPage(
                Question.ERRORS,
                List.of(
                        Section.of("errors.all", all(errors)),
                        Section.of("errors.kinds", kinds(errors)),
                        Section.of("errors.praise", praise()),
                        notes()));
    }

    /**
     * Notes of this athlete's matches, whichever of the two they were written about: lessons of debriefs among them.
     */
    private Section notes() {
        List<Figure.Notes.Note> notes = new ArrayList<>();
        q.evidence().matches().stream()
                .sorted(java.util.Comparator.comparing((Evidence.Seen s) ->
                                String.valueOf(s.record().details().date()))
                        .reversed())
                .forEach(s -> {
                    for (int i = 0; i < s.record().tags().size(); i++) {
                        if (s.record().tags().get(i) instanceof Tag.Remark r
                                && r.kind() == RemarkKind.NOTE
                                && r.text() != null
                                && !r.text().isBlank()) {
                            notes.add(new Figure.Notes.Note(r.text().strip(), s.trial(i, true)));
                        }
                    }
                });
        Section section = Section.of("errors.notes", List.of());
        return notes.isEmpty() ? section : section.with(new Figure.Notes(List.copyOf(notes)));
    }

    private List<Claim> all(List<Remarks.Said> errors) {
        List<Claim> claims = new ArrayList<>();
        if (errors.isEmpty()) {
            return claims;
        }
        List<Trial> events =
                errors.stream().map(e -> e.seen().trial(e.index(), true)).toList();
        Claim rate = q.rate(
                "errors.rate",
                Claim.Topic.ERROR,
                "errors.rate",
                q.words(),
                events,
                (p, r) -> true,
                GammaPrior.jeffreys());
        if (rate != null) {
            claims.add(rate);
        }
        List<Trial> punished = punished(errors);
        if (!punished.isEmpty()) {
            claims.add(q.plain("errors.punished", Claim.Topic.ERROR, "errors.punished", q.words(), punished));
        }
        return claims;
    }

    private static List<Trial> punished(List<Remarks.Said> errors) {
        return errors.stream()
                .filter(e -> e.remark().punished() != null)
                .map(e -> e.seen().trial(e.index(), e.remark().punished()))
                .toList();
    }

    private List<Claim> kinds(List<Remarks.Said> errors) {
        Map<String, List<Remarks.Said>> kinds = new LinkedHashMap<>();
        errors.forEach(
                e -> kinds.computeIfAbsent(e.subject(), k -> new ArrayList<>()).add(e));
        List<Claim> claims = new ArrayList<>();
        kinds.forEach((subject, list) -> {
            Claim c = q.rate(
                    "error." + subject,
                    Claim.Topic.ERROR,
                    "errors.kind",
                    q.words(
                            subject,
                            Long.toString(list.stream()
                                    .filter(e -> Boolean.TRUE.equals(e.remark().punished()))
                                    .count()),
                            Integer.toString(list.size())),
                    list.stream()
                            .map(e -> e.seen()
                                    .trial(
                                            e.index(),
                                            Boolean.TRUE.equals(e.remark().punished())))
                            .toList(),
                    (p, r) -> true,
                    GammaPrior.jeffreys());
            if (c != null) {
                claims.add(c);
            }
        });
        return Techniques.mostFirst(claims);
    }

    private List<Claim> praise() {
        Map<String, List<Trial>> kinds = new LinkedHashMap<>();
        Remarks.of(q.evidence(), RemarkKind.PRAISE)
                .forEach(p -> kinds.computeIfAbsent(p.subject(), k -> new ArrayList<>())
                        .add(p.seen().trial(p.index(), true)));
        List<Claim> claims = new ArrayList<>();
        kinds.forEach((subject, trials) -> {
            Claim c = q.rate(
                    "praise." + subject,
                    Claim.Topic.ERROR,
                    "errors.praised",
                    q.words(subject),
                    trials,
                    (p, r) -> true,
                    GammaPrior.jeffreys());
            if (c != null) {
                claims.add(c);
            }
        });
        return Techniques.mostFirst(claims);
    }
}
