package jalon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import jalon.demo.Api;
import jalon.demo.Harbour;
import jalon.demo.Paper;
import jalon.standins.OfficeDatabase;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.sql.DriverManager;
import java.time.Instant;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What values are held against: registers, and what lies in the archive. */
class OwnRecordsTest extends ServerCase {
    @Test
    void aRegisterIsTriedThenSavedInVersionsAndSearched() throws Exception {
        Api supervisor = api("t.vane", "merrow-supervisor");
        supervisor.post("/api/registers/wardens", Map.of("csv", "no;name\n1;Ewa Lindqvist\n2;Ines Vane\n"));
        Map<String, Object> next = Map.of("csv", "no,name\n1,Ewa Lindqvist\n2,Ida Vane\n3,Lars Holm\n4\n");
        JsonNode tried = supervisor.post("/api/registers/wardens/try", next);
        assertThat(tried.get("change").get("came").asInt()).isEqualTo(1);
        assertThat(tried.get("change").get("changed").asInt()).isEqualTo(1);
        assertThat(tried.get("info").get("faults").get(0).asString()).contains("1 values for 2 columns");
        assertThat(tried.get("columns").get(1).get("kind").asString()).isEqualTo("name");
        assertThat(operator.get("/api/registers/wardens/rows?q=holm").get("all").asInt())
                .as("nothing is kept of a trial")
                .isZero();

        supervisor.post("/api/registers/wardens", next);
        assertThat(operator.get("/api/registers/wardens/rows?q=HOLM%20lars")
                        .get("all")
                        .asInt())
                .isEqualTo(1);
        JsonNode versions = operator.get("/api/registers/wardens").get("versions");
        assertThat(versions).hasSize(2);
        assertThat(versions.get(0).get("version").asInt()).isEqualTo(2);
        assertThat(versions.get(0).get("changed").asInt()).isEqualTo(1);
        assertThat(versions.get(1).get("came").asInt()).isEqualTo(2);

        Map<String, Object> said = Map.of("column", "no", "kind", "number");
        assertThat(supervisor
                        .put("/api/registers/wardens/columns", said)
                        .get("columns")
                        .get(0)
                        .toString())
                .contains("\"kind\":\"number\"", "\"said\":true");
        supervisor.post("/api/registers/wardens", next);
        assertThat(operator.get("/api/registers/wardens")
                        .get("columns")
                        .get(0)
                        .get("said")
                        .asBoolean())
                .as("what was said stays with the column")
                .isTrue();
        Map<String, Object> asItLooks = new HashMap<>(said);
        asItLooks.put("kind", null);
        assertThat(supervisor
                        .put("/api/registers/wardens/columns", asItLooks)
                        .get("columns")
                        .get(0)
                        .get("kind")
                        .asString())
                .isEqualTo("text");
        assertThatThrownBy(() -> operator.put("/api/registers/wardens/columns", said))
                .hasMessageContaining("role");
        assertThatThrownBy(() -> supervisor.put("/api/registers/wardens/columns", Map.of("column", "berth")))
                .hasMessageContaining("no register wardens with the column berth");

        assertThatThrownBy(() -> operator.post("/api/registers/wardens/try", next))
                .hasMessageContaining("role");
        assertThatThrownBy(() -> operator.get("/api/registers/harbours")).hasMessageContaining("no register harbours");
        assertThatThrownBy(() -> supervisor.post("/api/registers/wardens/try", Map.of("csv", "no,name\n")))
                .hasMessageContaining("no usable line");
        assertThat(operator.get("/api/registers/wardens")
                        .get("info")
                        .get("rows")
                        .asInt())
                .isEqualTo(3);
    }

    private static final String ROWS =
            IntStream.range(0, 40).mapToObj(i -> "K" + i + ",Pump " + i + "\n").collect(Collectors.joining());

    /** As it is shown after the source was looked at until this holds. */
    private JsonNode source(String register, Predicate<JsonNode> until) throws Exception {
        await().until(() ->
                until.test(operator.get("/api/registers/" + register).get("source")));
        return operator.get("/api/registers/" + register).get("source");
    }

    private static Path put(Path file, String text) throws Exception {
        Files.writeString(file, text);
        Files.setLastModifiedTime(file, FileTime.from(Instant.now().minusSeconds(60)));
        return file;
    }

