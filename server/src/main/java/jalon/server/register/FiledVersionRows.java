package jalon.server.register;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface FiledVersionRows {
    @Insert("insert ignore into filed_register (batch_id, type, register, version)"
            + " values (#{batch}, #{type}, #{register}, #{version})")
    void add(long batch, String type, String register, int version);

    @Select(
            "select register, version from filed_register where batch_id = #{batch} and type = #{type} order by register")
    List<FiledVersions.Used> of(long batch, String type);
}
