package jalon.server.rights;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface RightRows {
    record Line(Right what, String stream, String type, long groupId) {}

    @Select("select what, stream, type, group_id from right_line order by stream, type, what, group_id")
    List<Line> all();

    @Delete("delete from right_line where what = #{what} and stream = #{stream} and type = #{type}")
    void clear(Right what, String stream, String type);

    @Insert("insert into right_line (what, stream, type, group_id) values (#{what}, #{stream}, #{type}, #{groupId})")
    void add(Line line);

    @Select("select m.group_id from group_member m join person p on p.id = m.person_id where p.sign_in = #{signIn}")
    List<Long> groupsOf(String signIn);
}
