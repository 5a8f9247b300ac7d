package yellowrail.web.api;

import io.swagger.v3.oas.models.Components;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.parameters.QueryParameter;
import io.swagger.v3.oas.models.parameters.RequestBody;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Tells in the OpenAPI document what requests look like, by the same declarations that read them. */
@Configuration(proxyBeanMethods = false)
class Shapes {

    private static final List<JsonShape> REQUESTS = List.of(
            IdleShape.SHAPE,
            LoadLineShape.SHAPE,
            ReflectedLoadShape.SHAPE,
            TubesShapes.MATCH,
            TubesShapes.PLACING,
            SwapShape.SHAPE,
            SoakShape.SHAPE,
            AuditShape.SHAPE,
            BiasSupplyShape.SHAPE,
            RunShape.SHAPE);

    @Bean
    OperationCustomizer requestBodies() {
        return (operation, method) -> {
            Asks asks = method.getMethodAnnotation(Asks.class);
            return asks == null
                    ? operation
                    : operation.requestBody(new RequestBody()
                            .required(true)
                            .content(new Content()
                                    .addMediaType(
                                            org.springframework.http.MediaType.APPLICATION_JSON_VALUE,
                                            new MediaType().schema(reference(asks.value())))));
        };
    }

    @Bean
    OperationCustomizer soundBodies() {
        return (operation, method) -> {
            if (method.getMethodAnnotation(AsksBesideSound.class) != null) {
                operation.requestBody(new RequestBody()
                        .required(true)
                        .content(new Content()
                                .addMediaType("audio/wav", new MediaType().schema(typed("string", "binary")))));
                SpectrumShape.SHAPE
                        .fields()
                        .forEach(field -> operation.addParametersItem(new QueryParameter()
                                .name(field.name())
                                .description(orNull(field.told()))
                                .schema(schema(field))));
            }
            return operation;
        };
    }

    @Bean
    OpenApiCustomizer requestShapes() {
        return document -> {
            Map<String, Schema<?>> schemas = new TreeMap<>();
            REQUESTS.forEach(shape -> collect(shape, schemas));
            Components components = components(document);
            schemas.forEach(components::addSchemas);
        };
    }

    private static Components components(OpenAPI document) {
        if (document.getComponents() == null) {
            document.setComponents(new Components());
        }
        return document.getComponents();
    }

    private static void collect(JsonShape shape, Map<String, Schema<?>> schemas) {
        Schema<Object> schema = typed("object", null);
        schema.setDescription(orNull(shape.told()));
        for (JsonField field : shape.fields()) {
            if (field.of() != null) {
                collect(field.of(), schemas);
            }
            schema.addProperty(field.name(), schema(field));
        }
        List<String> needed = shape.fields().stream()
                .filter(JsonField::isNeeded)
                .map(JsonField::name)
                .sorted()
                .toList();
        schema.setRequired(needed.isEmpty() ? null : needed);
        schemas.put(shape.name(), schema);
    }

    private static Schema<?> schema(JsonField field) {
        Schema<Object> schema = switch (field.kind()) {
            case NUMBER -> typed("number", "double");
            case WHOLE -> typed("integer", "int32");
            case YES_OR_NO -> typed("boolean", null);
            case TEXT, TIME -> typed("string", null);
            case TEXTS -> listOf(typed("string", null));
            case OBJECT -> reference(field.of().name());
            case OBJECTS -> listOf(reference(field.of().name()));
        };
        boolean bounded = !Double.isNaN(field.least());
        if (bounded && field.kind() == JsonField.Kind.OBJECTS) {
            schema.setMinItems((int) field.least());
            schema.setMaxItems((int) field.most());
        } else if (bounded) {
            schema.setMinimum(BigDecimal.valueOf(field.least()));
            schema.setMaximum(BigDecimal.valueOf(field.most()));
        }
        field.choices().forEach(schema::addEnumItemObject);
        Optional.ofNullable(field.usual()).ifPresent(schema::setDefault);
        Optional.ofNullable(field.like()).ifPresent(schema::setExample);
        schema.setDescription(orNull(field.told()));
        return schema;
    }

    private static String orNull(String words) {
        return words.isBlank() ? null : words;
    }

    private static Schema<Object> typed(String type, String format) {
        Schema<Object> schema = new Schema<>();
        schema.setType(type);
        schema.addType(type);
        schema.setFormat(format);
        return schema;
    }

    private static Schema<Object> listOf(Schema<?> items) {
        Schema<Object> schema = typed("array", null);
        schema.setItems(items);
        return schema;
    }

    private static Schema<Object> reference(String name) {
        Schema<Object> schema = new Schema<>();
        schema.set$ref("#/components/schemas/" + name);
        return schema;
    }
}
