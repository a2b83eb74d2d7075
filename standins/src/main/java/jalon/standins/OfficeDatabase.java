package jalon.standins;

import jalon.demo.Harbour;
import jalon.demo.Vessel;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The harbour office's own database, as any organisation has one beside its paper: boats and who owns them in two tables, and
 * a user that may only read them. It is made in a MariaDB that is there.
 */
public final class OfficeDatabase {
    public static final String NAME = "harbour_office";
    public static final String READER = "office_reader";

    /** What the register of vessels is in it. */
    public static final String VESSELS =
            "select b.registration, b.vessel, p.owner, p.telephone, p.address, b.quay, b.berth,"
                    + " b.length from boat b join person p on p.id = b.owner order by b.id";

    private OfficeDatabase() {}

    /** Arguments: the file to write the statements to, the password of the one who reads, the database's port, the sources' file. */
    public static void main(String[] args) throws IOException {
        Files.writeString(Path.of(args[0]), String.join(";\n", statements(args[1])) + ";\n");
        Files.writeString(Path.of(args[3]), "[" + source(args[1], Integer.parseInt(args[2])) + "]");
    }

    /** The register of vessels as a query of it, for Jalon. */
    public static String source(String password, int port) {
        return """
                {"register":"vessels","settings":{"kind":"database","system":"mariadb","host":"127.0.0.1","port":%d,
                 "database":"%s","user":"%s","password":"%s","query":"%s","everySeconds":600}}
                """.formatted(port, NAME, READER, password, VESSELS);
    }

    /** Each by itself, without a semicolon. */
    public static List<String> statements(String password) {
        List<String> all = new ArrayList<>(List.of(
                "create or replace database " + NAME + " character set utf8mb4",
                "create table " + NAME + ".person (id int primary key, owner varchar(80), telephone varchar(30),"
                        + " address varchar(120))",
                "create table " + NAME
                        + ".boat (id int primary key, registration varchar(12), vessel varchar(60), owner int,"
                        + " quay varchar(40), berth varchar(8), length varchar(8))",
                "create or replace user " + READER + "@'127.0.0.1' identified by '" + password + "'",
                "grant select on " + NAME + ".* to " + READER + "@'127.0.0.1'"));
        Map<String, Integer> people = new LinkedHashMap<>();
        int boat = 0;
        for (Vessel v : Harbour.portMerrow().vessels()) {
            String person = values(v.owner(), v.telephone(), v.address());
            Integer id = people.get(person);
            if (id == null) {
                id = people.size() + 1;
                people.put(person, id);
                all.add("insert into " + NAME + ".person values (" + id + ", " + person + ")");
            }
            all.add("insert into " + NAME + ".boat values (" + ++boat + ", " + values(v.registration(), v.vessel())
                    + ", " + id + ", " + values(v.quay(), v.berth(), v.lengthM()) + ")");
        }
        return all;
    }

    private static String values(String... texts) {
        return String.join(
                ", ",
                java.util.Arrays.stream(texts)
                        .map(t -> "'" + t.replace("\\", "\\\\").replace("'", "''") + "'")
                        .toList());
    }
}
