package jalon.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The arrows of the design point down only. */
@AnalyzeClasses(packages = "jalon.core", importOptions = ImportOption.DoNotIncludeTests.class)
class LayersTest {
    @ArchTest
    static final ArchRule ARROWS_POINT_DOWN = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("apart")
            .definedBy("jalon.core.apart..")
            .layer("propose")
            .definedBy("jalon.core.propose..")
            .layer("run")
            .definedBy("jalon.core.run..")
            .layer("output")
            .definedBy("jalon.core.output..")
            .layer("name")
            .definedBy("jalon.core.name..")
            .layer("index")
            .definedBy("jalon.core.index..")
            .layer("register")
            .definedBy("jalon.core.register..")
            .layer("sort")
            .definedBy("jalon.core.sort..")
            .layer("split")
            .definedBy("jalon.core.split..")
            .layer("fit")
            .definedBy("jalon.core.fit..")
            .layer("read")
            .definedBy("jalon.core.read..")
            .layer("text")
            .definedBy("jalon.core.text..")
            .layer("mark")
            .definedBy("jalon.core.mark..")
            .layer("image")
            .definedBy("jalon.core.image..")
            .layer("evidence")
            .definedBy("jalon.core.evidence..")
            .layer("stream")
            .definedBy("jalon.core.stream..")
            .layer("page")
            .definedBy("jalon.core.page..")
            .layer("disk")
            .definedBy("jalon.core.disk..")
            .whereLayer("apart")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("propose")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("run")
            .mayOnlyBeAccessedByLayers("apart", "propose")
            .whereLayer("output")
            .mayOnlyBeAccessedByLayers("apart", "run")
            .whereLayer("name")
            .mayOnlyBeAccessedByLayers("run", "index", "stream")
            .whereLayer("index")
            .mayOnlyBeAccessedByLayers("propose", "run")
            .whereLayer("register")
            .mayOnlyBeAccessedByLayers("propose", "index", "run")
            .whereLayer("sort")
            .mayOnlyBeAccessedByLayers("propose", "run")
            .whereLayer("split")
            .mayOnlyBeAccessedByLayers("propose", "run")
            .whereLayer("fit")
            .mayOnlyBeAccessedByLayers("index", "sort")
            .whereLayer("fit")
            .mayOnlyAccessLayers("page")
            .whereLayer("read")
            .mayOnlyBeAccessedByLayers("apart", "propose", "run", "output", "index", "register", "sort", "split")
            .whereLayer("text")
            .mayOnlyBeAccessedByLayers("apart", "run", "output", "index", "sort", "split", "read")
            .whereLayer("mark")
            .mayOnlyBeAccessedByLayers("propose", "run", "output", "index", "sort", "split", "read")
            .whereLayer("image")
            .mayOnlyBeAccessedByLayers(
                    "stream", "apart", "propose", "run", "output", "index", "sort", "split", "read", "mark", "text")
            .whereLayer("page")
            .mayNotAccessAnyLayer()
            .whereLayer("disk")
            .mayNotAccessAnyLayer()
            .whereLayer("stream")
            // Limits name measures, rules name repairs, and a field may be made of others by a template.
            .mayOnlyAccessLayers("page", "image", "name");

    @ArchTest
    static final ArchRule NOTHING_BUT_JAVA = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework..", "java.sql..", "jakarta..");
}
