package jalon.server.people;

import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** What a person chose last, kept for the next time. */
@Mapper
public interface Preferences {
    @Select("select body from preference where sign_in = #{signIn} and name = #{name}")
    String find(String signIn, String name);

    @Insert("insert into preference (sign_in, name, body) values (#{signIn}, #{name}, #{body})"
            + " on duplicate key update body = #{body}")
    void keep(String signIn, String name, String body);
}
