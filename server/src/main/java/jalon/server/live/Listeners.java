package jalon.server.live;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The open screens of this server, told by server-sent events. */
@Component
class Listeners {
    /** Of one person; with one more the oldest is ended, and its screen asks again if it is still there. */
    private static final int MOST_OF_ONE = 30;

    private final List<Listener> listening = new CopyOnWriteArrayList<>();

    private record Listener(String who, SseEmitter screen) {}

    SseEmitter listen(String who) {
        var listener = new Listener(who, new SseEmitter(0L));
        listening.add(listener);
        listener.screen().onCompletion(() -> listening.remove(listener));
        listener.screen().onTimeout(() -> listening.remove(listener));
        listener.screen().onError(e -> listening.remove(listener));
        List<Listener> theirs = new ArrayList<>(listening);
        theirs.removeIf(l -> !l.who().equals(who));
        theirs.stream().limit(Math.max(0, theirs.size() - MOST_OF_ONE)).forEach(l -> {
            listening.remove(l);
            l.screen().complete();
        });
        send(listener, "hello", "");
        return listener.screen();
    }

    boolean any() {
        return !listening.isEmpty();
    }

    void tell(String batchNo) {
        listening.forEach(l -> send(l, "batch", batchNo));
    }

    /** A server that stops waits for answers that are under way; these would be so for as long as a screen is open. */
    @EventListener
    void stopping(ContextClosedEvent end) {
        listening.forEach(l -> l.screen().complete());
    }

    private void send(Listener to, String name, String data) {
        try {
            to.screen().send(SseEmitter.event().name(name).data(data));
        } catch (IOException | IllegalStateException e) {
            // The screen was closed.
            listening.remove(to);
        }
    }
}
