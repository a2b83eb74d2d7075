package jalon.find;

import java.util.List;
import java.util.Map;

/**
 * What was found.
 *
 * @param ids of the documents, in the order asked for
 * @param total of all that match
 * @param counts how many of them have which value, by facet; the most frequent first
 * @param near what was taken instead where nothing is exactly what was asked for; empty otherwise
 */
public record Answer(List<Long> ids, int total, Map<Facet, List<Count>> counts, List<Near> near) {
    /** What results are counted by. */
    public enum Facet {
        TYPE("type"),
        STREAM("stream"),
        YEAR("year"),
        BY("by");

        private final String field;

        Facet(String field) {
            this.field = field;
        }

        /** The field of the search line that narrows to one of its values. */
        public String field() {
            return field;
        }
    }

    public record Count(String value, int documents) {}

    /**
     * A part that nothing matches.
     *
     * @param part number of the part in the line, from 0
     * @param instead words or values one letter off that are there
     */
    public record Near(int part, List<String> instead) {}

    /** A value that exists. @param documents how many have it */
    public record Known(String field, String value, int documents) {}
}
