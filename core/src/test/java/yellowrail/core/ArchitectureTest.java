package yellowrail.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

class ArchitectureTest {

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("yellowrail.core");

    @Test
    void coreStandsOnItsOwn() {
        classes()
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage(
                        "yellowrail.core..", "java..", "org.apache.commons.csv..", "org.hipparchus..", "org.jgrapht..")
                .check(CORE);
    }

    @Test
    void noPackageDependsInACircle() {
        slices().matching("yellowrail.core.(*)..").should().beFreeOfCycles().check(CORE);
    }
}
