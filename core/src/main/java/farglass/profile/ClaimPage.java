package farglass.profile;

import java.util.List;

/** The answer to one question. */
public record ClaimPage(Question question, List<Section> sections) {
    public ClaimPage {
        sections = List.copyOf(sections);
    }

    /** All its rows. */
    public List<Claim> claims() {
        return sections.stream().flatMap(s -> s.claims().stream()).toList();
    }
}
