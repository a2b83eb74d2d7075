package jalon.server.store;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Keeps a list of texts in one column, as JSON. */
final class JsonList extends BaseTypeHandler<List<String>> {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final TypeReference<List<String>> TEXTS = new TypeReference<>() {};

    @Override
    public void setNonNullParameter(PreparedStatement statement, int i, List<String> value, JdbcType jdbc)
            throws SQLException {
        statement.setString(i, JSON.writeValueAsString(value));
    }

    @Override
    public List<String> getNullableResult(ResultSet rows, String column) throws SQLException {
        return read(rows.getString(column));
    }

    @Override
    public List<String> getNullableResult(ResultSet rows, int column) throws SQLException {
        return read(rows.getString(column));
    }

    @Override
    public List<String> getNullableResult(CallableStatement call, int column) throws SQLException {
        return read(call.getString(column));
    }

    private static List<String> read(String json) {
        return json == null ? null : JSON.readValue(json, TEXTS);
    }
}
