package farglass;

import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaCall;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.properties.HasName;
import com.tngtech.archunit.core.domain.properties.HasOwner;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The arrows between modules as docs/architecture.md draws them. */
@AnalyzeClasses(packages = "farglass", importOptions = ImportOption.DoNotIncludeTests.class)
class ArrowsTest {
    private static final String[] CORE = {
        "farglass.lexicon..",
        "farglass.time..",
        "farglass.match..",
        "farglass.check..",
        "farglass.stats..",
        "farglass.tendency..",
        "farglass.profile..",
        "farglass.phrase..",
        "farglass.plan..",
        "farglass.simulate..",
        "farglass.type..",
        "farglass.study..",
        "farglass.talk..",
        "farglass.rules..",
        "farglass.agreement..",
        "farglass.intake..",
        "farglass.trainer..",
        "farglass.ask..",
        "farglass.chart..",
        "farglass.matchup..",
        "farglass.conduct..",
        "farglass.camp..",
        "farglass.debrief..",
        "farglass.drill..",
        "farglass.brief..",
        "farglass.scout..",
        "farglass.text.."
    };

    @ArchTest
    static final ArchRule CORE_STANDS_ALONE = classes()
            .that()
            .resideInAnyPackage(CORE)
            .should()
            .onlyDependOnClassesThat(resideInAnyPackage(CORE)
                    .or(resideInAnyPackage(
                            "java.lang..",
                            "java.util..",
                            "java.io..",
                            "java.nio.charset..",
                            "java.math..",
                            "java.text..",
                            "java.time..",
                            "org.apache.commons.statistics..",
                            "org.apache.commons.rng..",
                            "org.apache.commons.numbers..",
                            "org.jgrapht..",
                            "org.jspecify..",
                            "com.fasterxml.jackson..")));

    @ArchTest
    static final ArchRule CORE_HAS_NO_CLOCK_OF_ITS_OWN = noClasses()
            .that()
            .resideInAnyPackage(CORE)
            .should()
            .callMethod(System.class, "currentTimeMillis")
            .orShould()
            .callMethod(System.class, "nanoTime")
            .orShould()
            .callMethod(java.time.LocalDate.class, "now")
            .orShould()
            .callMethod(java.time.Instant.class, "now");

    @ArchTest
    static final ArchRule STORE_KNOWS_CORE_ONLY = noClasses()
            .that()
            .resideInAPackage("farglass.store..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "farglass.film..",
                    "farglass.print..",
                    "farglass.desk..",
                    "farglass.cli..",
                    "javafx..",
                    "java.awt..");

    @ArchTest
    static final ArchRule FILM_AND_PRINT_KNOW_CORE_ONLY = noClasses()
            .that()
            .resideInAnyPackage("farglass.film..", "farglass.print..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("farglass.store..", "farglass.desk..", "farglass.cli..", "javafx..");

    @ArchTest
    static final ArchRule FILM_AND_PRINT_ARE_APART = noClasses()
            .that()
            .resideInAPackage("farglass.film..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("farglass.print..");

    @ArchTest
    static final ArchRule DECODING_STAYS_IN_FILM = noClasses()
            .that()
            .resideOutsideOfPackage("farglass.film..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("org.bytedeco..");

    @ArchTest
    static final ArchRule SQL_STAYS_IN_STORE = noClasses()
            .that()
            .resideOutsideOfPackage("farglass.store..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("java.sql..", "org.jdbi..", "org.flywaydb..", "org.sqlite..");

    @ArchTest
    static final ArchRule THE_DESK_COMPUTES_NO_STATISTIC = noClasses()
            .that()
            .resideInAPackage("farglass.desk..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.apache.commons.statistics..", "org.apache.commons.rng..");

    /** Every package of every module is a part of its own. */
    @ArchTest
    static final ArchRule PACKAGES_HAVE_NO_CIRCLES =
            slices().matching("farglass.(**)").should().beFreeOfCycles();

    /** One policy decides which matches count: window, command line and debrief ask the same. */
    @ArchTest
    static final ArchRule ONE_PLACE_ASKS_FOR_A_MATCH_UP = noClasses()
            .that()
            .resideOutsideOfPackages("farglass.work.meeting..", "farglass.matchup..", "farglass.bench..")
            .should()
            .callMethodWhere(JavaCall.Predicates.target(HasName.Predicates.name("of"))
                    .and(JavaCall.Predicates.target(HasOwner.Predicates.With.owner(
                            JavaClass.Predicates.equivalentTo(farglass.matchup.advise.Meeting.class)))));

    @ArchTest
    static final ArchRule WORK_HAS_NO_WINDOW = noClasses()
            .that()
            .resideInAPackage("farglass.work..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("javafx..", "farglass.desk..", "farglass.cli..");
}
