package jalon.core.run;

import java.util.Collection;

/** What became of a document as a whole. */
public enum DocumentFate {
    /** A delivery of it is still to be carried out, or filing has not begun. */
    OPEN,
    /** Every delivery is done or left out, and one is done. */
    FILED,
    /** A person left every delivery of it out. */
    LEFT_OUT,
    /** It was filed, and erased when its time was over. */
    ERASED;

    /** @param deliveries of one document; none before filing has begun */
    public static DocumentFate of(Collection<DeliveryState> deliveries) {
        if (deliveries.isEmpty() || !deliveries.stream().allMatch(DeliveryState::ended)) {
            return OPEN;
        }
        return deliveries.contains(DeliveryState.DONE) ? FILED : LEFT_OUT;
    }
}
