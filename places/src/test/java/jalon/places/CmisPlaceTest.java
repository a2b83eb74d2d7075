package jalon.places;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import jalon.core.output.FiledDocument;
import jalon.core.output.FilingPlace;
import jalon.core.stream.Destination;
import jalon.places.PlaceTrouble.Why;
import jalon.standins.RepositoryStandIn;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.chemistry.opencmis.client.api.CmisObject;
import org.apache.chemistry.opencmis.client.api.Document;
import org.apache.chemistry.opencmis.client.api.Folder;
import org.apache.chemistry.opencmis.client.api.Session;
import org.apache.chemistry.opencmis.client.runtime.SessionFactoryImpl;
import org.apache.chemistry.opencmis.commons.SessionParameter;
import org.apache.chemistry.opencmis.commons.enums.BindingType;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Filing in a document repository. */
class CmisPlaceTest extends RemotePlaceCase {
    private RepositoryStandIn repository;
    private Session session;

    @BeforeEach
    void serve() throws Exception {
        repository = RepositoryStandIn.start(0, "merrow-secret");
        session = SessionFactoryImpl.newInstance()
                .getRepositories(new HashMap<>(Map.of(
                        SessionParameter.BINDING_TYPE,
                        BindingType.BROWSER.value(),
                        SessionParameter.BROWSER_URL,
                        repository.url(),
                        SessionParameter.USER,
                        RepositoryStandIn.USER,
                        SessionParameter.PASSWORD,
                        "merrow-secret")))
                .get(0)
                .createSession();
        session.getDefaultContext().setCacheEnabled(false);
    }

    @AfterEach
    void close() {
        repository.close();
    }

    @Override
    PlaceSettings settings() {
        return settings("");
    }

    @Override
    ProcessBuilder anotherClient(String path, Path into) {
        String address = repository.url() + "/merrow/root/" + path + "?cmisselector=content";
        return curl(address, into, "-u", RepositoryStandIn.USER + ":merrow-secret");
    }

    private PlaceSettings settings(String folder) {
        return new PlaceSettings.Repository(repository.url(), null, RepositoryStandIn.USER, "merrow-secret", folder);
    }

    @Override
    List<String> filed() {
        List<String> all = new ArrayList<>();
        collect(session.getRootFolder(), "", all);
        return all.stream().sorted().toList();
    }

    private static void collect(Folder folder, String path, List<String> all) {
        for (CmisObject child : folder.getChildren()) {
            if (child instanceof Folder below) {
                collect(below, path + child.getName() + "/", all);
            } else {
                all.add(path + child.getName());
            }
        }
    }

    @Override
    void somebodyElsesLies(String name) throws IOException {
        var spot = new FilingPlace.Spot(
                "",
                name.substring(0, name.lastIndexOf('.')),
                List.of(Destination.Format.JSON),
                Destination.Taken.REFUSE);
        var file = FilingPlace.Ready.of(
                Destination.Format.JSON, written("somebody else's").file());
        put(settings().place(), spot, List.of(file), FilingPlace.Remembered.nothing());
    }

    @Test
    void whatKeepsItFromFilingIsSaid() throws Exception {
        assertThat(trouble(settings("unknown")).why()).isEqualTo(Why.NO_FOLDER);
        assertThat(trouble(new PlaceSettings.Repository(
                                repository.url(), "other", RepositoryStandIn.USER, "merrow-secret", ""))
                        .why())
                .isEqualTo(Why.NO_FOLDER);
        PlaceSettings gone = settings();
        close();
        assertThat(trouble(gone).why()).isEqualTo(Why.NOT_REACHED);
    }

    private List<FilingPlace.Placed> put(Map<String, String> properties) throws IOException {
        var spot = new FilingPlace.Spot("Papers", "Survey", List.of(Destination.Format.PDF), Destination.Taken.REFUSE);
        var origin = new FiledDocument.Origin("surveys", "survey", "B-0001", 1);
        var document = new FiledDocument("Survey", origin, Map.of(), List.of(), Map.of(), Instant.EPOCH);
        return settings()
                .place()
                .put(
                        new FilingPlace.Parcel(spot, document, properties, List.of(written("survey"))),
                        FilingPlace.Remembered.nothing());
    }

    private FilingPlace.Placed putVersion(String content) throws IOException {
        var spot = new FilingPlace.Spot("", "Survey", List.of(Destination.Format.PDF), Destination.Taken.VERSION);
        var origin = new FiledDocument.Origin("surveys", "survey", "B-0001", 1);
        var document = new FiledDocument("Survey", origin, Map.of(), List.of(), Map.of(), Instant.EPOCH);
        Map<String, String> properties =
                Map.of("cmis:objectTypeId", RepositoryStandIn.TYPE, "merrow:vessel", "PM-4821-K");
        return settings("")
                .place()
                .put(
                        new FilingPlace.Parcel(spot, document, properties, List.of(written(content))),
                        FilingPlace.Remembered.nothing())
                .get(0);
    }

    @Test
    void aNameThatIsTakenIsCheckedInAsAVersionOnceAndTheEarlierOneStays() throws Exception {
        FilingPlace.Placed first = putVersion("first");
        FilingPlace.Placed second = putVersion("second");
        assertThat(second.path()).isEqualTo(first.path()).isEqualTo("Survey.pdf");
        assertThat(second.identifier()).isNotEqualTo(first.identifier());
        assertThat(putVersion("second").identifier())
                .as("another try of the same")
                .isEqualTo(second.identifier());
        Document newest = (Document) session.getObjectByPath("/Survey.pdf");
        List<String> contents = new ArrayList<>();
        for (Document version : newest.getAllVersions()) {
            contents.add(new String(version.getContentStream().getStream().readAllBytes(), StandardCharsets.UTF_8));
        }
        assertThat(contents).containsExactly("second", "first");
        newest.checkOut();
        assertThat(putVersion("third").identifier())
                .as("what a broken try of ours left checked out")
                .isNotEqualTo(second.identifier());
    }

    @Test
    void aDocumentHasItsTypeAndProperties() throws Exception {
        Map<String, String> properties = Map.of(
                "cmis:objectTypeId", RepositoryStandIn.TYPE,
                "merrow:vessel", "PM-4821-K",
                "merrow:written", "2026-11-20",
                "merrow:amount", "1250.50");
        String id = put(properties).get(0).identifier();
        Document filed = (Document) session.getObjectByPath("/Papers/Survey.pdf");
        assertThat(filed.getId()).isEqualTo(id);
        assertThat(filed.getType().getId()).isEqualTo(RepositoryStandIn.TYPE);
        assertThat(filed.<String>getPropertyValue("merrow:vessel")).isEqualTo("PM-4821-K");
        assertThat(filed.<java.math.BigDecimal>getPropertyValue("merrow:amount"))
                .isEqualByComparingTo("1250.5");
        assertThat(filed.<java.util.GregorianCalendar>getPropertyValue("merrow:written")
                        .toInstant())
                .isEqualTo(Instant.parse("2026-11-20T00:00:00Z"));
    }

    @Test
    void aPropertyThatTheTypeDoesNotHaveIsSaidAndNothingIsFiled() throws Exception {
        PlaceTrouble trouble =
                catchThrowableOfType(PlaceTrouble.class, () -> put(Map.of("merrow:vessel", "PM-4821-K")));
        assertThat(trouble).hasMessageContaining("merrow:vessel");
        assertThat(filed()).isEmpty();
    }
}