    @Test
    void aRegisterComesByADropFileAndTheLastGoodCopyGoesOn() throws Exception {
        Api supervisor = api("t.vane", "merrow-supervisor");
        Path file = put(
                Files.createDirectories(DATA.resolve("drops"))
                        .resolve("pumps.csv")
                        .toAbsolutePath(),
                "no,name\n" + ROWS);
        Map<String, Object> settings = Map.of("kind", "file", "file", file.toString(), "everySeconds", 1);
        assertThat(supervisor
                        .post("/api/registers/pumps/source/try", settings)
                        .get("info")
                        .get("rows")
                        .asInt())
                .isEqualTo(40);
        assertThatThrownBy(() -> operator.get("/api/registers/pumps")).hasMessageContaining("no register pumps");
        supervisor.put("/api/registers/pumps/source", settings);
        assertThat(operator.get("/api/registers/pumps").get("info").get("rows").asInt())
                .isEqualTo(40);

        put(file, "no,name\n" + ROWS + "K40,Schöpfwerk\n");
        await().until(() ->
                operator.get("/api/registers/pumps").get("info").get("rows").asInt() == 41);
        assertThat(operator.get("/api/registers/pumps")
                        .get("versions")
                        .get(0)
                        .get("savedBy")
                        .asString())
                .isEqualTo("register source");

        put(file, "no,name\nK1,Pump 1\n");
        JsonNode source = source("pumps", s -> s.hasNonNull("problem"));
        assertThat(words(source.get("problem"))).contains("40 of 41 rows would go");
        assertThat(source.hasNonNull("goodAt")).isTrue();
        assertThat(operator.get("/api/registers/pumps").get("info").get("rows").asInt())
                .isEqualTo(41);
        JsonNode taken = supervisor.post("/api/registers/pumps/source/look?whatever=true", Map.of());
        assertThat(taken.hasNonNull("problem")).isFalse();
        assertThat(operator.get("/api/registers/pumps").get("info").get("rows").asInt())
                .isEqualTo(1);

        Files.delete(file);
        assertThat(words(source("pumps", s -> s.hasNonNull("problem")).get("problem")))
                .contains("There is no file " + file);
        assertThatThrownBy(() -> operator.delete("/api/registers/pumps/source")).hasMessageContaining("role");
        supervisor.delete("/api/registers/pumps/source");
        assertThat(operator.get("/api/registers/pumps").hasNonNull("source")).isFalse();
    }

    @Test
    void aRegisterComesByAQueryThatCanOnlyRead() throws Exception {
        String url = TestDatabase.fresh();
        int port = URI.create(url.substring("jdbc:".length())).getPort();
        try (var office = DriverManager.getConnection(url + "?user=root");
                var statement = office.createStatement()) {
            for (String one : OfficeDatabase.statements("quay-side")) {
                statement.execute(one);
            }
        }
        Api supervisor = api("t.vane", "merrow-supervisor");
        Map<String, Object> settings = new HashMap<>(Map.of(
                "kind",
                "database",
                "host",
                "127.0.0.1",
                "port",
                port,
                "database",
                OfficeDatabase.NAME,
                "user",
                OfficeDatabase.READER,
                "password",
                "quay-side",
                "query",
                OfficeDatabase.VESSELS,
                "seconds",
                5));
        JsonNode saved = supervisor.put("/api/registers/boats/source", settings);
        assertThat(saved.get("settings").hasNonNull("password")).isFalse();
        assertThat(operator.get("/api/registers/boats").get("info").get("rows").asInt())
                .isEqualTo(operator.get("/api/registers/vessels")
                        .get("info")
                        .get("rows")
                        .asInt());
        // The password stays when it is not written again.
        settings.remove("password");
        assertThat(supervisor
                        .post("/api/registers/boats/source/try", settings)
                        .get("info")
                        .get("rows")
                        .asInt())
                .isPositive();

        Map<String, String> refused = new LinkedHashMap<>();
        refused.put("drop table boat", "one select");
        refused.put("select 1 a; drop table boat", "one select");
        refused.put("select * from nothing_here", "did not do the query");
        refused.put("with gone as (select 1 as no) select * from gone where no = 2", "brought no rows");
        refused.put("select sleep(30) as no", "within 1 seconds");
        refused.put("select registration, registration from boat", "no usable line");
        refused.put(
                "select a.*, repeat('x', 2000) as pad from boat a, boat b, boat c, boat d",
                "more than a register can hold");
        refused.forEach((query, why) -> {
            settings.put("query", query);
            settings.put("seconds", query.contains("sleep") ? 1 : 60);
            assertThatThrownBy(() -> supervisor.post("/api/registers/boats/source/try", settings))
                    .as(query)
                    .hasMessageContaining(why);
        });
        settings.put("query", "select 1 as no");
        settings.put("password", "wrong");
        assertThatThrownBy(() -> supervisor.post("/api/registers/boats/source/try", settings))
                .hasMessageContaining("does not let office_reader in");
        settings.put("port", 1);
        assertThatThrownBy(() -> supervisor.post("/api/registers/boats/source/try", settings))
                .hasMessageContaining("127.0.0.1:1 does not answer");
        settings.put("host", "10.9.8.7");
        assertThatThrownBy(() -> supervisor.post("/api/registers/boats/source/try", settings))
                .hasMessageContaining("10.9.8.7");
        assertThatThrownBy(() -> operator.put("/api/registers/boats/source", settings))
                .hasMessageContaining("role");
        settings.put("system", "postgresql");
        settings.put("host", "127.0.0.1");
        assertThatThrownBy(() -> supervisor.post("/api/registers/boats/source/try", settings))
                .hasMessageContaining("127.0.0.1:1 does not answer");
    }

