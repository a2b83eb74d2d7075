package jalon.server.batch;

import com.fasterxml.jackson.annotation.JsonProperty;

/** How a batch came in. */
public enum CameBy {
    @JsonProperty("upload")
    UPLOAD,
    @JsonProperty("scanner")
    SCANNER,
    @JsonProperty("folder")
    FOLDER,
    @JsonProperty("mail")
    MAIL,
    @JsonProperty("program")
    PROGRAM,
    /** Pages by which a stream is made and tried; they are never filed, and nobody works on them. */
    @JsonProperty("samples")
    SAMPLES
}
