package jalon.server.store;

import jalon.core.words.Words;
import jalon.server.NewerData;
import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;

/** Keeps constants in the database under the names they have outside, see {@link Words#name}. */
public final class JsonNamedEnums<E extends Enum<E>> extends BaseTypeHandler<E> {
    private final Class<E> type;

    public JsonNamedEnums(Class<E> type) {
        this.type = type;
    }

    @Override
    public void setNonNullParameter(PreparedStatement statement, int i, E value, JdbcType jdbc) throws SQLException {
        statement.setString(i, Words.name(value));
    }

    @Override
    public E getNullableResult(ResultSet rows, String column) throws SQLException {
        return read(rows.getString(column));
    }

    @Override
    public E getNullableResult(ResultSet rows, int column) throws SQLException {
        return read(rows.getString(column));
    }

    @Override
    public E getNullableResult(CallableStatement call, int column) throws SQLException {
        return read(call.getString(column));
    }

    /** Whatever its case: constants were once kept under their own names. */
    private E read(String name) {
        if (name == null) {
            return null;
        }
        return Arrays.stream(type.getEnumConstants())
                .filter(c -> Words.name(c).equalsIgnoreCase(name) || c.name().equalsIgnoreCase(name))
                .findFirst()
                .orElseThrow(() -> new NewerData("the " + type.getSimpleName() + " \"" + name + "\""));
    }
}
