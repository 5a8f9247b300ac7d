package yellowrail.web.api;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Supplier;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import yellowrail.core.audit.Audit;
import yellowrail.core.audit.AuditProblem;
import yellowrail.core.audit.Draw;
import yellowrail.core.audit.NodeVolts;
import yellowrail.core.audit.Part;
import yellowrail.core.quantity.Unit;
import yellowrail.core.typed.Quantity;
import yellowrail.web.form.Faults;

/** Accounts for the currents of a supply without storing anything. */
@RestController
class JsonAuditController {

    /** Some hundred characters for each of a thousand objects. */
    private static final int LONGEST_BODY = 1 << 18;

    private final JsonExchange exchange;

    JsonAuditController(JsonExchange exchange) {
        this.exchange = exchange;
    }

    @Operation(summary = "Where every milliamp of a supply goes, and what is left over at each node")
    @Asks("AuditRequest")
    @ApiResponse(
            responseCode = "200",
            description = "The current of each part, and the residue of each node that a current flows through",
            content =
                    @Content(
                            mediaType = MediaType.APPLICATION_JSON_VALUE,
                            schema = @Schema(implementation = AuditResponse.class)))
    @RefusedWithFaults
    @PostMapping(path = "/api/audit", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<Object> audit(@Parameter(hidden = true) InputStream body) throws IOException {
        return exchange.answer(body, LONGEST_BODY, AuditShape.SHAPE, "page.api.audit", JsonAuditController::account);
    }

    private static Supplier<Object> account(JsonFields fields, Faults faults) {
        Set<String> labels = new HashSet<>();
        List<NodeVolts> nodes = new ArrayList<>();
        for (JsonFields node : fields.objects(AuditShape.NODES)) {
            String label = JsonLabel.read(node, AuditShape.LABEL, labels);
            if (label.equals(Part.GROUND)) {
                node.fault(AuditShape.LABEL, new RequestFault.NodeIsGround(Quantity.quote(label)));
            }
            nodes.add(new NodeVolts(label, node.required(AuditShape.VOLTS), orNone(node, AuditShape.PLUS_MINUS)));
        }
        labels.add(Part.GROUND);
        List<Supplier<Part>> parts = new ArrayList<>();
        if (fields.has(AuditShape.PARTS)) {
            fields.objects(AuditShape.PARTS).forEach(part -> parts.add(part(part, labels)));
        }
        labels.remove(Part.GROUND);
        List<Draw> draws = new ArrayList<>();
        if (fields.has(AuditShape.DRAWS)) {
            fields.objects(AuditShape.DRAWS)
                    .forEach(draw -> draws.add(new Draw(
                            node(draw, AuditShape.NODE_DRAWN, labels),
                            Unit.MILLIAMP.toSi(draw.required(AuditShape.MILLIAMPS)),
                            Unit.MILLIAMP.toSi(orNone(draw, AuditShape.DRAW_PLUS_MINUS)))));
        }
        return () -> AuditResponse.of(new Audit(
                new AuditProblem(nodes, parts.stream().map(Supplier::get).toList(), draws, 0)));
    }

    /** It is put together once no field is at fault. */
    private static Supplier<Part> part(JsonFields part, Set<String> labels) {
        String from = node(part, AuditShape.FROM, labels);
        String to = node(part, AuditShape.TO, labels);
        if (from.equals(to)) {
            part.fault(AuditShape.TO, new RequestFault.SameEnds(Quantity.quote(to)));
        }
        double ohms = part.required(AuditShape.OHMS);
        double tolerance = Unit.PERCENT.toSi(orNone(part, AuditShape.TOLERANCE));
        OptionalDouble watts = part.number(AuditShape.WATTS);
        return () -> new Part(from, to, ohms, tolerance, watts);
    }

    private static String node(JsonFields object, JsonField field, Set<String> labels) {
        String label = object.words(field).strip();
        if (object.has(field) && !labels.contains(label)) {
            object.fault(field, new RequestFault.NoSuchNode(Quantity.quote(label)));
        }
        return label;
    }

    private static double orNone(JsonFields object, JsonField field) {
        return object.number(field).orElse(0);
    }
}
