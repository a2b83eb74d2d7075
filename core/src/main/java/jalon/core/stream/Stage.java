package jalon.core.stream;

import com.fasterxml.jackson.annotation.JsonProperty;

/** Where a batch is. */
public enum Stage {
    @JsonProperty("intake")
    INTAKE,
    @JsonProperty("pages")
    PAGES,
    @JsonProperty("index")
    INDEX,
    @JsonProperty("filing")
    FILING,
    @JsonProperty("done")
    DONE
}
