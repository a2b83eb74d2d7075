package jalon.server.filing;

import jalon.core.output.FilingPlaces;
import jalon.server.JalonSettings;
import jalon.server.archive.Archive;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The places that this installation files into. */
@Configuration
class Places {
    @Bean
    FilingPlaces filingPlaces(JalonSettings settings, Archive archive, OwnPlaces own) {
        return new FilingPlaces(settings.filingFolder(), archive.root(), own::open);
    }
}
