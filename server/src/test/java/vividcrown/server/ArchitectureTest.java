package vividcrown.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.constructors;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noMethods;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import jakarta.persistence.Entity;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.data.repository.Repository;
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

    /** Rows are read everywhere and written by their own feature only. */
    @Test
    void rows_of_another_feature_are_out_of_reach() {
        noClasses().should().callMethodWhere(DescribedPredicate.describe("writing rows of another feature",
                call -> call.getTargetOwner().isAssignableTo(Repository.class)
                        && Stream.of("save", "delete", "flush").anyMatch(call.getName()::startsWith)
                        && !call.getTargetOwner().getPackageName().equals(call.getOriginOwner().getPackageName())))
                .check(SERVER);
        constructors().that().areDeclaredInClassesThat().areAnnotatedWith(Entity.class).should().notBePublic()
                .check(SERVER);
        noMethods().that().areDeclaredInClassesThat().areAnnotatedWith(Entity.class).and().haveRawReturnType(void.class)
                .should().bePublic().check(SERVER);
    }

    @Test
    void controllers_hand_out_no_entities() {
        classes().that().areAnnotatedWith(RestController.class).should().bePackagePrivate()
                .because("a controller is reached over HTTP only").check(SERVER);
        noClasses().that().areRecords().and().haveSimpleNameEndingWith("View").should().dependOnClassesThat()
                .areAnnotatedWith(Entity.class).because("rows stay inside; views go over the wire").check(SERVER);
    }
}
