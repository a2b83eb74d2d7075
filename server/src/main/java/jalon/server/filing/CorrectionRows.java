package jalon.server.filing;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface CorrectionRows {
    /** @param fields values by field name, as JSON, null for one that is gone */
    record Row(long batchId, int documentNo, int correction, String fields, String why, String who, Instant at) {}

    @Select("select coalesce(max(correction), 0) from document_correction where batch_id = #{batchId}"
            + " and document_no = #{document}")
    int last(long batchId, int document);

    @Insert("insert into document_correction (batch_id, document_no, correction, fields, why, who, at) values"
            + " (#{batchId}, #{documentNo}, #{correction}, #{fields}, #{why}, #{who}, #{at})")
    void add(Row row);

    @Select("select batch_id, document_no, correction, fields, why, who, at from document_correction"
            + " where batch_id = #{batchId} and document_no = #{document} and correction = #{correction}")
    Optional<Row> find(long batchId, int document, int correction);

    /** That there were corrections stays, with who made them and when. */
    @Update("update document_correction set fields = '{}', why = '' where batch_id = #{batchId}"
            + " and document_no = #{document}")
    void erase(long batchId, int document);

    @Select("select batch_id, document_no, correction, fields, why, who, at from document_correction"
            + " where batch_id = #{batchId} and document_no = #{document} order by correction")
    List<Row> ofDocument(long batchId, int document);
}
