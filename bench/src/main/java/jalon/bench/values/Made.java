package jalon.bench.values;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A document that was made, with what stands on it.
 *
 * @param type of the stream {@link Worlds#STREAM}
 */
record Made(String type, List<Ground> sides, Map<String, Truth> truth, boolean colour) {

    /**
     * @param value in its normal form; null where there is none on the paper
     * @param readable whether a person could read it; what is not must never be sure
     * @param stamped whether coloured ink lies over it
     */
    record Truth(String value, boolean readable, boolean stamped) {}

    static final class Truths {
        private final Map<String, Truth> all = new LinkedHashMap<>();

        void put(String field, String value) {
            all.put(field, new Truth(value, value != null, false));
        }

        void lost(String field) {
            all.computeIfPresent(field, (f, t) -> new Truth(t.value(), false, false));
        }

        void stamped(String field) {
            all.computeIfPresent(field, (f, t) -> new Truth(t.value(), t.readable(), true));
        }

        Map<String, Truth> map() {
            return all;
        }
    }
}
