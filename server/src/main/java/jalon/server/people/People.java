package jalon.server.people;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
public interface People {
    @Select("select sign_in, name, role, password_hash from person where sign_in = #{signIn}")
    Optional<Person> find(String signIn);

    @Select("select sign_in, name, role, password_hash from person order by name")
    List<Person> all();

    @Insert(
            "insert into person (sign_in, name, role, password_hash) values (#{signIn}, #{name}, #{role}, #{passwordHash})")
    void add(Person person);
}
