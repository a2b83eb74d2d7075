package jalon.server.live;

import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Tells open screens that a batch has changed, those of all servers; they fetch what they need. */
@Component
public class Events {
    private final Listeners listeners;
    private final NewsRows news;
    private final Node node;

    Events(Listeners listeners, NewsRows news, Node node) {
        this.listeners = listeners;
        this.news = news;
        this.node = node;
    }

    /** @param who sign-in of the person at the screen */
    public SseEmitter listen(String who) {
        return listeners.listen(who);
    }

    /**
     * Sent when the change is committed: a screen that asks at once must see it. For the other servers it is written down in
     * the same transaction: what is done is told, and what is not done is not.
     */
    public void changed(String batchNo) {
        news.add(batchNo, node.id());
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCommit() {
                    listeners.tell(batchNo);
                }
            });
        } else {
            listeners.tell(batchNo);
        }
    }
}
