package jalon.server.people;

import jalon.server.NewId;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Groups of people. */
@Mapper
public interface GroupRows {
    /** @param directoryName the group of the directory whose members are in it, or null */
    record Group(long id, String name, String directoryName) {}

    @Select("select id, name, directory_name from people_group order by name")
    List<Group> all();

    @Select("select id, name, directory_name from people_group where id = #{id}")
    Optional<Group> find(long id);

    @Select("select id, name, directory_name from people_group where name = #{name}")
    Optional<Group> named(String name);

    @Select("select id, name, directory_name from people_group where directory_name = #{name}")
    Optional<Group> following(String name);

    @Insert("insert into people_group (name, directory_name) values (#{name}, #{directoryName})")
    @Options(useGeneratedKeys = true, keyProperty = "made.id")
    void add(@Param("made") NewId made, @Param("name") String name, @Param("directoryName") String directoryName);

    @Update("update people_group set name = #{name}, directory_name = #{directoryName} where id = #{id}")
    void change(long id, String name, String directoryName);

    @Delete("delete from people_group where id = #{id}")
    void remove(long id);

    /** Streams in whose rights it is named. */
    @Select("select distinct stream from right_line where group_id = #{id} order by stream")
    List<String> namedFor(long id);

    record Member(String signIn, long groupId) {}

    @Select("select p.sign_in, m.group_id from group_member m join person p on p.id = m.person_id")
    List<Member> members();

    @Delete("delete from group_member where person_id = (select id from person where sign_in = #{signIn})")
    void leaveAll(String signIn);

    @Insert("insert into group_member (group_id, person_id)"
            + " select #{groupId}, id from person where sign_in = #{signIn}")
    void join(Member member);
}
