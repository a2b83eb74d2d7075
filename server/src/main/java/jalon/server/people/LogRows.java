package jalon.server.people;

import jalon.core.page.Unread;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface LogRows {
    /** @param code null for an entry from before there were codes; then there are only its words */
    record Row(
            long id,
            Long batchId,
            Instant at,
            String who,
            Logged.Step step,
            Act code,
            String parts,
            Unread because,
            String words) {}

    @Insert("insert into log_entry (at, who, batch_id, step, code, parts, because)"
            + " values (#{at}, #{who}, #{batchId}, #{step}, #{code}, #{parts}, #{because})")
    void add(Instant at, String who, Long batchId, Logged.Step step, Act code, String parts, Unread because);

    @Select(
            "select id, batch_id, at, who, step, code, parts, because, concat_ws(' ', act, detail) as words from log_entry where batch_id = #{batchId}"
                    + " order by id desc limit 500")
    List<Row> ofBatch(long batchId);

    record PartsRow(long id, String parts) {}

    @Select("select id, parts from log_entry where batch_id = #{batchId} and code is not null")
    List<PartsRow> partsOfBatch(long batchId);

    @Update("update log_entry set parts = #{parts} where id = #{id}")
    void say(long id, String parts);

    /** Entries from before there were codes had all in words. */
    @Update("update log_entry set detail = '' where batch_id = #{batchId} and code is null")
    void forgetWords(long batchId);

    @Select({
        "<script>",
        "select id, batch_id, at, who, step, code, parts, because, concat_ws(' ', act, detail) as words from log_entry",
        "where id &lt; #{before} <if test='who != null'>and who = #{who}</if> order by id desc limit #{most}",
        "</script>"
    })
    List<Row> latest(String who, long before, int most);
}
