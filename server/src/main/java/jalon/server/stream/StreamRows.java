package jalon.server.stream;

import jalon.core.register.ColumnKind;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface StreamRows {
    record Saved(
            String name, int version, String title, String definition, String savedBy, Instant savedAt, String note) {
        Head head() {
            return new Head(name, version, title, savedBy, savedAt);
        }
    }

    record SavedRegister(String name, String csv, String savedBy, Instant savedAt) {}

    /** A version without what it says, which can be long. */
    record Head(String name, int version, String title, String savedBy, Instant savedAt) {}

    @Select("select name, version, title, saved_by, saved_at from stream s"
            + " where version = (select max(version) from stream m where m.name = s.name) order by title")
    List<Head> current();

    @Select("select name, version, title, definition, saved_by, saved_at, note from stream"
            + " where name = #{name} and version = #{version}")
    Optional<Saved> find(String name, int version);

    @Select("select version, saved_by, saved_at, note from stream where name = #{name} order by version desc")
    List<StreamLibrary.Version> versions(String name);

    @Select("select max(version) from stream where name = #{name}")
    Integer newest(String name);

    @Insert("insert into stream (name, version, title, definition, saved_by, saved_at, note)"
            + " values (#{name}, #{version}, #{title}, #{definition}, #{savedBy}, #{savedAt}, #{note})")
    void add(Saved saved);

    @Select("select name, csv, saved_by, saved_at from register order by name")
    List<SavedRegister> registers();

    /** @param came rows that the version before did not have; null where nothing is known, as for those that follow */
    record RegisterSaved(int version, Integer came, Integer went, Integer changed, String savedBy, Instant savedAt) {}

    @Select("select version, came, went, changed, saved_by, saved_at from register_version where name = #{name}"
            + " order by version desc")
    List<RegisterSaved> registerVersions(String name);

    @Insert(
            "insert into register_version (name, version, csv, came, went, changed, saved_by, saved_at)"
                    + " values (#{r.name}, #{v.version}, #{r.csv}, #{v.came}, #{v.went}, #{v.changed}, #{r.savedBy}, #{r.savedAt})")
    void addRegisterVersion(@Param("r") SavedRegister register, @Param("v") RegisterSaved version);

    record SaidKind(String register, String name, ColumnKind kind) {}

    @Select("select register, name, kind from register_column")
    List<SaidKind> saidKinds();

    @Insert("insert into register_column (register, name, kind, said_by, said_at)"
            + " values (#{s.register}, #{s.name}, #{s.kind}, #{by}, #{at})"
            + " on duplicate key update kind = values(kind), said_by = values(said_by), said_at = values(said_at)")
    void sayKind(@Param("s") SaidKind said, @Param("by") String by, @Param("at") Instant at);

    @Delete("delete from register_column where register = #{register} and name = #{name}")
    void forgetKind(@Param("register") String register, @Param("name") String name);

    /** Changes with every saving of any of them, and with what is said of their columns. */
    @Select("select concat_ws(' ', count(*), max(saved_at), (select concat_ws(' ', count(*), max(said_at)) from"
            + " register_column)) from register")
    String registersStamp();

    @Insert("insert into register (name, csv, saved_by, saved_at) values (#{name}, #{csv}, #{savedBy}, #{savedAt})"
            + " on duplicate key update csv = values(csv), saved_by = values(saved_by), saved_at = values(saved_at)")
    void saveRegister(SavedRegister register);
}
