package jalon.server.batch;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** What came in and went out in a stretch of time. */
@Mapper
public interface DayFigures {
    /** @param at the beginning of the hour, UTC, @param sheets of paper scanned here, among what came in */
    record Hour(Instant at, String stream, int pages, int sheets) {}

    /**
     * @param open pages of batches that are not filed yet
     * @param fields and @param doubts of batches read in the time, when they were first read
     * @param documents and @param untouched of batches filed in the time: all, and those no person changed
     */
    record Stream(String stream, int open, int openBatches, int fields, int doubts, int documents, int untouched) {}

    @Select("select date_add('2000-01-01', interval timestampdiff(hour, '2000-01-01', f.received_at) hour) as at,"
            + " b.stream, sum(f.pages) as pages, sum((select count(*) from page p where p.file_id = f.id"
            + " and p.sheet is not null and coalesce(p.side, 'front') = 'front')) as sheets from received_file f join batch b on b.id = f.batch_id and"
            + BatchRows.PAPER
            + " where f.received_at >= #{from} and f.received_at < #{to} group by 1, 2 order by 1")
    List<Hour> received(Instant from, Instant to);

    @Select("select date_add('2000-01-01', interval timestampdiff(hour, '2000-01-01', stage_since) hour) as at,"
            + " stream, sum(filed_pages) as pages, 0 as sheets from batch"
            + " where stage = 'done' and withdrawn_by is null and stage_since >= #{from} and stage_since < #{to}"
            + " group by 1, 2 order by 1")
    List<Hour> filed(Instant from, Instant to);

    @Select("select b.stream,"
            + " coalesce(sum(case when b.stage <> 'done' then (select count(*) from page p where p.batch_id = b.id) end), 0)"
            + " as open, coalesce(sum(b.stage <> 'done'), 0) as open_batches,"
            + " coalesce(sum(case when b.made_at >= #{from} and b.made_at < #{to} then b.fields end), 0) as fields,"
            + " coalesce(sum(case when b.made_at >= #{from} and b.made_at < #{to} then b.field_doubts end), 0) as doubts,"
            + " coalesce(sum(case when b.filed_at >= #{from} and b.filed_at < #{to} then b.documents end), 0) as documents,"
            + " coalesce(sum(case when b.filed_at >= #{from} and b.filed_at < #{to} then b.untouched end), 0) as untouched"
            + " from batch b where" + BatchRows.PAPER
            + " and (b.stage <> 'done' or b.stage_since >= #{from}) group by b.stream order by b.stream")
    List<Stream> streams(Instant from, Instant to);
}
