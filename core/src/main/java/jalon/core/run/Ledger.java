package jalon.core.run;

import java.util.EnumMap;
import java.util.Map;

/**
 * The account of every page. Always balanced: received = filed + erased + blank + separator + setAside + unreadable +
 * withdrawn + open. Every page stands in just one of them.
 *
 * @param received all pages that came in, those that could not be read among them
 * @param filed in a document all of whose deliveries are done or left out
 * @param erased in a document that was filed, and erased when its time was over
 * @param unreadable pages that could not be read, whatever became of the batch
 * @param withdrawn pages that would be open, of a batch that was taken out for good
 * @param open in a document that is not filed yet
 */
public record Ledger(
        int received,
        int filed,
        int erased,
        int blank,
        int separator,
        int setAside,
        int unreadable,
        int withdrawn,
        int open) {
    public Ledger {
        if (received != filed + erased + blank + separator + setAside + unreadable + withdrawn + open) {
            throw new IllegalStateException("the page ledger does not balance: " + received + " received, but " + filed
                    + " filed, " + erased + " erased, " + blank + " blank, " + separator + " separators, " + setAside
                    + " set aside, "
                    + unreadable + " not readable, " + withdrawn + " withdrawn and " + open + " open");
        }
    }

    /**
     * What the pages on the line do not tell.
     *
     * @param unreadable pages that could not be read
     * @param waiting pages that were not read yet
     * @param withdrawn whether the batch was taken out of the work for good
     * @param fates of its documents by number; those not named are open
     */
    public record Beside(int unreadable, int waiting, boolean withdrawn, Map<Integer, DocumentFate> fates) {
        public static final Beside NOTHING = new Beside(0, 0, false, Map.of());
    }

    public static Ledger of(BatchView view, Beside beside) {
        Map<BatchView.Role, Integer> roles = new EnumMap<>(BatchView.Role.class);
        view.pages().forEach(p -> roles.merge(p.role(), 1, Integer::sum));
        Map<DocumentFate, Integer> pages = new EnumMap<>(DocumentFate.class);
        view.documents()
                .forEach(d -> pages.merge(
                        beside.fates().getOrDefault(d.no(), DocumentFate.OPEN),
                        d.pages().size(),
                        Integer::sum));
        int undone = pages.getOrDefault(DocumentFate.OPEN, 0) + beside.waiting();
        return new Ledger(
                view.pages().size() + beside.unreadable() + beside.waiting(),
                pages.getOrDefault(DocumentFate.FILED, 0),
                pages.getOrDefault(DocumentFate.ERASED, 0),
                roles.getOrDefault(BatchView.Role.BLANK, 0),
                roles.getOrDefault(BatchView.Role.SEPARATOR, 0),
                roles.getOrDefault(BatchView.Role.SET_ASIDE, 0) + pages.getOrDefault(DocumentFate.LEFT_OUT, 0),
                beside.unreadable(),
                beside.withdrawn() ? undone : 0,
                beside.withdrawn() ? 0 : undone);
    }
}