    @Test
    void aColumnThatStreamsUseCannotGo() throws Exception {
        Api supervisor = api("t.vane", "merrow-supervisor");
        assertThatThrownBy(() ->
                        supervisor.post("/api/registers/vessels/try", Map.of("csv", "registration,boat\nPM-1,Gull\n")))
                .hasMessageContaining("The column vessel of vessels is gone")
                .hasMessageContaining("Berth applications");
    }

    @Test
    void whatTheMachineMadeOfAValueIsSetBesideWhatPeopleMadeOfIt() throws Exception {
        var stack = Paper.duesLetters(scans, Harbour.portMerrow(), 2, 77);
        String no = bring("dues-letters", stack.files());
        JsonNode first = operator.get("/api/batches/" + no + "?fields=true")
                .get("documents")
                .get(0);
        // Sure, and yet not what stands there.
        boolean sure = first.get("fields").get("vessel").get("state").asString().equals("sure");
        settle(no, first, "vessel", "PM-0000-Z");
        settleTheRest(no, stack);
        operator.post("/api/batches/" + no + "/filing", Map.of());
        awaitStage(no, "done");

        JsonNode fields = operator.get("/api/streams/dues-letters/certainty");
        JsonNode vessel = StreamSupport.stream(fields.spliterator(), false)
                .filter(f -> f.get("field").asString().equals("vessel"))
                .findFirst()
                .orElseThrow();
        assertThat(vessel.get("sureWrong").asInt() + vessel.get("doubts").asInt())
                .isPositive();
        assertThat(vessel.get("sureWrong").asInt()).isGreaterThanOrEqualTo(sure ? 1 : 0);
        assertThat(vessel.get("weeks").get(0).get("sure").asInt())
                .isEqualTo(vessel.get("sure").asInt());
        assertThat(vessel.get("limits")).hasSizeGreaterThan(5);
        assertThat(StreamSupport.stream(
                                operator.get("/api/registers/vessels/newcomers").spliterator(), false)
                        .filter(n -> n.get("batch").asString().equals(no)))
                .singleElement()
                .satisfies(n -> assertThat(n.get("value").asString()).isEqualTo("PM-0000-Z"));
    }

    @Test
    void aDocumentThatWasFiledBeforeIsADoubtThatSaysWhereTheOtherLies() throws Exception {
        var stack = Paper.berthApplications(scans, Harbour.portMerrow(), 1, 71);
        String first = bring("berth-applications", stack.files());
        settleTheRest(first, stack);
        operator.post("/api/batches/" + first + "/filing", Map.of());
        awaitStage(first, "done");

        String again = bring("berth-applications", stack.files());
        settleTheRest(again, stack);
        JsonNode document = operator.get("/api/batches/" + again + "?fields=true")
                .get("documents")
                .get(0);
        JsonNode reason = document.get("fields").get("vessel").get("reasons").get(0);
        assertThat(reason.get("code").asString()).isEqualTo("filedBefore");
        assertThat(reason.get("with").get("batch").asString()).isEqualTo(first);
        String page = reason.get("with").get("page").asString();
        assertThat(operator.get("/api/batches/" + first)
                        .get("documents")
                        .get(0)
                        .get("pages")
                        .get(0)
                        .asString())
                .isEqualTo(page);
    }
}
