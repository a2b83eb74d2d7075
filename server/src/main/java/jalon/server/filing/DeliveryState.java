package jalon.server.filing;

/** How it stands with a delivery. */
public enum DeliveryState {
    /** Not tried yet. */
    planned,
    /** It failed for a reason that may pass; it is tried again at a known time. */
    retrying,
    /** It cannot be carried out as it is: a person says what is to become of it. */
    refused,
    done,
    /** A person left it out. */
    leftOut;

    /** Whether nothing more happens to it. */
    public boolean ended() {
        return this == done || this == leftOut;
    }
}
