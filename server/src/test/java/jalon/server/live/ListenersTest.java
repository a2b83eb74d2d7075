package jalon.server.live;

import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.springframework.context.annotation.AnnotationConfigApplicationContext;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

class ListenersTest {
    /** Each open screen held up the end of the server until it was ended by force. */
    @Test
    void aServerThatStopsEndsWhatScreensListenTo() {
        SseEmitter screen;
        try (var server = new AnnotationConfigApplicationContext(Listeners.class)) {
            screen = server.getBean(Listeners.class).listen("m.tarrow");
        }
        assertThatThrownBy(() -> screen.send("still there")).hasMessageContaining("completed");
    }

    @Test
    void onePersonsScreensAreBounded() throws Exception {
        var listeners = new Listeners();
        SseEmitter first = listeners.listen("m.tarrow");
        SseEmitter another = listeners.listen("t.vane");
        for (int i = 0; i < 30; i++) {
            listeners.listen("m.tarrow");
        }
        assertThatThrownBy(() -> first.send("still there")).hasMessageContaining("completed");
        another.send("still there");
    }
}
