package jalon.find;

import java.time.Instant;
import java.util.List;
import java.util.Map;

/**
 * A filed document as it is found.
 *
 * @param fields values by field name
 * @param pages text of each page
 */
public record Searchable(
        long id,
        Kind kind,
        String batch,
        String filedBy,
        Instant filedAt,
        Map<String, String> fields,
        List<String> pages) {
    /**
     * What sort of document.
     *
     * @param title of the type
     */
    public record Kind(String stream, String streamTitle, String type, String title) {
        /** As {@link Search#kinds} names it. */
        public String key() {
            return key(stream, type);
        }

        public static String key(String stream, String type) {
            return stream + "/" + type;
        }
    }
}
