package yellowrail.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class ArchitectureTest {

    private static final JavaClasses WEB = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("yellowrail.web");

    @Test
    void noFeatureDependsInACircle() {
        slices().matching("yellowrail.web.(*)..").should().beFreeOfCycles().check(WEB);
    }

    @Test
    void aRequestGoesOneWayIn() {
        noClasses()
                .that()
                .haveSimpleNameEndingWith("Controller")
                .should()
                .dependOnClassesThat()
                .haveSimpleNameEndingWith("Mapper")
                .check(WEB);
        classes()
                .that()
                .haveSimpleNameEndingWith("Mapper")
                .should()
                .bePackagePrivate()
                .check(WEB);
        classes()
                .that()
                .haveSimpleNameEndingWith("Controller")
                .should()
                .bePackagePrivate()
                .check(WEB);
    }

    @Test
    void theJsonInterfaceNeedsNoPages() {
        noClasses()
                .that()
                .resideInAPackage("..api..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "yellowrail.web.run..",
                        "yellowrail.web.amp..",
                        "yellowrail.web.layout..",
                        "yellowrail.web.bench..")
                .check(WEB);
    }

    /** One clock for all times: the application's. */
    @Test
    void noStatementAsksTheDatabaseForTheTime() throws IOException {
        try (Stream<Path> files = Files.walk(Path.of("src/main/resources/yellowrail"))) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                assertThat(Files.readString(file))
                        .as(file.toString())
                        .doesNotContainPattern("(?i)now\\(\\)|\\bcurrent_");
            }
        }
    }
}
