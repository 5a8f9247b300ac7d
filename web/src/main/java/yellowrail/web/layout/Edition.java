package yellowrail.web.layout;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.zip.CRC32;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;

/**
 * Which styles, scripts and fonts these are: a number computed from what is in them. It stands in their addresses, so
 * that a browser which kept them asks again when any of them has changed, and never before.
 */
@Component
class Edition {

    /** Where the libraries that pages load tell their versions. */
    private static final List<String> LIBRARIES = List.of(
            "classpath:/META-INF/maven/org.webjars/bootstrap/pom.properties",
            "classpath:/META-INF/maven/org.webjars.npm/htmx.org/pom.properties");

    private final String address;

    Edition() {
        try {
            address = "/as-%08x".formatted(sum());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static long sum() throws IOException {
        CRC32 sum = new CRC32();
        PathMatchingResourcePatternResolver files = new PathMatchingResourcePatternResolver();
        Resource[] own = files.getResources("classpath:/static/**/*.*");
        Arrays.sort(own, Comparator.comparing(Resource::getFilename));
        for (Resource each : own) {
            add(each, sum);
        }
        for (String library : LIBRARIES) {
            add(files.getResource(library), sum);
        }
        return sum.getValue();
    }

    private static void add(Resource file, CRC32 sum) throws IOException {
        try (InputStream bytes = file.getInputStream()) {
            sum.update(bytes.readAllBytes());
        }
    }

    /** What their addresses begin with. */
    String address() {
        return address;
    }
}
