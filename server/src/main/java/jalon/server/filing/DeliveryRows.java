package jalon.server.filing;

import jalon.core.output.Erasure;
import jalon.core.output.FilingPlace;
import jalon.core.output.Fixity;
import jalon.core.run.DeliveryState;
import jalon.core.stream.Destination;
import jalon.server.NewId;
import jalon.server.Trouble;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.ResultMap;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface DeliveryRows {
    /**
     * @param correction of the document that it brings; 0 for the document as it was filed first
     * @param follows the delivery at the same destination that it is a newer version of, or null
     */
    record DeliveryRow(
            long id,
            long batchId,
            int documentNo,
            int correction,
            Long follows,
            Spot spot,
            DeliveryState state,
            Course course) {}

    /**
     * One of a delivery's files.
     *
     * @param part which page it has, from 1; 0 for a file that has them all
     * @param sha256 in hex, or null for one filed before this was kept, and likewise the bytes
     * @param path where it lies, or is about to lie, below the destination; null before it has a name there
     * @param identifier that it has there, or null
     * @param checked whether it still was what was filed when that was looked at last, or null
     * @param erased what became of it when its document was erased, or null
     */
    record FileRow(
            long deliveryId,
            Destination.Format format,
            int part,
            String sha256,
            Long bytes,
            String path,
            String identifier,
            Fixity checked,
            Instant checkedAt,
            Erasure erased) {}

    /** @param taken what is done when its name is taken, as a person said; null: as the stream says */
    record Spot(String destination, String folder, String name, Destination.Taken taken) {
        /** Folder and name. */
        String path() {
            return folder.isEmpty() ? name : folder + "/" + name;
        }
    }

    /**
     * @param reason why it failed or is refused, or null
     * @param tries that failed, one after another
     * @param nextAt when it is tried again, or null
     * @param saidBy who left it out or holds it back, and @param saidWhy; or null
     */
    record Course(Trouble reason, int tries, Instant nextAt, String saidBy, String saidWhy) {}

    /** As {@code DeliveryRows.xml} groups them. */
    String COLUMNS =
            "id, batch_id, document_no, correction, follows, destination as spot_destination, folder as spot_folder,"
                    + " name as spot_name, taken as spot_taken, state, reason as course_reason,"
                    + " tries as course_tries, next_at as course_next_at, said_by as course_said_by,"
                    + " said_why as course_said_why";

    @Insert("insert into delivery (batch_id, document_no, destination, folder, name)"
            + " values (#{batchId}, #{documentNo}, #{destination}, #{folder}, #{name})")
    @Options(useGeneratedKeys = true, keyProperty = "made.id")
    void plan(NewId made, long batchId, int documentNo, String destination, String folder, String name);

    @Select("select " + COLUMNS + " from delivery where batch_id = #{batchId} order by destination, document_no")
    @ResultMap("row")
    List<DeliveryRow> ofBatch(long batchId);

    @Select("select " + COLUMNS + " from delivery where id = #{id}")
    @ResultMap("row")
    Optional<DeliveryRow> find(long id);

    @Select("select " + COLUMNS + " from delivery where batch_id = #{batchId} and document_no = #{document}"
            + " and destination = #{destination} and correction = 0")
    @ResultMap("row")
    Optional<DeliveryRow> at(long batchId, int document, String destination);

    /** Whether a document of another batch has this name at a destination, or one that differs in case or accents alone. */
    @Select("select exists (select 1 from delivery where destination = #{destination} and name = #{name}"
            + " and folder = #{folder} and batch_id <> #{batchId} and state <> 'leftOut')")
    boolean isFiledElsewhere(long batchId, String destination, String folder, String name);

    @Insert("insert into delivery (batch_id, document_no, destination, correction, folder, name, follows)"
            + " select batch_id, document_no, destination, #{correction}, #{folder}, #{name}, #{follows} from delivery"
            + " where id = #{first}")
    @Options(useGeneratedKeys = true, keyProperty = "made.id")
    void planCorrection(NewId made, long first, int correction, String folder, String name, long follows);

    @Select("select " + COLUMNS + " from delivery where follows = #{id}")
    @ResultMap("row")
    Optional<DeliveryRow> after(long id);

    @Update("update delivery set follows = #{before} where id = #{id}")
    void follow(long id, Long before);

    /** Until the transaction ends nobody else goes on under this name. @return the delivery that did last, or null */
    @Select("select delivery_id from filing_name where place = #{place} and name = #{name} for update")
    Long lastUnder(String place, String name);

    @Insert("insert into filing_name (place, name, delivery_id) values (#{place}, #{name}, #{id})"
            + " on duplicate key update delivery_id = values(delivery_id)")
    void nowUnder(String place, String name, long id);

    @Update("update filing_name set delivery_id = #{before} where delivery_id = #{id}")
    void passName(long id, long before);

    @Delete("delete from filing_name where delivery_id = #{id}")
    void freeName(long id);

    @Select(
            "select f.delivery_id, f.format, f.part, f.sha256, f.bytes, f.path, f.identifier, f.checked, f.checked_at, f.erased from delivery_file f"
                    + " join delivery d on d.id = f.delivery_id where d.batch_id = #{batchId} order by f.delivery_id, f.format desc, f.part")
    List<FileRow> filesOfBatch(long batchId);

    @Select(
            "select delivery_id, format, part, sha256, bytes, path, identifier, checked, checked_at, erased from delivery_file where delivery_id = #{id} order by format, part")
    List<FileRow> files(long id);

    /** What the file is; one written anew takes the place of what was written before. */
    @Insert(
            "insert into delivery_file (delivery_id, format, part, sha256, bytes) values (#{id}, #{file.format},"
                    + " #{file.part}, #{file.sha256}, #{file.bytes}) on duplicate key update sha256 = values(sha256), bytes = values(bytes)")
    void keepFile(long id, FilingPlace.Ready file);

    @Update("update delivery_file set path = #{path} where delivery_id = #{id} and format = #{file.format}"
            + " and part = #{file.part}")
    void place(long id, FilingPlace.Ready file, String path);

    /** @param checked whether it was read back there or was sent away */
    @Update("update delivery_file set path = #{at.path}, identifier = #{at.identifier}, checked = #{checked},"
            + " checked_at = #{now} where delivery_id = #{id} and format = #{file.format} and part = #{file.part}")
    void lies(long id, FilingPlace.Ready file, FilingPlace.Placed at, Fixity checked, Instant now);

    /** A newer version has the place of earlier files: what lies there now is no longer theirs to be looked at. */
    @Update("update delivery_file f join delivery d on d.id = f.delivery_id join delivery n on n.id = #{id}"
            + " set f.checked = null where f.path = #{path} and f.format = #{format} and d.id <> n.id"
            + " and d.destination = n.destination and f.checked is not null")
    void replaced(long id, Destination.Format format, String path);

    @Update(
            "update delivery_file set checked = #{found}, checked_at = #{now} where delivery_id = #{file.deliveryId} and format ="
                    + " #{file.format} and part = #{file.part}")
    void checked(Filed file, Fixity found, Instant now);

    /** A file that lies where it was filed, and what was found when it was looked at last. */
    record Filed(
            long deliveryId,
            Destination.Format format,
            int part,
            long batchId,
            String stream,
            int documentNo,
            String destination,
            String path,
            String sha256,
            Fixity checked,
            Instant checkedAt) {}

    String FILED =
            "select f.delivery_id, f.format, f.part, d.batch_id, b.stream, d.document_no, d.destination, f.path, f.sha256,"
                    + " f.checked, f.checked_at from delivery_file f join delivery d on d.id = f.delivery_id"
                    + " join batch b on b.id = d.batch_id where ";

    @Select(FILED + "d.batch_id = #{batchId} and f.checked <> 'notKept' order by f.delivery_id")
    List<Filed> doneOfBatch(long batchId);

    /** A destination of a stream. */
    record OfStream(String stream, String destination) {}

    /** Those longest not looked at first, but none at the destinations that are away. */
    @Select({
        "<script>",
        FILED,
        "f.checked_at &lt; #{before} and f.checked != 'notKept'",
        "<foreach collection='away' item='a'>and not (b.stream = #{a.stream} and d.destination = #{a.destination})</foreach>",
        "order by f.checked_at limit #{most}",
        "</script>"
    })
    List<Filed> dueForCheck(Instant before, Collection<OfStream> away, int most);

    @Select(FILED + "f.checked in ('changed', 'gone') order by f.checked_at desc limit 1000")
    List<Filed> troubles();

    /** It is not looked at any more. */
    @Update("update delivery_file set erased = #{became}, checked = null, checked_at = #{now}"
            + " where delivery_id = #{file.deliveryId} and format = #{file.format} and part = #{file.part}")
    void erased(FileRow file, Erasure became, Instant now);

    /** Names say what stood in the document. What was filed, and that it is gone, stays. */
    @Update("update delivery set folder = '', name = '' where batch_id = #{batchId} and document_no = #{document}")
    void eraseNames(long batchId, int document);

    @Update("update delivery_file f join delivery d on d.id = f.delivery_id set f.path = null, f.identifier = null"
            + " where d.batch_id = #{batchId} and d.document_no = #{document}")
    void erasePaths(long batchId, int document);

    /** Documents of a batch that are erased: nothing says any more where they lay. */
    @Select("select distinct d.document_no from delivery d join delivery_file f on f.delivery_id = d.id"
            + " where d.batch_id = #{batchId} and f.erased is not null and f.path is null")
    Set<Integer> erasedOf(long batchId);

    @Delete("delete from delivery where batch_id = #{batchId}")
    void removeAll(long batchId);

    @Delete("delete from delivery_file where delivery_id = #{id}")
    void forgetFiles(long id);

    @Update("update delivery_file set path = null where delivery_id = #{id}")
    void forgetPlaces(long id);

    @Update("update delivery set state = 'done', reason = null, next_at = null, done_at = #{now} where id = #{id}")
    void done(long id, Instant now);

    /** For another delivery, which has it tried again. */
    @Update("update delivery set state = 'retrying', reason = #{reason}, next_at = null where id = #{id}")
    void waits(long id, Trouble reason);

    @Update("update delivery set state = 'running' where id = #{id}")
    void running(long id);

    @Update("update delivery set state = 'retrying', reason = #{reason}, tries = tries + 1,"
            + " next_at = #{next} where id = #{id}")
    void retrying(long id, Trouble reason, Instant next);

    @Update("update delivery set state = 'refused', reason = #{reason}, tries = tries + 1, next_at = null"
            + " where id = #{id}")
    void refused(long id, Trouble reason);

    /** It is to be tried anew, perhaps under another name. */
    @Update("update delivery set state = 'planned', reason = null, tries = 0, next_at = null, name = #{name},"
            + " taken = #{taken} where id = #{id}")
    void anew(long id, String name, Destination.Taken taken);

    @Update("update delivery set state = 'heldBack', said_by = #{who}, said_why = #{why} where id = #{id}")
    void holdBack(long id, String who, String why);

    @Update("update delivery set state = 'planned', said_by = null, said_why = null where id = #{id}")
    void release(long id);

    @Update("update delivery set state = 'leftOut', next_at = null, said_by = #{who}, said_why = null where id = #{id}")
    void leaveOut(long id, String who);

    @Update("update delivery set state = 'leftOut', said_by = #{who}, said_why = #{why}"
            + " where batch_id = #{batchId} and document_no = #{document} and destination = #{destination}")
    void leaveOutPlanned(long batchId, int document, String destination, String who, String why);

    @Select("select count(*) from delivery where batch_id = #{batchId} and state not in ('done', 'leftOut')")
    int open(long batchId);
}
