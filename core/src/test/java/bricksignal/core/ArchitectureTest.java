package bricksignal.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The rules of the heart, as sentences. */
@AnalyzeClasses(packages = "bricksignal.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule CORE_KNOWS_ONLY_JAVA = classes().that().resideInAPackage("bricksignal.core..").should()
            .onlyDependOnClassesThat().resideInAnyPackage("bricksignal.core..", "java.lang", "java.lang.annotation", "java.util", "java.util.function", "java.util.regex",
                    "java.util.stream", "java.util.concurrent", "java.lang.invoke", "java.lang.runtime", "org.jspecify..");

    @ArchTest
    static final ArchRule PACKAGES_HAVE_NO_CYCLES = slices().matching("bricksignal.core.(**)").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule CIRCUITS_KNOW_NOTHING_OF_BOARDS = noClasses().that().resideInAPackage("..core.circuit..").should()
            .dependOnClassesThat().resideInAnyPackage("..core.board..", "..core.unit..", "..core.diagnosis..");

    @ArchTest
    static final ArchRule MODELS_KNOW_NOTHING_OF_DIAGNOSIS = noClasses().that().resideInAnyPackage("..core.unit..",
            "..core.board..", "..core.lamp..").should().dependOnClassesThat().resideInAPackage("..core.diagnosis..");

    @ArchTest
    static final ArchRule NO_CLOCK_AND_NO_CHANCE = noClasses().should().callMethod(System.class, "currentTimeMillis")
            .orShould().callMethod(System.class, "nanoTime").orShould().callMethod(Math.class, "random")
            .orShould().dependOnClassesThat().haveFullyQualifiedName("java.util.Random");

    @ArchTest
    static final ArchRule NO_PLATFORM_FORMATTING = noClasses().should().callMethod(String.class, "format", String.class,
            Object[].class).orShould().callMethod(String.class, "formatted", Object[].class)
            .because("results must be the same on every platform");
}
