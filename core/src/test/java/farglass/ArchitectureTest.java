package farglass;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** What the module core may use. */
@AnalyzeClasses(packages = "farglass", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule CYCLES = ArchitectureRules.NO_CYCLES;

    @ArchTest
    static final ArchRule STATE = ArchitectureRules.NO_MUTABLE_STATIC_STATE;
}
