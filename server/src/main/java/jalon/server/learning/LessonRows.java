package jalon.server.learning;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface LessonRows {
    /** For as long as the transaction lasts no other server makes a lesson of this stream. */
    @Select("select name from stream where name = #{stream} order by version limit 1 for update")
    String lock(String stream);

    @Select("select coalesce(max(version), 0) from lesson where stream = #{stream}")
    int newest(String stream);

    @Select("select version, made_at, tried, right_before, right_now, undone from lesson"
            + " where stream = #{stream} and version = #{version}")
    LessonMade find(String stream, int version);

    @Insert("insert into lesson (stream, version, made_at, tried, right_before, right_now, undone) values"
            + " (#{stream}, #{l.version}, #{l.madeAt}, #{l.tried}, #{l.rightBefore}, #{l.rightNow}, #{l.undone})")
    void add(String stream, LessonMade l);

    @Insert("insert into lesson_sample (stream, version, sample_id) values (#{stream}, #{version}, #{sample})")
    void addSample(String stream, int version, long sample);

    @Select("select sample_id from lesson_sample where stream = #{stream} and version = #{version} order by sample_id")
    List<Long> samples(String stream, int version);

    /** What batches at work are recognised by stays, and what may be gone back to. */
    @Delete("delete from lesson_sample where stream = #{stream} and version < #{newest} - 1 and not exists"
            + " (select 1 from batch b where b.stream = lesson_sample.stream and b.lesson = lesson_sample.version"
            + " and b.filed_at is null and b.withdrawn_by is null)")
    void forgetOld(String stream, int newest);
}
