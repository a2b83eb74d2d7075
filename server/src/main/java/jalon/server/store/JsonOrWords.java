package jalon.server.store;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.function.Function;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import tools.jackson.databind.json.JsonMapper;

/** Keeps a code with its values as JSON; what was kept before there were codes is read as its words. */
final class JsonOrWords<T> extends BaseTypeHandler<T> {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final Class<T> type;
    private final Function<String, T> asWritten;

    JsonOrWords(Class<T> type, Function<String, T> asWritten) {
        this.type = type;
        this.asWritten = asWritten;
    }

    @Override
    public void setNonNullParameter(PreparedStatement statement, int i, T value, JdbcType jdbc) throws SQLException {
        statement.setString(i, JSON.writeValueAsString(value));
    }

    @Override
    public T getNullableResult(ResultSet rows, String column) throws SQLException {
        return read(rows.getString(column));
    }

    @Override
    public T getNullableResult(ResultSet rows, int column) throws SQLException {
        return read(rows.getString(column));
    }

    @Override
    public T getNullableResult(CallableStatement call, int column) throws SQLException {
        return read(call.getString(column));
    }

    T read(String kept) {
        if (kept == null) {
            return null;
        }
        return kept.startsWith("{") ? JSON.readValue(kept, type) : asWritten.apply(kept);
    }
}
