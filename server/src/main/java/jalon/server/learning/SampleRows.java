package jalon.server.learning;

import jalon.server.NewId;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface SampleRows {
    String COLUMNS = "id, stream, type, variant, batch_id, first_page, confirmed_by, confirmed_at, standing,"
            + " taken_out_by, picture";

    record PageRow(long sampleId, int no, byte[] facts) {}

    @Insert("insert into sample (stream, type, variant, batch_id, first_page, confirmed_by, confirmed_at) values"
            + " (#{s.stream}, #{s.type}, #{s.variant}, #{s.batchId}, #{s.firstPage}, #{s.confirmedBy},"
            + " #{s.confirmedAt})")
    @Options(useGeneratedKeys = true, keyProperty = "made.id")
    void add(NewId made, Sample s);

    @Insert("insert into sample_page (sample_id, no, facts) values (#{sampleId}, #{no}, #{facts})")
    void addPage(PageRow page);

    @Select("select " + COLUMNS + " from sample where stream = #{stream} order by id")
    List<Sample> ofStream(String stream);

    record ShownRow(String type, long batchId, int firstPage) {}

    @Select("select type, batch_id, first_page from sample where stream = #{stream} and standing = 'known'"
            + " order by picture desc, id desc")
    List<ShownRow> shown(String stream);

    @Select("select " + COLUMNS + " from sample where stream = #{stream} and id = #{id}")
    Optional<Sample> find(String stream, long id);

    @Select("<script>select " + COLUMNS + " from sample where id in"
            + "<foreach item='id' collection='ids' open='(' separator=',' close=')'>#{id}</foreach></script>")
    List<Sample> withIds(List<Long> ids);

    @Select("select " + COLUMNS + " from sample where batch_id = #{batchId} and first_page = #{firstPage}")
    List<Sample> ofDocument(long batchId, int firstPage);

    @Select("<script>select sample_id, no, facts from sample_page where sample_id in"
            + "<foreach item='id' collection='ids' open='(' separator=',' close=')'>#{id}</foreach>"
            + " order by sample_id, no</script>")
    List<PageRow> pages(List<Long> ids);

    /** What a person took out while the lesson was made stays out. */
    @Update("update sample set standing = #{standing} where id = #{id} and standing <> 'takenOut'")
    void stands(long id, SampleStanding standing);

    @Update("update sample set standing = 'takenOut', taken_out_by = #{who}, picture = false where id = #{id}")
    void takeOut(long id, String who);

    @Update("update sample set standing = 'waiting', taken_out_by = null where id = #{id}")
    void putBack(long id);

    @Update("update sample set picture = (id = #{id}) where stream = #{stream} and type = #{type}")
    void picture(String stream, String type, long id);

    @Delete("delete from sample where batch_id = #{batchId} and first_page = #{firstPage}")
    void erase(long batchId, int firstPage);

    /** Those that nothing is recognised by any more; the newest are kept to be looked at. */
    @Delete(
            "delete from sample where stream = #{stream} and standing in ('spare', 'refused', 'takenOut') and id <= #{upTo}"
                    + " and not exists (select 1 from lesson_sample l where l.sample_id = sample.id)")
    void forget(String stream, long upTo);
}
