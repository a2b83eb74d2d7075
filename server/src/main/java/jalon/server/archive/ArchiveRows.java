package jalon.server.archive;

import jalon.server.NewId;
import jalon.server.batch.Batch;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.ResultMap;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface ArchiveRows {
    record DocumentRow(
            long id,
            long batchId,
            int documentNo,
            FoundDocuments.Kind kind,
            List<String> pages,
            String path,
            int version,
            Filed filed) {
        /** In its order. */
        List<ArchivePage> inOrder() {
            return pages.stream().map(page -> ArchivePage.read(page, batchId)).toList();
        }

        /** Of its pages, counted in it. */
        List<Integer> numbers() {
            return IntStream.rangeClosed(1, pages.size()).boxed().toList();
        }

        Batch.Continued firstFiled() {
            return new Batch.Continued(batchId, documentNo);
        }
    }

    record Filed(String by, Instant at) {}

    /** As {@code ArchiveRows.xml} groups them. */
    String COLUMNS = "d.id, d.batch_id, d.document_no, d.stream as kind_stream, d.type as kind_type,"
            + " d.title as kind_title, d.pages, d.path, d.version, d.filed_by as filed_by, d.filed_at as filed_at";

    record FieldRow(long documentId, String name, String value) {}

    @Insert("insert ignore into archived_document"
            + " (batch_id, document_no, stream, type, title, pages, path, filed_by, filed_at) values"
            + " (#{d.batchId}, #{d.documentNo}, #{d.kind.stream}, #{d.kind.type}, #{d.kind.title}, #{d.pages,javaType=java.util.List}, #{d.path}, #{d.filed.by},"
            + " #{d.filed.at})")
    @Options(useGeneratedKeys = true, keyProperty = "made.id")
    int add(@Param("made") NewId made, @Param("d") DocumentRow d);

    @Insert("insert into archived_field (document_id, name, value) values (#{id}, #{name}, left(#{value}, 1000))")
    void addField(long id, String name, String value);

    @Insert("insert into archived_text (document_id, page_no, words) values (#{id}, #{page}, #{words})")
    void addText(long id, int page, String words);

    @Select("select " + COLUMNS + " from archived_document d where d.id = #{id}")
    @ResultMap("document")
    Optional<DocumentRow> find(long id);

    @Select("select id from archived_document where batch_id = #{batchId} and document_no = #{documentNo}")
    Optional<Long> of(long batchId, int documentNo);

    /** A version that has gone on. */
    record VersionRow(long documentId, int version, List<String> pages, String path, Filed filed) {}

    @Insert("insert into archived_version (document_id, version, pages, path, filed_by, filed_at)"
            + " select id, version, pages, path, filed_by, filed_at from archived_document where id = #{id}")
    void keepVersion(long id);

    @Update("update archived_document set stream = #{d.kind.stream}, type = #{d.kind.type}, title = #{d.kind.title},"
            + " pages = #{d.pages,javaType=java.util.List}, path = #{d.path}, filed_by = #{d.filed.by},"
            + " filed_at = #{d.filed.at}, version = version + 1 where id = #{id}")
    void goOn(@Param("id") long id, @Param("d") DocumentRow d);

    @Delete("delete from archived_field where document_id = #{id}")
    void clearFields(long id);

    @Delete("delete from archived_text where document_id = #{id}")
    void clearText(long id);

    @Delete("delete from archived_version where document_id = #{id}")
    void clearVersions(long id);

    @Delete("delete from archive_seen where document_id = #{id}")
    void clearSeen(long id);

    @Delete("delete from archived_document where id = #{id}")
    void remove(long id);

    @Select("select document_id, version, pages, path, filed_by as filed_by, filed_at as filed_at"
            + " from archived_version where document_id = #{id} order by version desc")
    @ResultMap("version")
    List<VersionRow> versions(long id);

    @Insert("insert into archive_change (document_id, at) values (#{documentId}, #{now})")
    void changed(long documentId, Instant now);

    @Insert("insert into archive_change (document_id, at)"
            + " select id, #{now} from archived_document where stream = #{stream} order by id")
    void changedOfStream(String stream, Instant now);

    /** Something that became of a document. */
    record Change(long id, long documentId, Instant at) {}

    @Select("select id, document_id, at from archive_change where id > #{after} order by id limit #{most}")
    List<Change> changes(long after, int most);

    @Select("select count(*) from archive_change where id > #{after}")
    long changesAfter(long after);

    String THESE = "<foreach collection='ids' item='i' open='(' separator=',' close=')'>#{i}</foreach>";

    /** In no order. */
    @Select({"<script>", "select " + COLUMNS + " from archived_document d where d.id in " + THESE, "</script>"})
    @ResultMap("document")
    List<DocumentRow> byIds(List<Long> ids);

    @Select({
        "<script>",
        "select document_id, name, value from archived_field where document_id in " + THESE,
        "order by document_id, name",
        "</script>"
    })
    List<FieldRow> fieldsOf(List<Long> ids);

    /** The words of a page, line by line. */
    record PageText(long documentId, int pageNo, String words) {}

    @Select({
        "<script>",
        "select document_id, page_no, words from archived_text where page_no > 0 and document_id in " + THESE,
        "order by document_id, page_no",
        "</script>"
    })
    List<PageText> texts(List<Long> ids);

    static Map<Long, List<PageText>> byDocument(List<PageText> pages) {
        return pages.stream().collect(Collectors.groupingBy(PageText::documentId));
    }

    /** The newest of other batches, with all of these values exactly. */
    @Select({
        "<script>",
        "select " + COLUMNS + " from archived_document d where d.type = #{type} and d.batch_id != #{butNot}",
        "<foreach collection='values.entrySet()' index='name' item='value'>",
        "  and exists (select 1 from archived_field f where f.document_id = d.id and f.name = #{name}",
        "  and f.value = #{value})</foreach>",
        "order by d.filed_at desc, d.id desc limit 1",
        "</script>"
    })
    @ResultMap("document")
    Optional<DocumentRow> newest(String type, Map<String, String> values, long butNot);
}
