package jalon.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.apache.lucene.store.LockObtainFailedException;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SearchIndexTest {
    private static final ZoneId ZONE = ZoneId.of("Europe/Berlin");
    private static final Searchable.Kind LETTER = new Searchable.Kind("dues", "Harbour dues", "letter", "Dues letter");
    private static final Searchable.Kind FORM = new Searchable.Kind("berths", "Berths", "form", "Berth application");

    @TempDir
    private Path folder;

    private SearchIndex index;

    @BeforeEach
    void fill() throws Exception {
        index = SearchIndex.open(folder, ZONE);
        put(
                1,
                LETTER,
                "2025-12-31T23:30:00Z",
                "vessel=PM-4821-K owner=Ewa_Lind amount=73.50 written=2026-03-05",
                "Dear Harbour Master, the dues of our boat",
                "are paid at the quay");
        put(
                2,
                LETTER,
                "2026-05-01T10:00:00Z",
                "vessel=PM-7730-C owner=Łukasz_Größer amount=731.43 written=2026-05-31",
                "Dear Harbour Master, the boat is sold. Copy");
        put(3, FORM, "2026-06-01T10:00:00Z", "vessel=PM-9912-K owner=Rafael_Saltmere", "Application for a berth");
        index.refresh();
    }

    private void put(long id, Searchable.Kind kind, String filed, String fields, String... pages) throws Exception {
        Map<String, String> values = new HashMap<>();
        for (String field : fields.split(" ")) {
            values.put(field.split("=")[0], field.split("=")[1].replace('_', ' '));
        }
        index.put(new Searchable(
                id,
                kind,
                "B-000" + id,
                id == 3 ? "Jalon" : "M. Tarrow",
                Instant.parse(filed),
                values,
                Arrays.asList(pages),
                Set.of("amount")));
    }

    @AfterEach
    void close() throws Exception {
        index.close();
    }

    private Answer search(String typed, Seen seen, Search.Sort sort) throws Exception {
        Map<String, String> names = new HashMap<>();
        index.fields().forEach(f -> names.put(f, f));
        return index.search(new Search(SearchLine.of(typed, names), seen, sort, 0, 10));
    }

    private List<Long> ids(String typed) throws Exception {
        return search(typed, Seen.ALL, Search.Sort.NEWEST).ids();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '\'',
            value = {
                "''|[3, 2, 1]",
                "harb dues|[1]",
                "\"harbour master\"|[2, 1]",
                "\"boat are\"|[]",
                "821-K|[1]",
                "4821|[1]",
                "pm-48|[1]",
                "vessel:-k|[3, 1]",
                "vessel:12k|[3]",
                "owner:LUKASZ|[2]",
                "grosser|[2]",
                "owner:=ewa|[]",
                "owner:=\"ewa lind\"|[1]",
                "written:2026-03..05|[2, 1]",
                "written:2026-04..|[2]",
                "amount:100..|[2]",
                "amount:..100|[1]",
                "boat -copy|[1]",
                "-boat|[3]",
                "quay OR berth|[3, 1]",
                "quay OR berth dear|[1]",
                "type:letter|[2, 1]",
                "type:=\"dues letter\" by:tarrow|[2, 1]",
                "stream:berth|[3]",
                "batch:B-0002|[2]",
                "filed:2026..2026-05|[2, 1]",
                "filed:..2025|[]",
                "%|[3, 2, 1]"
            })
    void documentsAreFoundByWhateverIsRemembered(String typed, String found) throws Exception {
        assertThat(ids(typed)).hasToString(found);
    }

    @Test
    void resultsAreCountedAndSorted() throws Exception {
        Answer all = search("", Seen.ALL, new Search.Sort("amount", true));
        assertThat(all.ids()).as("those without a value last").containsExactly(2L, 1L, 3L);
        assertThat(all.total()).isEqualTo(3);
        assertThat(all.counts().get(Answer.Facet.TYPE))
                .containsExactly(new Answer.Count("Dues letter", 2), new Answer.Count("Berth application", 1));
        assertThat(all.counts().get(Answer.Facet.YEAR))
                .as("in the installation's time zone")
                .hasSize(1);
        assertThat(search("boat", Seen.ALL, Search.Sort.NEWEST).counts().get(Answer.Facet.BY))
                .containsExactly(new Answer.Count("M. Tarrow", 2));
        assertThat(search("", Seen.ALL, new Search.Sort("vessel", false)).ids()).containsExactly(1L, 2L, 3L);
    }

    @Test
    void whatIsOneLetterOffIsSaidWhereNothingIsExact() throws Exception {
        Answer word = search("harbuor quay", Seen.ALL, Search.Sort.NEWEST);
        assertThat(word.ids()).containsExactly(1L);
        assertThat(word.near()).containsExactly(new Answer.Near(0, List.of("harbour")));
        Answer value = search("vessel:PM-4812-K", Seen.ALL, Search.Sort.NEWEST);
        assertThat(value.near()).containsExactly(new Answer.Near(0, List.of("PM-4821-K")));
        assertThat(search("PM-7330-C", Seen.ALL, Search.Sort.NEWEST).near())
                .containsExactly(new Answer.Near(0, List.of("PM-7730-C")));
        assertThat(index.near(new Search(SearchLine.of("harbuor quay", Map.of()), Seen.ALL, Search.Sort.NEWEST, 0, 1)))
                .isEqualTo(word.near());
        assertThat(index.near(new Search(SearchLine.of("quay", Map.of()), Seen.ALL, Search.Sort.NEWEST, 0, 1)))
                .isEmpty();
        assertThat(search("quay berth", Seen.ALL, Search.Sort.NEWEST).near())
                .as("both are there, but not together")
                .isEmpty();
    }

    @Test
    void whatMayNotBeSeenIsNeitherFoundNorCountedNorSuggested() throws Exception {
        Seen forms = (stream, type) -> FORM.key().equals(stream + "/" + type) ? Seen.How.WHOLE : Seen.How.NOT;
        assertThat(search("", forms, Search.Sort.NEWEST).ids()).containsExactly(3L);
        assertThat(search("", forms, Search.Sort.NEWEST).counts().get(Answer.Facet.TYPE))
                .hasSize(1);
        assertThat(search("vessel:PM-4812-K", forms, Search.Sort.NEWEST).near()).isEmpty();
        assertThat(index.known(List.of("vessel"), "pm", forms, 5))
                .containsExactly(new Answer.Known("vessel", "PM-9912-K", 1));
        assertThat(index.known(List.of("owner", "vessel"), "luk", Seen.ALL, 5))
                .containsExactly(new Answer.Known("owner", "Łukasz Größer", 1));
        assertThat(search("", (stream, type) -> Seen.How.NOT, Search.Sort.NEWEST)
                        .total())
                .isZero();
    }

    @Test
    void whatIsConfidentialIsFoundByThoseWhoMaySeeItAndTheRestByEverybodyOnce() throws Exception {
        Seen open = (stream, type) -> Seen.How.OPEN;
        assertThat(ids("amount:731.43")).containsExactly(2L);
        assertThat(ids("")).as("each once").containsExactly(3L, 2L, 1L);
        assertThat(index.size()).isEqualTo(3);
        assertThat(index.size(open)).isEqualTo(3);
        assertThat(search("", open, Search.Sort.NEWEST).ids()).containsExactly(3L, 2L, 1L);
        assertThat(search("vessel:7730", open, Search.Sort.NEWEST).ids()).containsExactly(2L);
        for (String secret : List.of("amount:731.43", "731.43", "sold", "amount:700..800", "amount:731.44", "solt")) {
            assertThat(search(secret, open, Search.Sort.NEWEST).total())
                    .as(secret)
                    .isZero();
            assertThat(search(secret, open, Search.Sort.NEWEST).near())
                    .as(secret)
                    .isEmpty();
        }
        assertThat(index.known(List.of("amount"), "7", open, 5)).isEmpty();
        assertThat(search("", open, new Search.Sort("amount", true)).ids())
                .as("the order tells nothing")
                .containsExactly(3L, 2L, 1L);
        index.remove(2);
        index.refresh();
        assertThat(search("", open, Search.Sort.NEWEST).ids()).containsExactly(3L, 1L);
    }

    @Test
    void nothingOfWhatIsErasedLiesInItsFilesAfterAPurge() throws Exception {
        for (int id = 10; id < 200; id++) {
            put(id, LETTER, "2026-05-01T10:00:00Z", "vessel=PM-1111-A", "page of letter " + id);
        }
        put(4, LETTER, "2026-05-01T10:00:00Z", "owner=Zuleika", "signed zuleika");
        index.keep(17);
        assertThat(liesInFiles("zuleika")).isTrue();
        index.erase(4);
        index.keep(18);
        index.close();
        index = SearchIndex.open(folder, ZONE);
        assertThat(index.isToBePurged()).as("also after a restart").isTrue();
        index.purge(18);
        assertThat(index.isToBePurged()).isFalse();
        assertThat(liesInFiles("zuleika")).isFalse();
        assertThat(index.position()).isEqualTo(18);
        assertThat(index.size()).isEqualTo(193);
    }

    /** In letters of either case. */
    private boolean liesInFiles(String word) throws Exception {
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.toList()) {
                String bytes = Files.readString(file, StandardCharsets.ISO_8859_1);
                if (bytes.toLowerCase(Locale.ROOT).contains(word)) {
                    return true;
                }
            }
        }
        return false;
    }

    @Test
    void anIndexThatCannotBeReadIsBegunAnew() throws Exception {
        index.keep(17);
        index.close();
        try (var files = Files.list(folder)) {
            for (Path file : files.toList()) {
                if (file.getFileName().toString().startsWith("segments_")) {
                    Files.writeString(file, "not an index");
                }
            }
        }
        index = SearchIndex.open(folder, ZONE);
        assertThat(index.position()).isZero();
        assertThat(index.size()).isZero();
    }

    @Test
    void whatIsKeptIsThereAgainAndWhatIsNotIsToBeTakenInAgain() throws Exception {
        index.keep(17);
        put(1, LETTER, "2026-01-01T10:00:00Z", "vessel=PM-0001-A", "another version");
        index.remove(2);
        index.refresh();
        assertThat(ids("")).containsExactly(3L, 1L);
        assertThat(ids("dues -type:letter")).isEmpty();
        assertThatThrownBy(() -> SearchIndex.open(folder, ZONE)).isInstanceOf(LockObtainFailedException.class);
        index.close();
        index = SearchIndex.open(folder, ZONE);
        assertThat(index.position()).isEqualTo(17);
        assertThat(index.size()).isEqualTo(3);
        index.clear();
        index.refresh();
        assertThat(search("x", Seen.ALL, Search.Sort.NEWEST).total()).isZero();
    }
}
