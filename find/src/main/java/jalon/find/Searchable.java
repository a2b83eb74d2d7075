package jalon.find;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A filed document as it is found.
 *
 * @param fields values by field name
 * @param pages text of each page
 * @param confidential names of the fields of its kind whose values, and with them all pages, are not for everybody who may
 *     see such documents; it may have no value of them that was read
 */
public record Searchable(
        long id,
        Kind kind,
        String batch,
        String filedBy,
        Instant filedAt,
        Map<String, String> fields,
        List<String> pages,
        Set<String> confidential) {
    /** Whether there is something in it that is not for everybody who may see such documents. */
    boolean isParted() {
        return !confidential.isEmpty();
    }

    /** What is left for those who may not see what is confidential. */
    Searchable open() {
        Map<String, String> left = new LinkedHashMap<>(fields);
        left.keySet().removeAll(confidential);
        return new Searchable(id, kind, batch, filedBy, filedAt, left, List.of(), Set.of());
    }

    /**
     * What sort of document.
     *
     * @param title of the type
     */
    public record Kind(String stream, String streamTitle, String type, String title) {
        /** As the index marks documents with it. */
        public String key() {
            return key(stream, type);
        }

        public static String key(String stream, String type) {
            return stream + "/" + type;
        }
    }
}
