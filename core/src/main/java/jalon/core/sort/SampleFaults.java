package jalon.core.sort;

import jalon.core.read.PageFacts;
import jalon.core.words.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What is wrong with samples before anything is recognised by them. */
public final class SampleFaults {
    private SampleFaults() {}

    /** What may be wrong. */
    public enum Kind {
        /** Nothing is on its first page that could be recognised. */
        NOTHING_ON_IT,
        /** The same pages are samples of two types. */
        OF_TWO_TYPES,
        /** No two samples of the type share any print in the same place. */
        NOTHING_ALIKE
    }

    /**
     * @param sample its type and the name of its file, or null where all of a type are meant
     * @param type its type
     * @param other the other type, or null
     */
    public record Fault(Kind kind, String sample, String type, String other) {
        /** In English, with what to do. */
        public String words() {
            Map<String, String> with = new HashMap<>();
            with.put("sample", sample == null ? "" : sample);
            with.put("type", type);
            with.put("other", other == null ? "" : other);
            return Words.of("sampleFault", kind, with);
        }
    }

    private static final int FEWEST_WORDS = 3;

    /** Samples by which nothing can be recognised; they are better left out. */
    public static List<Specimen> useless(List<Specimen> samples) {
        return samples.stream().filter(SampleFaults::isEmpty).toList();
    }

    private static String named(Specimen s) {
        return s.type() + "/" + s.pages().get(0).file();
    }

    private static boolean isEmpty(Specimen s) {
        PageFacts first = s.pages().get(0);
        var layout = first.image().layout();
        boolean drawn = layout != null && layout.rules().size() + layout.boxes().size() >= FEWEST_WORDS;
        return new SeenPage(first).words.size() < FEWEST_WORDS && !drawn;
    }

    public static List<Fault> in(List<Specimen> samples) {
        List<Fault> faults = new ArrayList<>();
        Map<String, Specimen> byPage = new HashMap<>();
        Map<String, List<Specimen>> byType = new LinkedHashMap<>();
        for (Specimen s : samples) {
            if (isEmpty(s)) {
                faults.add(new Fault(Kind.NOTHING_ON_IT, named(s), s.type(), null));
                continue;
            }
            byType.computeIfAbsent(s.type(), t -> new ArrayList<>()).add(s);
            PageFacts first = s.pages().get(0);
            Specimen same = byPage.putIfAbsent(first.sha256() + "/" + first.filePage(), s);
            if (same != null && !same.type().equals(s.type())) {
                faults.add(new Fault(Kind.OF_TWO_TYPES, named(s), s.type(), same.type()));
            }
        }
        byType.forEach((type, its) -> {
            boolean layoutsFound = its.stream().allMatch(s -> s.variant() == null);
            if (layoutsFound && its.size() > 1 && Layouts.of(its).size() == its.size()) {
                faults.add(new Fault(Kind.NOTHING_ALIKE, null, type, null));
            }
        });
        return faults;
    }
}
