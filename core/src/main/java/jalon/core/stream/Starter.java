package jalon.core.stream;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What a new stream can begin with, by the kind of paper that it is for: how it is cut, its types, fields and checks. */
public enum Starter {
    @JsonProperty("nothing")
    NOTHING("nothing"),
    /** One form, filled in again and again. */
    @JsonProperty("form")
    FORM("form"),
    @JsonProperty("letters")
    LETTERS("letters"),
    /** Invoices, and the delivery notes that belong to them. */
    @JsonProperty("invoices")
    INVOICES("invoices"),
    @JsonProperty("certificates")
    CERTIFICATES("certificates"),
    /** Whatever comes in a day's post. */
    @JsonProperty("mixed")
    MIXED("mixed");

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final String name;

    Starter(String name) {
        this.name = name;
    }

    /** A whole stream of this name and title. */
    public String json(String stream, String title) {
        try (InputStream in = Starter.class.getResourceAsStream("/jalon/starters.json")) {
            JsonNode its = JSON.readTree(in).get(name);
            ObjectNode named = JSON.createObjectNode()
                    .put("jalon", 1)
                    .put("stream", stream)
                    .put("title", title);
            named.setAll((ObjectNode) its);
            return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(named);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
