package jalon.places;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.core.output.FilingPlace;
import jalon.core.stream.Destination;
import jalon.places.PlaceTrouble.Why;
import jalon.standins.ObjectStoreStandIn;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Filing in an object store. */
class S3PlaceTest extends RemotePlaceCase {
    private ObjectStoreStandIn store;

    @BeforeEach
    void serve() throws Exception {
        store = ObjectStoreStandIn.start(0, folder.resolve("store"), "merrow-secret");
        share = Files.createDirectories(store.folder().resolve("filed"));
    }

    @Override
    ProcessBuilder anotherClient(String path, Path into) {
        return curl(
                store.url() + "/" + ObjectStoreStandIn.BUCKET + "/filed/" + path,
                into,
                "--aws-sigv4",
                "aws:amz:us-east-1:s3",
                "--user",
                ObjectStoreStandIn.ACCESS_KEY + ":merrow-secret");
    }

    @AfterEach
    void close() {
        store.close();
    }

    @Override
    PlaceSettings settings() {
        return settings(ObjectStoreStandIn.BUCKET, ObjectStoreStandIn.ACCESS_KEY);
    }

    private PlaceSettings settings(String bucket, String accessKey) {
        return new PlaceSettings.ObjectStore(store.url(), null, bucket, accessKey, "merrow-secret", "filed");
    }

    @Override
    Map<String, String> said() {
        return Map.of("Vessel", "Käthe");
    }

    @Test
    void aKeyLongerThanTheProtocolHasItIsTold() throws Exception {
        isTooLong("Berths/".repeat(150), "Berth 1");
    }

    @Test
    void whatKeepsItFromFilingIsSaid() throws Exception {
        assertThat(trouble(settings(ObjectStoreStandIn.BUCKET, "nobody")).why()).isEqualTo(Why.NOT_LET_IN);
        assertThat(trouble(settings("unknown", ObjectStoreStandIn.ACCESS_KEY)).why())
                .isEqualTo(Why.NO_FOLDER);
        PlaceSettings gone = settings();
        store.close();
        assertThat(trouble(gone).why()).isEqualTo(Why.NOT_REACHED);
    }

    /** Fetched by a program that has nothing to do with either side. */
    @Test
    void anotherClientFindsTheFileAndWhatIsSaidOfIt() throws Exception {
        var spot = new FilingPlace.Spot("", "Berth 1", List.of(Destination.Format.PDF), Destination.Taken.NUMBER);
        put(settings().place(), spot, List.of(written("first")), FilingPlace.Remembered.nothing());
        Process curl = new ProcessBuilder(
                        "curl",
                        "-sS",
                        "-i",
                        "--aws-sigv4",
                        "aws:amz:us-east-1:s3",
                        "--user",
                        ObjectStoreStandIn.ACCESS_KEY + ":merrow-secret",
                        store.url() + "/" + ObjectStoreStandIn.BUCKET + "/filed/Berth%201.pdf")
                .redirectErrorStream(true)
                .start();
        String answer = new String(curl.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(answer).startsWith("HTTP/1.1 200").endsWith("first");
        assertThat(answer.toLowerCase(java.util.Locale.ROOT)).contains("x-amz-meta-vessel: =?utf-8?b?s8okdghl?=");
    }
}
