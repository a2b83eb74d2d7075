package jalon.server.people;

import com.fasterxml.jackson.annotation.JsonProperty;

/** What a person may do. */
public enum Role {
    /** Works on batches. */
    @JsonProperty("operator")
    OPERATOR,
    /** Sees to streams, channels and people too. */
    @JsonProperty("supervisor")
    SUPERVISOR,
    /** Reads the archive and nothing else. */
    @JsonProperty("reader")
    READER
}
