package jalon.server.store;

import jalon.core.page.Unread;
import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import tools.jackson.databind.json.JsonMapper;

/** Keeps why something was not read as JSON; what was kept before there were codes is read as its words. */
final class UnreadColumn extends BaseTypeHandler<Unread> {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Override
    public void setNonNullParameter(PreparedStatement statement, int i, Unread value, JdbcType jdbc)
            throws SQLException {
        statement.setString(i, JSON.writeValueAsString(value));
    }

    @Override
    public Unread getNullableResult(ResultSet rows, String column) throws SQLException {
        return read(rows.getString(column));
    }

    @Override
    public Unread getNullableResult(ResultSet rows, int column) throws SQLException {
        return read(rows.getString(column));
    }

    @Override
    public Unread getNullableResult(CallableStatement call, int column) throws SQLException {
        return read(call.getString(column));
    }

    private static Unread read(String kept) {
        if (kept == null) {
            return null;
        }
        return kept.startsWith("{") ? JSON.readValue(kept, Unread.class) : Unread.Code.AS_WRITTEN.with(kept);
    }
}
