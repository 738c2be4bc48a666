package bricksignal.casework;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The rules of the casework, as sentences. */
@AnalyzeClasses(packages = "bricksignal.casework", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule CASEWORK_KNOWS_ONLY_CORE_AND_JAVA = classes().that().resideInAPackage("bricksignal.casework..").should()
            .onlyDependOnClassesThat().resideInAnyPackage("bricksignal.casework..", "bricksignal.core..", "java.lang", "java.util",
                    "java.util.function", "java.util.stream", "java.util.concurrent", "java.lang.invoke", "java.lang.runtime",
                    "org.jspecify..");

    @ArchTest
    static final ArchRule PACKAGES_HAVE_NO_CYCLES = slices().matching("bricksignal.casework.(**)").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule ENTRIES_KNOW_NOTHING_OF_CASES = noClasses().that().resideInAPackage("..casework.entry..").should()
            .dependOnClassesThat().resideInAnyPackage("..casework.page..", "..casework.words..", "..core.diagnosis..");

    @ArchTest
    static final ArchRule NO_CLOCK_AND_NO_CHANCE = noClasses().should().callMethod(System.class, "currentTimeMillis")
            .orShould().callMethod(System.class, "nanoTime").orShould().callMethod(Math.class, "random")
            .orShould().dependOnClassesThat().haveFullyQualifiedName("java.util.Random");

    @ArchTest
    static final ArchRule NO_PLATFORM_FORMATTING = noClasses().should().callMethod(String.class, "format", String.class,
            Object[].class).orShould().callMethod(String.class, "formatted", Object[].class)
            .because("results must be the same on every platform");
}
