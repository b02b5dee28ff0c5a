package farglass.profile;

import java.util.List;

/** The answer to one question. */
public record Page(Question question, List<Section> sections) {
    public Page {
        sections = List.copyOf(sections);
    }

    /** All its rows. */
    public List<Claim> claims() {
        return sections.stream().flatMap(s -> s.claims().stream()).toList();
    }
}
