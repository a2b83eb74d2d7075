package jalon.server.api;

import io.swagger.v3.oas.models.info.Info;
import java.util.ArrayList;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The published description of the API. */
@Configuration
class ApiDocument {
    /** Every part of an answer is always there, if need be as null: clients need not ask whether it is. */
    @Bean
    OpenApiCustomizer allPartsAreThere() {
        return api -> {
            api.setInfo(new Info().title("Jalon").version("1"));
            // Where this server happens to run is nothing to be published.
            api.setServers(null);
            api.getComponents().getSchemas().values().forEach(schema -> {
                if (schema.getProperties() != null) {
                    schema.setRequired(new ArrayList<>(
                            new java.util.TreeSet<String>(schema.getProperties().keySet())));
                }
            });
        };
    }
}
