package jalon.server.live;

import java.io.IOException;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Tells open screens that a batch has changed, as server-sent events; they fetch what they need. */
@Component
public class Events {
    private final List<SseEmitter> listening = new CopyOnWriteArrayList<>();

    public SseEmitter listen() {
        SseEmitter emitter = new SseEmitter(0L);
        listening.add(emitter);
        emitter.onCompletion(() -> listening.remove(emitter));
        emitter.onTimeout(() -> listening.remove(emitter));
        emitter.onError(e -> listening.remove(emitter));
        send(emitter, "hello", "");
        return emitter;
    }

    /** A server that stops waits for answers that are under way; these would be so for as long as a screen is open. */
    @EventListener
    void stopping(ContextClosedEvent end) {
        listening.forEach(SseEmitter::complete);
    }

    /** Sent when the change is committed: a screen that asks at once must see it. */
    public void changed(String batchNo) {
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCommit() {
                    tell(batchNo);
                }
            });
        } else {
            tell(batchNo);
        }
    }

    private void tell(String batchNo) {
        listening.forEach(e -> send(e, "batch", batchNo));
    }

    private void send(SseEmitter emitter, String name, String data) {
        try {
            emitter.send(SseEmitter.event().name(name).data(data));
        } catch (IOException | IllegalStateException e) {
            // The screen was closed.
            listening.remove(emitter);
        }
    }
}
