package jalon.server.filing;

import jalon.server.NewId;
import jalon.server.Trouble;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Lists of what is filed, and their lines as JSON. */
@Mapper
interface ListRows {
    /**
     * @param place a place of the organisation's if it is {@code own}, else a folder destination
     * @param number of its name, from 1
     * @param revision of its lines, @param sha256 of what lies there, in hex, or null for nothing
     * @param next of what was about to lie there, or null
     * @param tries that failed, one after another
     */
    record Row(
            long id,
            String place,
            boolean own,
            String path,
            int number,
            long revision,
            String sha256,
            String next,
            int tries) {}

    String COLUMNS = "id, place, own, path, number, revision, sha256, sha256_next as next, tries";

    /** The list, made if it is not there; its lines are about to change. */
    @Insert("insert into filing_list (place, own, path, path_key) values (#{place}, #{own}, #{path}, #{key})"
            + " on duplicate key update id = last_insert_id(id), revision = revision + 1, next_at = null")
    @Options(useGeneratedKeys = true, keyProperty = "found.id")
    void changing(NewId found, String place, boolean own, String path, String key);

    @Insert("insert into filing_list_line (list_id, path_key, delivery_id, line) values (#{listId}, #{key},"
            + " #{delivery}, #{line}) on duplicate key update delivery_id = values(delivery_id), line = values(line)")
    void line(long listId, String key, long delivery, String line);

    /** Emptied lines stay until the list is written without them. */
    @Update("update filing_list l join filing_list_line n on n.list_id = l.id"
            + " set l.revision = l.revision + 1, l.next_at = null, n.line = ''"
            + " where n.delivery_id = #{delivery} and n.line <> ''")
    void empty(long delivery);

    @Delete("delete n from filing_list_line n join filing_list l on l.id = n.list_id"
            + " where n.list_id = #{listId} and n.line = '' and l.revision = #{revision}")
    void removeEmptied(long listId, long revision);

    /** Lists out of which something of a delivery was to be taken and is not yet: what they lie at and why not, or null. */
    record Holding(String place, Trouble reason) {}

    @Select("select distinct l.place, l.reason from filing_list l join filing_list_line n on n.list_id = l.id"
            + " where n.delivery_id = #{delivery} and n.line = ''")
    List<Holding> holding(long delivery);

    @Delete("delete from filing_list_line where delivery_id = #{delivery}")
    void removeLines(long delivery);

    @Select("select " + COLUMNS + " from filing_list where written <> revision"
            + " and (next_at is null or next_at <= #{now}) order by id limit 100")
    List<Row> behind(Instant now);

    @Select("select line from filing_list_line where list_id = #{listId} and line <> '' order by delivery_id")
    List<String> lines(long listId);

    @Update("update filing_list set number = #{number}, sha256_next = #{sha256} where id = #{id}")
    void about(long id, int number, String sha256);

    /** What lies under its name is not its own: it has another. */
    @Update("update filing_list set sha256 = null, sha256_next = null where id = #{id}")
    void elsewhere(long id);

    @Update("update filing_list set written = #{revision}, sha256 = #{sha256}, sha256_next = null, tries = 0,"
            + " reason = null, next_at = null where id = #{id}")
    void written(long id, long revision, String sha256);

    /** @return 0 where it has changed since */
    @Delete("delete from filing_list where id = #{id} and revision = #{revision}")
    int remove(long id, long revision);

    @Update("update filing_list set tries = tries + 1, reason = #{reason}, next_at = #{next} where id = #{id}")
    void failed(long id, Trouble reason, Instant next);

    /** @param behind whether something is not in it yet, @param reason why, or null */
    record OfBatch(
            String place, boolean own, String path, int number, boolean behind, Trouble reason, Instant nextAt) {}

    @Select("select distinct l.place, l.own, l.path, l.number, l.written <> l.revision as behind, l.reason,"
            + " l.next_at from filing_list l join filing_list_line n on n.list_id = l.id"
            + " join delivery d on d.id = n.delivery_id where d.batch_id = #{batchId} order by l.path")
    List<OfBatch> ofBatch(long batchId);
}
