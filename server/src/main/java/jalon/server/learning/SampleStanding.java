package jalon.server.learning;

import com.fasterxml.jackson.annotation.JsonProperty;

/** What became of a confirmed document. */
public enum SampleStanding {
    /** It is learned with the next lesson. */
    @JsonProperty("waiting")
    WAITING,
    /** Its type is known by it. */
    @JsonProperty("known")
    KNOWN,
    /** With it others came out wrong, or nothing is on it. */
    @JsonProperty("refused")
    REFUSED,
    /** There are enough that teach more. */
    @JsonProperty("spare")
    SPARE,
    /** A person said so. */
    @JsonProperty("takenOut")
    TAKEN_OUT
}
