package jalon.server.batch;

import com.fasterxml.jackson.annotation.JsonProperty;

/** How it stands with what a person decided; nothing of it is ever deleted. */
enum DecisionState {
    @JsonProperty("active")
    ACTIVE,
    /** Can be done again. */
    @JsonProperty("undone")
    UNDONE,
    /** Undone, and another act came after. */
    @JsonProperty("dropped")
    DROPPED
}
