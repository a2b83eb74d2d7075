package jalon.server.api;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import jalon.core.evidence.Evidence;
import jalon.core.mark.Mark;
import jalon.core.run.BatchView;
import jalon.core.run.Ledger;
import jalon.core.stream.Field;
import jalon.core.stream.IntakeRules;
import jalon.core.stream.Stage;
import jalon.server.batch.DocumentClaims;
import jalon.server.batch.NotReadList;
import jalon.server.batch.Side;
import java.time.Instant;
import java.util.List;

/** A batch as the desks show it; its groups lie side by side in the JSON. See {@link BatchAnswers} for what is left out. */
record BatchDetail(
        String no,
        @JsonUnwrapped Carried carried,
        @JsonUnwrapped StreamInfo streamInfo,
        @JsonUnwrapped Origin origin,
        @JsonUnwrapped Course course,
        @JsonUnwrapped Holder holder,
        @JsonUnwrapped Content content,
        @JsonUnwrapped Doubts left) {

    BatchDetail carrying(Carried other, StreamInfo stream, Content some) {
        return new BatchDetail(no, other, stream, origin, course, holder, some, left);
    }

    /**
     * What of the batch an answer carries.
     *
     * @param tag names this answer to the next request
     * @param since the tag of the answer that it adds to, which has all pages, documents and types that are left out
     *     here; null when nothing is left out
     * @param order numbers of all pages, as they stand
     * @param firsts the first pages of all documents, in reading order: the n-th is that of document n
     */
    record Carried(String tag, String since, List<Integer> order, List<Integer> firsts) {}

    /**
     * @param repairedForFiling whether repairs go into what is filed, or only into reading
     * @param types null when they are as they were
     */
    record StreamInfo(
            String stream, String streamTitle, boolean repairedForFiling, List<TypeInfo> types, String groupTitle) {}

    /**
     * @param sender of the mail it came in, or null
     * @param continues the filed document that it brings more pages for, or null
     */
    record Origin(String source, String madeBy, String sender, String subject, FiledDocumentNo continues) {}

    /** @param batch number of its batch, @param document its number in it, from 1 */
    record FiledDocumentNo(String batch, int document) {}

    /** @param withdrawn why it was taken out for good, or null, @param revision which an act that follows names */
    record Course(
            Stage stage,
            boolean filed,
            String withdrawn,
            Instant dueAt,
            IntakeRules.Priority priority,
            int revision,
            boolean canUndo,
            boolean canRedo) {}

    /**
     * @param with who has it, by name, or null, @param free whether the one who asks may work on it
     * @param claims documents that somebody has open to index
     */
    record Holder(String with, boolean free, String onHold, List<DocumentClaims.Claim> claims) {}

    record Content(
            List<DeskPage> pages,
            List<BatchView.DocumentView> documents,
            List<BatchView.GroupView> groups,
            List<BatchView.PlaceView> places,
            Ledger ledger,
            List<NotReadList.NotRead> rejected,
            List<BatchView.Gap> gaps,
            BatchView.Counts counts) {}

    record Doubts(long cutDoubts, long fieldDoubts) {}

    record FieldInfo(String field, String title, Field.Kind kind, boolean required, boolean mayBeAbsent) {}

    /**
     * @param under where it stands in the tree of types, @param variants its layouts that are known
     * @param specimen a page that it is shown by, or null
     */
    record TypeInfo(
            String type,
            String title,
            List<String> under,
            List<String> variants,
            SpecimenPage specimen,
            List<FieldInfo> fields) {}

    record SpecimenPage(String batch, int page) {}

    /** One page of it. */
    record DeskPage(
            int no,
            @JsonUnwrapped Standing standing,
            @JsonUnwrapped Place place,
            @JsonUnwrapped Paper paper,
            List<Mark> marks,
            BatchView.ImageView image,
            boolean needsEye) {
        DeskPage inDocument(Integer document) {
            Standing there = new Standing(standing.role(), document, standing.by(), standing.flag());
            return new DeskPage(no, there, place, paper, marks, image, needsEye);
        }
    }

    /** @param flag what marks it for whoever works on the batch, or null */
    record Standing(BatchView.Role role, Integer document, String by, Evidence flag) {}

    /** @param sheet of a scanned page, counted from 1, and @param side of it; null for a page of a file */
    record Place(String file, int filePage, Integer sheet, Side side) {}

    /** @param lean clockwise, in degrees, of the print on the upright page */
    record Paper(double widthMm, double heightMm, double lean, int rotation, double dpi) {}
}
