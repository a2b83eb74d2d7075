package jalon.server.people;

import jalon.server.store.DocumentTrace;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The log says for good who did what and when; values and names of files that stand in it go. */
@Component
class LogTrace implements DocumentTrace {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** Where a value or a name stands, in entries of any act. */
    private static final Set<String> PARTS = Set.of("value", "name", "path", "note");

    /** Of the whole batch. */
    private static final Set<String> PARTS_OF_BATCH = Set.of("value", "name", "path", "note", "source", "file");

    private final LogRows rows;

    LogTrace(LogRows rows) {
        this.rows = rows;
    }

    @Override
    public void erase(Erased document) {
        for (LogRows.PartsRow row : rows.partsOfBatch(document.batch())) {
            ObjectNode parts = (ObjectNode) JSON.readTree(row.parts());
            boolean changed = false;
            for (String part : document.batchToo() ? PARTS_OF_BATCH : PARTS) {
                if (parts.has(part) && (document.batchToo() || isAbout(parts, document))) {
                    parts.put(part, "");
                    changed = true;
                }
            }
            if (changed) {
                rows.say(row.id(), JSON.writeValueAsString(parts));
            }
        }
        if (document.batchToo()) {
            rows.forgetWords(document.batch());
        }
    }

    private static boolean isAbout(JsonNode parts, Erased document) {
        List<String> pages = document.pages().stream().map(String::valueOf).toList();
        return pages.contains(parts.path("pages").asString(""))
                || Integer.toString(document.no()).equals(parts.path("document").asString(""))
                || document.paths().contains(parts.path("path").asString(""));
    }
}
