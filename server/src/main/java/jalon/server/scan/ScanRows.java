package jalon.server.scan;

import jalon.server.Trouble;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Stacks as the database remembers them; its clock says which of them nobody feeds any more. */
@Mapper
interface ScanRows {
    /** A server that has not given a sign for this long has stopped. */
    String GONE = "standing = 'scanning' and seen_at < utc_timestamp(6) - interval 20 second";

    String COLUMNS =
            "batch_id, scanner_id, who, settings, place, first_sheet, standing, trouble, node, " + GONE + " as gone";

    /**
     * @param settings as JSON, and likewise the place, which may be null
     * @param gone whether the server that fed it has stopped
     */
    record ScanRow(
            long batchId,
            long scannerId,
            String who,
            String settings,
            String place,
            int firstSheet,
            Scan.Standing standing,
            Trouble trouble,
            String node,
            boolean gone) {}

    @Select("select " + COLUMNS + " from scan where batch_id = #{batchId}")
    Optional<ScanRow> find(long batchId);

    @Select("select " + COLUMNS + " from scan where " + GONE)
    List<ScanRow> gone();

    @Insert(
            "replace into scan (batch_id, scanner_id, who, settings, place, first_sheet, standing, trouble, node, seen_at)"
                    + " values (#{batchId}, #{scannerId}, #{who}, #{settings}, #{place}, #{firstSheet}, #{standing}, #{trouble},"
                    + " #{node}, utc_timestamp(6))")
    void keep(ScanRow scan);

    /** @return 0 when another server feeds it by now */
    @Update("update scan set standing = #{standing}, trouble = #{trouble}, node = #{node}, seen_at = utc_timestamp(6)"
            + " where batch_id = #{batchId} and (node = #{node} or standing <> 'scanning' or " + GONE + ")")
    int stands(long batchId, Scan.Standing standing, Trouble trouble, String node);

    @Update("update scan set seen_at = utc_timestamp(6) where node = #{node} and standing = 'scanning'")
    void seen(String node);

    /** @return 0 when another server has told that it stopped */
    @Update("update scan set seen_at = utc_timestamp(6) where batch_id = #{batchId} and node = #{node}"
            + " and standing = 'scanning'")
    int sign(long batchId, String node);
}
