package yellowrail.web.api;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;

/** How the OpenAPI document tells what {@link JsonExchange} answers a request with that cannot be used. */
@ApiResponse(
        responseCode = "400",
        description =
                "Every fault with its field, in one problem document (RFC 9457): errors is a list of field and message",
        content =
                @Content(
                        mediaType = MediaType.APPLICATION_PROBLEM_JSON_VALUE,
                        schema = @Schema(implementation = ProblemDetail.class)))
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
@interface RefusedWithFaults {}
