package jalon.server.api;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.IntegerSchema;
import io.swagger.v3.oas.models.media.MapSchema;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.responses.ApiResponse;
import io.swagger.v3.oas.models.security.SecurityRequirement;
import io.swagger.v3.oas.models.security.SecurityScheme;
import jalon.core.words.Words;
import jalon.server.Problem;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The published description of the API. */
@Configuration
class ApiDocument {
    private static final String TOKEN = "token";
    private static final String SESSION = "session";
    private static final String PROBLEM = "Problem";
    private static final String FOR_PROGRAMS = "/in/";

    @Bean
    OpenApiCustomizer document() {
        return api -> {
            api.setInfo(new Info()
                    .title("Jalon")
                    .version("1")
                    .description("What lies below /in/v1 is for programs and stays as it is: parts may be added, never"
                            + " changed. What lies below /api serves the screens of the same version."));
            // Where this server happens to run is nothing to be published.
            api.setServers(null);
            secure(api);
            tellErrors(api);
            everyPartIsThere(api);
        };
    }

    private static void secure(OpenAPI api) {
        api.getComponents()
                .addSecuritySchemes(
                        TOKEN,
                        new SecurityScheme()
                                .type(SecurityScheme.Type.HTTP)
                                .scheme("bearer")
                                .description("A token that a supervisor made under Intake"))
                .addSecuritySchemes(
                        SESSION,
                        new SecurityScheme()
                                .type(SecurityScheme.Type.APIKEY)
                                .in(SecurityScheme.In.COOKIE)
                                .name("JSESSIONID")
                                .description("Given by signing in at /api/sign-in"));
        api.getPaths()
                .forEach((path, item) -> item.readOperations()
                        .forEach(o -> o.setSecurity(List.of(
                                new SecurityRequirement().addList(path.startsWith(FOR_PROGRAMS) ? TOKEN : SESSION)))));
    }

    /** Every error has the same form (RFC 9457). */
    private static void tellErrors(OpenAPI api) {
        api.getComponents()
                .addSchemas(
                        PROBLEM,
                        new ObjectSchema()
                                .description("What went wrong, as RFC 9457 has it")
                                .addProperty("status", new IntegerSchema())
                                .addProperty("detail", new StringSchema().description("What it is and what to do"))
                                .addProperty("code", codes())
                                .addProperty(
                                        "with",
                                        new MapSchema()
                                                .additionalProperties(new StringSchema())
                                                .description("The values that belong to the code, by their names")));
        api.getPaths().values().stream()
                .flatMap(p -> p.readOperations().stream())
                .forEach(ApiDocument::tellErrors);
    }

    private static Schema<?> codes() {
        var codes = new StringSchema();
        codes.setDescription("Which problem it is; absent for what nobody expected");
        for (Problem problem : Problem.values()) {
            codes.addEnumItem(Words.name(problem));
        }
        return codes;
    }

    private static void tellErrors(Operation operation) {
        tell(operation, "401", "Not signed in, or no valid token");
        tell(operation, "403", "The role or the token does not allow it");
        boolean namesSomething = operation.getParameters() != null
                && operation.getParameters().stream().anyMatch(p -> "path".equals(p.getIn()));
        if (namesSomething) {
            tell(operation, "404", "There is no such thing");
        }
        if (operation.getRequestBody() != null) {
            tell(operation, "409", "It cannot be done as things stand");
            tell(operation, "422", "What was sent cannot be used");
        }
    }

    private static void tell(Operation operation, String status, String what) {
        var form = new MediaType().schema(new Schema<>().$ref("#/components/schemas/" + PROBLEM));
        operation
                .getResponses()
                .addApiResponse(
                        status,
                        new ApiResponse()
                                .description(what)
                                .content(new Content().addMediaType("application/problem+json", form)));
    }

    /** Every part of an answer is always there, if need be as null: clients need not ask whether it is. */
    private static void everyPartIsThere(OpenAPI api) {
        api.getComponents().getSchemas().values().forEach(schema -> {
            if (schema.getProperties() != null) {
                schema.setRequired(new ArrayList<>(
                        new TreeSet<String>(schema.getProperties().keySet())));
            }
        });
    }
}
