package jalon.server.directory;

import jalon.server.people.Person;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface DirectoryRows {
    /** @param directoryId null until the first sign-in by the directory */
    record Known(String signIn, boolean directory, String directoryId) {}

    @Select("select sign_in, directory, directory_id from person where directory_id = #{id}")
    Optional<Known> byId(String id);

    @Select("select sign_in, directory, directory_id from person where sign_in = #{signIn}")
    Optional<Known> bySignIn(String signIn);

    @Insert("insert into person (sign_in, name, role, password_hash, directory) values (#{signIn}, #{name}, #{role},"
            + " #{passwordHash}, true)")
    void add(Person person);

    @Update("update person set directory_id = #{id} where sign_in = #{signIn}")
    void is(String signIn, String id);

    record Membership(long groupId, String directoryName, boolean member) {}

    /** All groups that follow one of the directory's, and whether somebody is in them here. */
    @Select("select g.id as group_id, g.directory_name, exists (select 1 from group_member m join person p"
            + " on p.id = m.person_id where m.group_id = g.id and p.sign_in = #{signIn}) as member"
            + " from people_group g where g.directory_name is not null order by g.id")
    List<Membership> following(String signIn);

    @Insert("insert into group_member (group_id, person_id)"
            + " select #{groupId}, id from person where sign_in = #{signIn}")
    void join(long groupId, String signIn);

    @Delete("delete from group_member where group_id = #{groupId}"
            + " and person_id = (select id from person where sign_in = #{signIn})")
    void leave(long groupId, String signIn);
}
