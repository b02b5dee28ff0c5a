package farglass;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.util.Set;

/** What the module film may use. */
@AnalyzeClasses(packages = "farglass.film", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule CYCLES = ArchitectureRules.NO_CYCLES;

    @ArchTest
    static final ArchRule STATE =
            ArchitectureRules.noMutableStaticStateBut(Set.of("farglass.film.PictureBuffers.SPARE"));

    @ArchTest
    static final ArchRule KNOWS_CORE_ONLY = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "farglass.store..",
                    "farglass.print..",
                    "farglass.work..",
                    "farglass.desk..",
                    "farglass.cli..",
                    "javafx..");
}
