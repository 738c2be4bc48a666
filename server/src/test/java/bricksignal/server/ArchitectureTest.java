package bricksignal.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noFields;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import jakarta.persistence.Entity;
import org.springframework.web.bind.annotation.RestController;

/** The rules of the server and of how the rooms lean on each other, as sentences. */
@AnalyzeClasses(packages = "bricksignal", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule PACKAGES_OF_THE_SERVER_HAVE_NO_CYCLES = slices().matching("bricksignal.server.(*)..").should()
            .beFreeOfCycles();

    @ArchTest
    static final ArchRule CORE_AND_PACKS_KNOW_NO_SERVER = noClasses().that().resideInAnyPackage("bricksignal.core..",
            "bricksignal.packs..").should().dependOnClassesThat().resideInAPackage("bricksignal.server..");

    @ArchTest
    static final ArchRule CORE_KNOWS_NO_PACKS = noClasses().that().resideInAPackage("bricksignal.core..").should()
            .dependOnClassesThat().resideInAnyPackage("bricksignal.packs..", "tools.jackson..", "org.springframework..");

    @ArchTest
    static final ArchRule ENTITIES_DO_NOT_LEAVE_BY_A_CONTROLLER = methods().that().areDeclaredInClassesThat()
            .areAnnotatedWith(RestController.class).and().arePackagePrivate().should()
            .notHaveRawReturnType(com.tngtech.archunit.base.DescribedPredicate.describe("an entity",
                    type -> type.isAnnotatedWith(Entity.class)));

    @ArchTest
    static final ArchRule ENTITIES_DO_NOT_REACH_CORE = noFields().that().areDeclaredInClassesThat()
            .areAnnotatedWith(Entity.class).should().haveRawType(com.tngtech.archunit.base.DescribedPredicate.describe(
                    "a type of core", type -> type.getPackageName().startsWith("bricksignal.core")));
}
