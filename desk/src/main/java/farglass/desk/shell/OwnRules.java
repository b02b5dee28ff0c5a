package farglass.desk.shell;

import farglass.rules.Ruleset;
import farglass.rules.RulesetException;
import farglass.rules.RulesetReader;
import farglass.rules.Rulesets;
import farglass.work.session.TeamWords;
import java.util.ArrayList;
import java.util.List;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** The rulesets at hand: those that ship, and the user's own, kept among the settings of the library. */
final class OwnRules {
    private static final String STEM = TeamWords.RULESET;
    private final Settings settings;
    private final Notices notices;
    private final ReadOnlyObjectWrapper<Rulesets> all = new ReadOnlyObjectWrapper<>(Rulesets.builtIn());

    OwnRules(Settings settings, Notices notices) {
        this.settings = settings;
        this.notices = notices;
        takeUp();
    }

    ReadOnlyObjectProperty<Rulesets> all() {
        return all.getReadOnlyProperty();
    }

    void keep(Ruleset own) {
        String days = (own.from() == null ? "" : own.from().toString()) + "/" + (own.to() == null ? "" : own.to());
        settings.set(STEM + own.code() + " " + days, RulesetReader.write(own));
        takeUp();
    }

    private void takeUp() {
        List<Ruleset> own = new ArrayList<>();
        settings.beginning(STEM).forEach((name, text) -> {
            try {
                own.add(RulesetReader.read(text));
            } catch (RulesetException e) {
                notices.problem(Words.of("rules.damaged", name.substring(STEM.length()), e.getMessage()));
            }
        });
        all.set(Rulesets.builtIn().with(own));
    }
}
