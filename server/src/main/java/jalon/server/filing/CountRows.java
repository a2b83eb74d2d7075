package jalon.server.filing;

import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Numbers given for names. */
@Mapper
interface CountRows {
    /** Until the transaction ends nobody else takes one. */
    @Insert("insert into name_count (of, last) values (#{of}, 1) on duplicate key update last = last + 1")
    void take(String of);

    @Select("select coalesce(max(last), 0) from name_count where of = #{of}")
    long last(String of);
}
