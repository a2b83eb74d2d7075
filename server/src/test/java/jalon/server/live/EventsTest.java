package jalon.server.live;

import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.springframework.context.annotation.AnnotationConfigApplicationContext;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

class EventsTest {
    /** Each open screen held up the end of the server until it was ended by force. */
    @Test
    void aServerThatStopsEndsWhatScreensListenTo() {
        SseEmitter screen;
        try (var server = new AnnotationConfigApplicationContext(Events.class)) {
            screen = server.getBean(Events.class).listen();
        }
        assertThatThrownBy(() -> screen.send("still there")).hasMessageContaining("completed");
    }
}
