/** The domain and every computation; knows no window, file of a user, database or clock. */
module farglass.core {
    requires transitive com.fasterxml.jackson.databind;
    requires org.apache.commons.numbers.gamma;
    requires transitive org.apache.commons.rng.api;
    requires org.apache.commons.rng.sampling;
    requires org.apache.commons.rng.simple;
    requires org.apache.commons.statistics.descriptive;
    requires org.apache.commons.statistics.distribution;
    requires org.apache.commons.text;
    requires org.jgrapht.core;
    requires static transitive org.jspecify;

    exports farglass.agreement;
    exports farglass.ask;
    exports farglass.brief;
    exports farglass.camp;
    exports farglass.chart;
    exports farglass.check;
    exports farglass.conduct;
    exports farglass.debrief;
    exports farglass.draft;
    exports farglass.drill;
    exports farglass.intake;
    exports farglass.lexicon;
    exports farglass.match;
    exports farglass.matchup.advise;
    exports farglass.matchup.fit;
    exports farglass.matchup.gameplan;
    exports farglass.matchup.model;
    exports farglass.matchup.simulate;
    exports farglass.matchup.solve;
    exports farglass.narration;
    exports farglass.phrase;
    exports farglass.plan;
    exports farglass.profile;
    exports farglass.rules;
    exports farglass.scout;
    exports farglass.simulate;
    exports farglass.skim;
    exports farglass.stats;
    exports farglass.study;
    exports farglass.table;
    exports farglass.talk;
    exports farglass.team;
    exports farglass.tendency;
    exports farglass.text;
    exports farglass.time;
    exports farglass.trainer;
    exports farglass.type;

    // read by name from the lexicon's file
    opens farglass.lexicon to
            com.fasterxml.jackson.databind;
}
