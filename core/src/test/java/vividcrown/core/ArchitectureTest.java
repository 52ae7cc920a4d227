package vividcrown.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.google.ortools.sat.SatParameters;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

class ArchitectureTest {

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("vividcrown.core");

    @Test
    void core_knows_no_framework() {
        noClasses().should().dependOnClassesThat()
                .resideInAnyPackage("org.springframework..", "jakarta..", "org.hibernate..", "tools.jackson..",
                        "com.fasterxml..", "java.sql..", "java.net..", "vividcrown.server..")
                .because("the rules of the job outlive every framework and are tested without one").check(CORE);
    }

    @Test
    void core_reaches_for_no_clock() {
        noClasses().should().callMethod(java.time.LocalDate.class, "now").orShould()
                .callMethod(java.time.Instant.class, "now").orShould().callMethod(java.time.LocalDateTime.class, "now")
                .orShould().callMethod(System.class, "currentTimeMillis")
                .because("the day is an argument, so that every day can be asked about").check(CORE);
    }

    @Test
    void no_search_takes_turns_with_itself() {
        noClasses().should().callMethod(SatParameters.Builder.class, "setInterleaveSearch", boolean.class)
                .because("when its time runs out on a busy machine the solver ends the whole process").check(CORE);
    }

    @Test
    void packages_depend_one_way() {
        slices().matching("vividcrown.core.(*)..").should().beFreeOfCycles().check(CORE);
    }

    /** What a season is planned from knows only what is wanted; each further part knows those before it. */
    @Test
    void the_parts_of_a_season_follow_one_another() {
        layeredArchitecture().consideringOnlyDependenciesInAnyPackage("vividcrown.core.season..")
                .layer("demand").definedBy("vividcrown.core.season.demand").layer("season")
                .definedBy("vividcrown.core.season").layer("supply").definedBy("vividcrown.core.season.supply")
                .layer("mating").definedBy("vividcrown.core.season.mating")
                .layer("recipe").definedBy("vividcrown.core.season.recipe").layer("plan")
                .definedBy("vividcrown.core.season.plan").layer("sheet").definedBy("vividcrown.core.season.sheet")
                .layer("unfold").definedBy("vividcrown.core.season.unfold").whereLayer("unfold")
                .mayNotBeAccessedByAnyLayer()
                .whereLayer("sheet").mayNotBeAccessedByAnyLayer().whereLayer("plan")
                .mayOnlyBeAccessedByLayers("sheet", "unfold")
                .whereLayer("recipe").mayOnlyBeAccessedByLayers("plan", "sheet", "unfold").whereLayer("mating")
                .mayOnlyBeAccessedByLayers("plan", "unfold").whereLayer("supply")
                .mayOnlyBeAccessedByLayers("recipe", "mating", "plan", "sheet", "unfold").whereLayer("season")
                .mayOnlyBeAccessedByLayers("supply", "recipe", "mating", "plan", "sheet", "unfold").check(CORE);
    }
}
