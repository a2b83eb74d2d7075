package jalon.server.certainty;

import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface OutcomeRows {
    /** @param correct null where nobody looked */
    record Row(
            int document,
            String type,
            String field,
            String finder,
            String value,
            double certainty,
            boolean sure,
            boolean held,
            Boolean correct,
            String reasons) {}

    // One statement for many rows.
    @Insert(
            "<script>insert into field_outcome (batch_id, document, stream, type, field, filed_on, finder, value, certainty,"
                    + " sure, held, correct, reasons) values"
                    + " <foreach collection='rows' item='r' separator=','>(#{batch}, #{r.document}, #{stream}, #{r.type}, #{r.field},"
                    + " #{day}, #{r.finder}, #{r.value}, #{r.certainty}, #{r.sure}, #{r.held}, #{r.correct}, #{r.reasons})</foreach>"
                    + "</script>")
    void add(
            @Param("batch") long batch,
            @Param("stream") String stream,
            @Param("day") LocalDate day,
            @Param("rows") List<Row> rows);

    @Delete("delete from field_outcome where batch_id = #{batch}")
    void forget(long batch);

    @Update("update field_outcome set value = null where batch_id = #{batch} and document = #{document}")
    void forgetValues(long batch, int document);

    record Seen(
            String type,
            String field,
            LocalDate filedOn,
            double certainty,
            boolean sure,
            boolean held,
            Boolean correct) {}

    @Select("select type, field, filed_on, certainty, sure, held, correct from field_outcome"
            + " where stream = #{stream} and filed_on > #{since} order by filed_on desc limit #{most}")
    List<Seen> seen(String stream, LocalDate since, int most);

    /** @param reasons codes parted by commas */
    record Watched(
            long batchId,
            int document,
            String type,
            String field,
            String finder,
            LocalDate filedOn,
            boolean sure,
            Boolean correct,
            String reasons) {}

    @Select("select batch_id, document, type, field, finder, filed_on, sure, correct, reasons from field_outcome"
            + " where stream = #{stream} and filed_on > #{since} order by filed_on desc limit #{most}")
    List<Watched> watched(String stream, LocalDate since, int most);
}
