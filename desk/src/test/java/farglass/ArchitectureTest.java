package farglass;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** What the module desk may use. */
@AnalyzeClasses(packages = "farglass.desk", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule CYCLES = ArchitectureRules.NO_CYCLES;

    @ArchTest
    static final ArchRule STATE = ArchitectureRules.NO_MUTABLE_STATIC_STATE;

    @ArchTest
    static final ArchRule SHOWS_ONLY = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("farglass.cli..", "org.bytedeco..", "java.sql..");
}
