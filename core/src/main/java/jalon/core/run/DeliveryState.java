package jalon.core.run;

import com.fasterxml.jackson.annotation.JsonProperty;

/** How it stands with a delivery. */
public enum DeliveryState {
    /** Not tried yet. */
    @JsonProperty("planned")
    PLANNED,
    /** Under way now. */
    @JsonProperty("running")
    RUNNING,
    /** It failed for a reason that may pass; it is tried again at a known time. */
    @JsonProperty("retrying")
    RETRYING,
    /** It cannot be carried out as it is: a person says what is to become of it. */
    @JsonProperty("refused")
    REFUSED,
    /** A person holds its document back until a person releases it. */
    @JsonProperty("heldBack")
    HELD_BACK,
    @JsonProperty("done")
    DONE,
    /** A person left it out. */
    @JsonProperty("leftOut")
    LEFT_OUT;

    /** Whether nothing more happens to it. */
    public boolean ended() {
        return this == DONE || this == LEFT_OUT;
    }
}
