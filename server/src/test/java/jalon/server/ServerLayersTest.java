package jalon.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "jalon", importOptions = ImportOption.DoNotIncludeTests.class)
class ServerLayersTest {
    @ArchTest
    static final ArchRule CORE_KNOWS_NO_SERVER = noClasses()
            .that()
            .resideInAPackage("jalon.core..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("jalon.server..", "jalon.cli..");

    @ArchTest
    static final ArchRule THE_DEMO_KNOWS_NO_SERVER = noClasses()
            .that()
            .resideInAPackage("jalon.demo..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("jalon.server..", "jalon.core..");

    @ArchTest
    static final ArchRule FEATURES_ARE_FREE_OF_CIRCLES =
            slices().matching("jalon.server.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule NOBODY_CALLS_THE_API_FROM_INSIDE = noClasses()
            .that()
            .resideOutsideOfPackage("jalon.server.api..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("jalon.server.api..");
}
