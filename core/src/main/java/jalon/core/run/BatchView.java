package jalon.core.run;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import jalon.core.evidence.Evidence;
import jalon.core.image.Finding;
import jalon.core.image.Repair;
import jalon.core.index.FieldValue;
import jalon.core.stream.StakeRule;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A batch as it stands: what the machine made of the pages and what people decided, together.
 *
 * @param pages in reading order
 * @param groups in reading order
 * @param places pages inside of documents before which a stake may be missing, in the order received
 */
public record BatchView(
        List<PageView> pages,
        List<DocumentView> documents,
        List<GroupView> groups,
        List<PlaceView> places,
        List<Gap> gaps,
        Counts counts) {
    public BatchView {
        groups = groups == null ? List.of() : List.copyOf(groups);
        places = places == null ? List.of() : List.copyOf(places);
        gaps = gaps == null ? List.of() : List.copyOf(gaps);
    }

    /**
     * A place kept for a page or sheet to come.
     *
     * @param page what is missing comes after this one
     * @param note what a person wrote; null where a placeholder sheet stands
     * @param waivedBecause why it will not come; null while open or when it came
     * @param by who opened or closed it last; null for a placeholder sheet nobody has dealt with
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Gap(int page, String note, boolean open, String waivedBecause, String by) {}

    /**
     * Expected counts against what arrived; null where nobody said.
     *
     * @param pages images that arrived, without batch header sheets
     * @param acceptedBy who let a difference stand, or null
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Counts(
            Integer expectedPages,
            int pages,
            Integer expectedDocuments,
            int documents,
            String acceptedBy,
            String because) {
        @JsonProperty("differ")
        public boolean differ() {
            return expectedPages != null && expectedPages != pages
                    || expectedDocuments != null && expectedDocuments != documents;
        }
    }

    /** What a page is in its batch. */
    public enum Role {
        @JsonProperty("content")
        CONTENT,
        @JsonProperty("separator")
        SEPARATOR,
        @JsonProperty("blank")
        BLANK,
        @JsonProperty("setAside")
        SET_ASIDE
    }

    /**
     * @param document number of its document, or null when it is out of the flow
     * @param by who set it aside, or null
     * @param flag what marks it for whoever works on the batch, or null
     */
    public record PageView(int no, Role role, Integer document, String by, ImageView image, Evidence flag) {
        public PageView {
            image = image == null ? ImageView.NOTHING : image;
        }

        private PageView unflagged() {
            return new PageView(no, role, document, by, image, null);
        }

        /** Whether a person has to look at the page's image, or its new scan has not come yet. */
        @JsonProperty("needsEye")
        public boolean needsEye() {
            return role == Role.CONTENT
                    && (image.askedBecause() != null
                            || !image.findings().isEmpty() && image.acceptedBy() == null && image.repairedBy() == null);
        }
    }

    /**
     * The state of a page's image.
     *
     * @param findings figures beyond their limits
     * @param repairs the recipe in force, only what the page needs
     * @param repairedBy who chose the recipe, or null when the stream did
     * @param acceptedBy who found it fit to keep, or null
     * @param askedBecause why it is to be scanned again, or null
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record ImageView(
            List<Finding> findings,
            List<Repair> repairs,
            String repairedBy,
            String acceptedBy,
            Instant acceptedAt,
            String askedBecause,
            String askedBy) {
        static final ImageView NOTHING = new ImageView(null, null, null, null, null, null, null);

        public ImageView {
            findings = findings == null ? List.of() : List.copyOf(findings);
            repairs = repairs == null ? List.of() : List.copyOf(repairs);
        }
    }

    /** @param by who planted or confirmed it, or null for a rule */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record StakeView(int page, double certainty, boolean doubtful, List<Evidence> evidence, String by) {}

    /**
     * Documents that belong together.
     *
     * @param no from 1, in reading order
     * @param page the page, or the sheet out of the flow, that it begins with
     * @param opens whether a batch begins with it, by what was fed, and not just a group
     * @param by who opened it, or null for a rule
     * @param fields empty when they were not asked for
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record GroupView(
            int no, int page, StakeRule.Opens opens, Evidence evidence, String by, Map<String, FieldValue> fields) {
        private GroupView emptied() {
            return new GroupView(no, page, opens, evidence, by, Map.of());
        }
    }

    /**
     * A place without a stake that a person should look at.
     *
     * @param page the page that may begin a document
     * @param certainty that one begins there
     */
    public record PlaceView(int page, double certainty, List<Evidence> evidence) {}

    /**
     * @param variant the layout of the type that the first page has, or null where none is known
     * @param variantBy who said so, or null
     * @param guesses types it may be, the most likely first
     * @param by who named the type, or null
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record TypeView(
            String type,
            String variant,
            String variantBy,
            double certainty,
            boolean doubtful,
            List<Evidence> evidence,
            List<GuessView> guesses,
            String by) {
        public TypeView {
            guesses = guesses == null ? List.of() : List.copyOf(guesses);
        }
    }

    /** @param variant the layout that it is like, or null */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record GuessView(String type, String variant, double certainty) {}

    /**
     * @param no from 1, in reading order
     * @param pages numbers of its pages, in reading order
     * @param separator the sheet dropped before it, or null
     * @param group number of the group that it is in, or null
     * @param fields in the order of its type; empty when the fields were not asked for
     */
    public record DocumentView(
            int no,
            List<Integer> pages,
            Integer separator,
            Integer group,
            StakeView stake,
            TypeView type,
            Map<String, FieldValue> fields) {

        public DocumentView numbered(int other) {
            return new DocumentView(other, pages, separator, group, stake, type, fields);
        }

        private DocumentView emptied() {
            var plainStake = new StakeView(stake.page(), stake.certainty(), stake.doubtful(), List.of(), stake.by());
            var plainType = new TypeView(
                    type.type(), type.variant(), null, type.certainty(), type.doubtful(), List.of(), null, type.by());
            return new DocumentView(no, pages, separator, group, plainStake, plainType, Map.of());
        }

        /** With its fields judged otherwise. */
        BatchView.DocumentView with(Map<String, FieldValue> judged) {
            return new DocumentView(no, pages, separator, group, stake, type, judged);
        }

        /** Fields a person should look at. */
        public long fieldDoubts() {
            return fields.values().stream().filter(v -> isDoubt(v)).count();
        }

        public static boolean isDoubt(FieldValue value) {
            return switch (value.state()) {
                case DOUBTFUL, WRONG -> true;
                case EMPTY -> !value.reasons().isEmpty();
                case SURE, SETTLED -> false;
            };
        }
    }

    /**
     * What is left of it when documents of it were erased: where their pages stood, and nothing of what stood on them.
     *
     * @param erased numbers of the documents
     */
    public BatchView without(Set<Integer> erased) {
        boolean all = documents.stream().allMatch(d -> erased.contains(d.no()));
        Set<Integer> groupsLeft = documents.stream()
                .filter(d -> !erased.contains(d.no()))
                .map(DocumentView::group)
                .collect(Collectors.toSet());
        return new BatchView(
                pages.stream()
                        .map(p -> all || p.document() != null && erased.contains(p.document()) ? p.unflagged() : p)
                        .toList(),
                documents.stream()
                        .map(d -> erased.contains(d.no()) ? d.emptied() : d)
                        .toList(),
                groups.stream()
                        .map(g -> groupsLeft.contains(g.no()) ? g : g.emptied())
                        .toList(),
                List.of(),
                all ? List.of() : gaps,
                counts);
    }

    /** Stakes, places without one, types and images a person should look at, open gaps, and counts that differ. */
    public long cutDoubts() {
        long cuts = documents.stream()
                .mapToLong(d -> (d.stake().doubtful() ? 1 : 0) + (d.type().doubtful() ? 1 : 0))
                .sum();
        long open = gaps.stream().filter(Gap::open).count();
        boolean uncounted = counts != null && counts.differ() && counts.acceptedBy() == null;
        return cuts + places.size() + open + (uncounted ? 1 : 0) + imageDoubts();
    }

    /** Pages whose image a person should look at. */
    public long imageDoubts() {
        return pages.stream().filter(PageView::needsEye).count();
    }

    /** Pages that are to be scanned again and were not yet. */
    public List<PageView> askedAgain() {
        return pages.stream()
                .filter(p -> p.role() == Role.CONTENT && p.image().askedBecause() != null)
                .toList();
    }

    /** Whether nobody needs to look at anything: cut, types, fields, images, gaps, counts and what somebody flagged. */
    public boolean withoutDoubt() {
        return !documents.isEmpty()
                && cutDoubts() == 0
                && fieldDoubts() == 0
                && askedAgain().isEmpty()
                && pages.stream().allMatch(p -> p.flag() == null);
    }

    public long fieldDoubts() {
        return documents.stream().mapToLong(DocumentView::fieldDoubts).sum();
    }
}
