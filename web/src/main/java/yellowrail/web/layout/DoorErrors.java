package yellowrail.web.layout;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ErrorReportValve;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * What the server itself refuses, before any page of ours could answer, is told in plain words and without its name.
 */
@Configuration(proxyBeanMethods = false)
class DoorErrors {

    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> plainErrors() {
        return factory -> factory.addContextCustomizers(context -> {
            if (context.getParent() instanceof org.apache.catalina.core.StandardHost host) {
                host.setErrorReportValveClass(Plain.class.getName());
            }
        });
    }

    /** One sentence for what cannot be a request, another for what went wrong here. */
    public static final class Plain extends ErrorReportValve {

        @Override
        protected void report(Request request, Response response, Throwable throwable) {
            int status = response.getStatus();
            if (status < HttpServletResponse.SC_BAD_REQUEST
                    || response.getContentWritten() > 0
                    || !response.setErrorReported()) {
                return;
            }
            boolean theirs = status < HttpServletResponse.SC_INTERNAL_SERVER_ERROR;
            try {
                response.setContentType("text/plain");
                response.setCharacterEncoding(StandardCharsets.UTF_8);
                Writer writer = response.getReporter();
                if (writer != null) {
                    writer.write(
                            theirs
                                    ? "This is no request that could be read (%d).\n".formatted(status)
                                    : ("Something went wrong here (%d). Readings that were shown in the log are stored."
                                                    + "\n")
                                            .formatted(status));
                    response.finishResponse();
                }
            } catch (IOException | IllegalStateException e) {
                // the connection is gone, and with it whoever asked
            }
        }
    }
}
