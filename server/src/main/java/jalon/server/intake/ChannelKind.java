package jalon.server.intake;

import com.fasterxml.jackson.annotation.JsonProperty;

/** What kind of door a channel is. */
public enum ChannelKind {
    @JsonProperty("folder")
    FOLDER,
    @JsonProperty("mailbox")
    MAILBOX,
    @JsonProperty("scanner")
    SCANNER
}
