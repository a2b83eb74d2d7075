package jalon.server.store;

import jalon.core.page.Unread;
import jalon.server.Problem;
import jalon.server.Trouble;
import java.time.Clock;
import java.time.ZoneId;
import java.util.List;
import javax.sql.DataSource;
import org.mybatis.spring.boot.autoconfigure.ConfigurationCustomizer;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How values of our own lie in columns, and the clock that all instants in them come from. */
@Configuration
class DatabaseTypes {
    @Bean
    ConfigurationCustomizer valuesOfOurOwn() {
        return configuration -> {
            configuration.setDefaultEnumTypeHandler(JsonNamedEnums.class);
            configuration.getTypeHandlerRegistry().register(List.class, new JsonList());
            configuration
                    .getTypeHandlerRegistry()
                    .register(Unread.class, new JsonOrWords<>(Unread.class, Unread.Code.AS_WRITTEN::with));
            configuration
                    .getTypeHandlerRegistry()
                    .register(
                            Trouble.class,
                            new JsonOrWords<>(
                                    Trouble.class,
                                    words -> Problem.AS_WRITTEN.with(words).trouble()));
        };
    }

    /** @param zone where the installation stands, such as {@code Europe/Lisbon}; the machine's own when none is set */
    @Bean
    Clock clock(DataSource database, @Value("${jalon.zone:}") String zone) {
        return new DatabaseClock(database, Clock.system(zone.isBlank() ? ZoneId.systemDefault() : ZoneId.of(zone)));
    }
}
