package jalon.server.people;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
public interface People {
    @Select(
            "select sign_in, name, role, password_hash, locked, must_change, directory from person where sign_in = #{signIn}")
    Optional<Person> find(String signIn);

    @Select("select sign_in, name, role, password_hash, locked, must_change, directory from person order by name")
    List<Person> all();

    @Update(
            "update person set password_hash = #{hash}, password_since = #{now}, must_change = #{mustChange} where sign_in = #{signIn}")
    void password(String signIn, String hash, boolean mustChange, Instant now);

    /** When it was changed last, if it ever was. */
    @Select("select password_since from person where sign_in = #{signIn} and password_since is not null")
    Optional<Instant> passwordSince(String signIn);

    @Insert(
            "insert into person (sign_in, name, role, password_hash, must_change, directory) values (#{signIn}, #{name}, #{role}, #{passwordHash}, #{mustChange}, #{directory})")
    void add(Person person);

    /** Sessions from before have another role, or none. */
    @Update("update person set name = #{p.name}, role = #{p.role}, locked = #{p.locked}, password_since = #{now}"
            + " where sign_in = #{p.signIn}")
    void change(@Param("p") Person person, @Param("now") Instant now);

    /** Whether the directory signs somebody in; whom that is there is found at the first sign-in. */
    @Update("update person set directory = #{directory}, directory_id = null, must_change = false,"
            + " password_hash = #{hash} where sign_in = #{signIn}")
    void byDirectory(String signIn, boolean directory, String hash);

    /** Those who can set up everything, also while the directory is away. */
    @Select("select count(*) from person where role = 'SUPERVISOR' and not locked and not directory")
    int supervisors();
}
