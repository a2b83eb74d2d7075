package jalon.core.stream;

import com.fasterxml.jackson.annotation.JsonProperty;
import jalon.core.image.Measure;
import jalon.core.image.Repair;
import jalon.core.page.Box;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * What is done with single pages.
 *
 * @param blankInkShare a page with less content than this and no readable word is blank; see {@link jalon.core.image.Ink}
 * @param placeholder {@linkplain Shape shape} of the barcode on a sheet that stands for something to come, or null
 * @param limits beyond which a page is shown to a person, where they differ from the usual ones; null for none
 * @param repairs done to each page that needs them
 * @param barcodes which are looked for
 * @param repairFor what is made from the repaired image; by hand and by these rules alike
 */
public record PageRules(
        Blank blank,
        Double blankInkShare,
        String placeholder,
        Map<Measure, Double> limits,
        List<Repair> repairs,
        RepairFor repairFor,
        Barcodes barcodes) {
    public static final PageRules USUAL = new PageRules(null, null, null, null, null, null, null);

    public PageRules {
        blank = blank == null ? Blank.SET_ASIDE : blank;
        blankInkShare = blankInkShare == null ? 0.00001 : blankInkShare;
        // A null limit is one that is taken away, so this cannot be Map.copyOf.
        limits = limits == null ? Map.of() : java.util.Collections.unmodifiableMap(copy(limits));
        repairs = repairs == null ? List.of() : List.copyOf(repairs);
        repairFor = repairFor == null ? RepairFor.BOTH : repairFor;
        barcodes = barcodes == null ? Barcodes.ALL : barcodes;
    }

    private static Map<Measure, Double> copy(Map<Measure, Double> limits) {
        Map<Measure, Double> copy = new EnumMap<>(Measure.class);
        copy.putAll(limits);
        return copy;
    }

    /** The repairs that a page is read through when no person chose others. */
    public List<Repair> readingRepairs() {
        return repairFor.reading() ? repairs : List.of();
    }

    /** The limit in force; infinite, towards where nothing breaks it, for none. */
    public double limit(Measure measure) {
        if (!limits.containsKey(measure)) {
            return measure.usualLimit();
        }
        Double set = limits.get(measure);
        return set != null ? set : measure.tooMuch() ? Double.POSITIVE_INFINITY : Double.NEGATIVE_INFINITY;
    }

    /**
     * Which barcodes a stream expects: fewer are found more quickly, and nothing else can be taken for one.
     *
     * @param kinds none for any kind
     * @param where the part of the upright page that their middles lie in, or null for all of it
     */
    public record Barcodes(List<String> kinds, Box where) {
        public static final Barcodes ALL = new Barcodes(null, null);

        public Barcodes {
            kinds = kinds == null ? List.of() : List.copyOf(kinds);
        }
    }

    public enum Blank {
        @JsonProperty("setAside")
        SET_ASIDE,
        @JsonProperty("keep")
        KEEP
    }

    public enum RepairFor {
        @JsonProperty("reading")
        READING,
        @JsonProperty("filing")
        FILING,
        @JsonProperty("both")
        BOTH;

        public boolean reading() {
            return this != FILING;
        }

        public boolean filing() {
            return this != READING;
        }
    }
}
