package vividcrown.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import jakarta.persistence.Entity;
import org.junit.jupiter.api.Test;
import org.springframework.web.bind.annotation.RestController;

class ArchitectureTest {

    private static final JavaClasses SERVER = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests()).importPackages("vividcrown.server");

    @Test
    void features_depend_one_way() {
        slices().matching("vividcrown.server.(*)..").should().beFreeOfCycles().check(SERVER);
    }

    @Test
    void nobody_but_the_journal_writes_entries() {
        noClasses().that().resideOutsideOfPackage("vividcrown.server.journal").should()
                .callMethodWhere(DescribedPredicate.describe("Journal.save",
                        call -> call.getTargetOwner().getSimpleName().equals("Journal")
                                && call.getName().startsWith("save")))
                .because("the recorder checks entries and makes the rows that follow, in one transaction")
                .check(SERVER);
    }

    @Test
    void controllers_hand_out_no_entities() {
        classes().that().areAnnotatedWith(RestController.class).should().bePackagePrivate()
                .because("a controller is reached over HTTP only").check(SERVER);
        noClasses().that().areRecords().and().haveSimpleNameEndingWith("View").should().dependOnClassesThat()
                .areAnnotatedWith(Entity.class).because("rows stay inside; views go over the wire").check(SERVER);
    }
}
