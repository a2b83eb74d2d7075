package jalon.server.batch;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface ClaimRows {
    /** @param page first of the document */
    record Row(int page, String person) {}

    @Select("select page, person from document_claim where batch_id = #{batch} and since > #{after} order by page")
    List<Row> fresh(long batch, Instant after);

    @Insert("insert into document_claim (batch_id, page, person, since) values (#{batch}, #{page}, #{person}, #{now})"
            + " on duplicate key update person = values(person), since = values(since)")
    void claim(long batch, int page, String person, Instant now);

    @Delete("delete from document_claim where batch_id = #{batch} and person = #{person} and page <> #{but}")
    int free(long batch, String person, int but);
}
