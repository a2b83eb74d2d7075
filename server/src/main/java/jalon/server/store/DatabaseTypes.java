package jalon.server.store;

import jalon.core.page.Unread;
import java.time.Clock;
import java.util.List;
import org.mybatis.spring.boot.autoconfigure.ConfigurationCustomizer;
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
            configuration.getTypeHandlerRegistry().register(Unread.class, new UnreadColumn());
        };
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
