package jalon.bench.find;

import jalon.find.Plain;
import jalon.find.Searchable;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Map;

/** The baseline: the database's own full text, asked for a page of results and the counts beside them. */
final class FullTextTables implements AutoCloseable {
    private static final int AT_ONCE = 500;

    private final Connection database;

    FullTextTables(String address) throws SQLException {
        database = DriverManager.getConnection(address);
        for (String table : new String[] {
            "create table document (id bigint primary key, type varchar(64), stream varchar(64), year int, who varchar(60),"
                    + " filed_at datetime, index (filed_at)) collate utf8mb4_uca1400_ai_ci",
            "create table field (document_id bigint, name varchar(64), value varchar(1000), primary key (document_id, name),"
                    + " index (name, value(100))) collate utf8mb4_uca1400_ai_ci",
            "create table page (document_id bigint, no int, words mediumtext, primary key (document_id, no),"
                    + " fulltext (words)) collate utf8mb4_uca1400_ai_ci"
        }) {
            database.createStatement().execute(table);
        }
        database.setAutoCommit(false);
    }

    void fill(FiledPapers papers, int documents) throws SQLException {
        try (PreparedStatement document = database.prepareStatement("insert into document values (?,?,?,?,?,?)");
                PreparedStatement field = database.prepareStatement("insert into field values (?,?,?)");
                PreparedStatement page = database.prepareStatement("insert into page values (?,?,?)")) {
            for (int id = 1; id <= documents; id++) {
                Searchable d = papers.document(id);
                set(
                        document,
                        id,
                        d.kind().title(),
                        d.kind().streamTitle(),
                        d.filedAt().toString().substring(0, 4),
                        d.filedBy(),
                        d.filedAt().toString().substring(0, 19).replace('T', ' '));
                for (Map.Entry<String, String> value : d.fields().entrySet()) {
                    set(field, id, value.getKey(), value.getValue());
                }
                for (int p = 0; p < d.pages().size(); p++) {
                    set(page, id, p, d.pages().get(p));
                }
                if (id % AT_ONCE == 0 || id == documents) {
                    document.executeBatch();
                    field.executeBatch();
                    page.executeBatch();
                    database.commit();
                }
            }
        }
    }

    private static void set(PreparedStatement statement, Object... values) throws SQLException {
        for (int i = 0; i < values.length; i++) {
            statement.setObject(i + 1, values[i]);
        }
        statement.addBatch();
    }

    /** @return how many match; a line that the database cannot be asked is -1 */
    int search(String line) throws SQLException {
        String where = where(line);
        if (where == null) {
            return -1;
        }
        rows("select id from document d where " + where + " order by filed_at desc limit 50");
        int total = 0;
        for (String facet : new String[] {"type", "stream", "year", "who"}) {
            total = rows("select " + facet + ", count(*) from document d where " + where + " group by " + facet);
        }
        return total;
    }

    private static String where(String line) {
        if (line.isEmpty()) {
            return "1 = 1";
        }
        if (line.startsWith("party:")) {
            return "exists (select 1 from field f where f.document_id = d.id and f.name = 'party' and f.value like '%"
                    + line.substring(6) + "%')";
        }
        if (line.contains(":")) {
            return null;
        }
        StringBuilder where = new StringBuilder("1 = 1");
        String[] parts = line.startsWith("\"") ? new String[] {line} : line.split(" ");
        for (String part : parts) {
            String words = String.join(" ", Plain.words(part));
            where.append(" and d.id in (select document_id from page where match(words) against ('+")
                    .append(part.startsWith("\"") ? "\"" + words + "\"" : words + "*")
                    .append("' in boolean mode))");
        }
        return where.toString();
    }

    private int rows(String query) throws SQLException {
        int rows = 0;
        try (var statement = database.createStatement();
                ResultSet result = statement.executeQuery(query)) {
            while (result.next()) {
                rows++;
            }
        }
        return rows;
    }

    @Override
    public void close() throws SQLException {
        database.close();
    }
}
