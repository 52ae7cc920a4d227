package vividcrown.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import jakarta.persistence.Entity;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.springframework.data.repository.CrudRepository;
import org.springframework.web.bind.annotation.RestController;

class ArchitectureTest {

    private static final JavaClasses SERVER = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests()).importPackages("vividcrown.server");

    @Test
    void features_depend_one_way() {
        slices().matching("vividcrown.server.(*)..").should().beFreeOfCycles().check(SERVER);
    }

    @Test
    void nobody_but_the_recorder_writes_entries() {
        noClasses().that().doNotHaveSimpleName("Recorder").should()
                .callMethodWhere(DescribedPredicate.describe("saving entries",
                        call -> Set.of("Journal", "JournalSubjects").contains(call.getTargetOwner().getSimpleName())
                                && call.getName().startsWith("save")))
                .because("it checks entries and makes the rows that follow, in one transaction").check(SERVER);
    }

    /** Others see a row through the interface that its feature gives them, which cannot change it. */
    @Test
    void rows_of_another_feature_are_out_of_reach() {
        classes().that().areAnnotatedWith(Entity.class).should().bePackagePrivate().check(SERVER);
        classes().that().areAssignableTo(CrudRepository.class).should().bePackagePrivate()
                .because("it can save and delete").check(SERVER);
    }

    @Test
    void controllers_hand_out_no_entities() {
        classes().that().areAnnotatedWith(RestController.class).should().bePackagePrivate()
                .because("a controller is reached over HTTP only").check(SERVER);
        noClasses().that().areRecords().and().haveSimpleNameEndingWith("View").should().dependOnClassesThat()
                .areAnnotatedWith(Entity.class).because("rows stay inside; views go over the wire").check(SERVER);
    }
}
