package jalon.server.stream;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface DraftRows {
    String COLUMNS = "stream, title, definition, base_version, revision, kept_by, kept_at";

    @Select("select " + COLUMNS + " from stream_draft where stream = #{stream}")
    Optional<StreamDrafts.Draft> find(String stream);

    @Insert("insert into stream_draft (" + COLUMNS + ") values (#{stream}, #{title}, #{definition}, #{baseVersion},"
            + " #{revision}, #{keptBy}, #{keptAt})")
    void add(StreamDrafts.Draft draft);

    /** @return 0 when somebody else kept another one meanwhile */
    @Update("update stream_draft set title = #{title}, definition = #{definition}, revision = #{revision},"
            + " kept_by = #{keptBy}, kept_at = #{keptAt} where stream = #{stream} and revision = #{revision} - 1")
    int keep(StreamDrafts.Draft draft);

    @Delete("delete from stream_draft where stream = #{stream}")
    void remove(String stream);

    @Select("select " + COLUMNS + " from stream_draft where base_version = 0 order by title")
    List<StreamDrafts.Draft> begun();

    @Select("select batch_id from stream_samples where stream = #{stream}")
    Optional<Long> samples(String stream);

    @Insert("insert into stream_samples (stream, batch_id) values (#{stream}, #{batchId})")
    void addSamples(String stream, long batchId);
}
