package jalon.core.output.remote;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import jalon.core.output.FilingPlace;
import jalon.core.output.FilingPlace.Ready;
import jalon.core.output.FilingPlace.Spot;
import jalon.core.output.NameTaken;
import jalon.core.output.remote.PlaceTrouble.Why;
import jalon.core.stream.Destination;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.apache.sshd.common.config.keys.KeyUtils;
import org.apache.sshd.common.digest.BuiltinDigests;
import org.apache.sshd.common.file.virtualfs.VirtualFileSystemFactory;
import org.apache.sshd.server.SshServer;
import org.apache.sshd.server.keyprovider.SimpleGeneratorHostKeyProvider;
import org.apache.sshd.sftp.server.SftpSubsystemFactory;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Filing on a file server that other people look after. */
class SftpPlaceTest {
    @TempDir
    private Path folder;

    private Path share;
    private SshServer server;
    private String hostKey;

    @BeforeEach
    void serve() throws Exception {
        share = Files.createDirectories(folder.resolve("share"));
        server = SshServer.setUpDefaultServer();
        server.setHost("127.0.0.1");
        server.setKeyPairProvider(new SimpleGeneratorHostKeyProvider(folder.resolve("host.key")));
        server.setPasswordAuthenticator((user, password, session) -> user.equals("jalon") && password.equals("merrow"));
        server.setFileSystemFactory(new VirtualFileSystemFactory(folder));
        server.setSubsystemFactories(List.of(new SftpSubsystemFactory()));
        server.start();
        hostKey = KeyUtils.getFingerPrint(
                BuiltinDigests.sha256,
                server.getKeyPairProvider().loadKeys(null).iterator().next().getPublic());
    }

    @AfterEach
    void close() throws IOException {
        server.stop();
    }

    private PlaceSettings.Sftp settings() {
        return new PlaceSettings.Sftp("127.0.0.1", server.getPort(), hostKey, "jalon", "merrow", null, "share");
    }

    private Ready written(String text) throws IOException {
        Path file = Files.writeString(Files.createTempFile(folder, "written", ".pdf"), text);
        return Ready.of(Destination.Format.PDF, file);
    }

    private static Spot spot(Destination.Taken taken) {
        return new Spot("Berths/2026 Käthe", "Berth 1", List.of(Destination.Format.PDF), taken);
    }

    private List<String> filed() throws IOException {
        try (Stream<Path> all = Files.walk(share)) {
            return all.filter(Files::isRegularFile)
                    .map(f -> share.relativize(f).toString())
                    .sorted()
                    .toList();
        }
    }

    @Test
    void aDocumentIsFiledOnceAndNothingIsOverwritten() throws Exception {
        var place = new RemotePlace(settings());
        Ready first = written("first");
        List<String> about = new ArrayList<>();
        var remembered = new FilingPlace.Remembered() {
            @Override
            public List<String> before() {
                return List.copyOf(about);
            }

            @Override
            public void about(List<String> files) {
                about.clear();
                about.addAll(files);
            }
        };
        List<String> at = place.put(spot(Destination.Taken.NUMBER), List.of(first), remembered);
        assertThat(at).containsExactly("Berths/2026 Käthe/Berth 1.pdf").isEqualTo(about);
        assertThat(place.put(spot(Destination.Taken.NUMBER), List.of(first), remembered))
                .as("tried again after the answer was lost")
                .isEqualTo(at);
        var another =
                place.put(spot(Destination.Taken.NUMBER), List.of(written("second")), FilingPlace.Remembered.nothing());
        assertThat(another).containsExactly("Berths/2026 Käthe/Berth 1 (2).pdf");
        assertThat(filed()).hasSize(2);
        try (InputStream back = place.open(at.get(0))) {
            assertThat(new String(back.readAllBytes(), StandardCharsets.UTF_8)).isEqualTo("first");
        }
        assertThatThrownBy(() -> place.put(
                        spot(Destination.Taken.REFUSE), List.of(written("third")), FilingPlace.Remembered.nothing()))
                .isInstanceOf(NameTaken.class);
        assertThat(filed()).as("nothing is left of what was refused").hasSize(2);
    }

    @Test
    void ofSeveralFilesAllAreFiledUnderOneNameOrNone() throws Exception {
        var place = new RemotePlace(settings());
        Path data = Files.writeString(folder.resolve("d.json"), "{}");
        List<Ready> both = List.of(written("first"), Ready.of(Destination.Format.JSON, data));
        var spot = new Spot(
                "", "Berth", List.of(Destination.Format.PDF, Destination.Format.JSON), Destination.Taken.NUMBER);
        Files.writeString(share.resolve("Berth.json"), "somebody else's");
        assertThat(place.put(spot, both, FilingPlace.Remembered.nothing()))
                .containsExactly("Berth (2).pdf", "Berth (2).json");
        assertThat(filed()).containsExactly("Berth (2).json", "Berth (2).pdf", "Berth.json");
    }

    @Test
    void whatKeepsItFromFilingIsSaid() throws Exception {
        PlaceSettings.Sftp s = settings();
        new RemotePlace(s).tryIt();
        assertThat(filed()).as("the trial takes away what it wrote").isEmpty();
        PlaceTrouble unsaid =
                trouble(new PlaceSettings.Sftp(s.host(), s.port(), null, "jalon", "merrow", null, "share"));
        assertThat(unsaid.why()).isEqualTo(Why.HOST_KEY_NOT_SAID);
        assertThat(unsaid).hasMessage(hostKey);
        assertThat(trouble(new PlaceSettings.Sftp(s.host(), s.port(), "SHA256:x", "jalon", "merrow", null, "share"))
                        .why())
                .isEqualTo(Why.OTHER_HOST_KEY);
        assertThat(trouble(s.withSecrets(new PlaceSettings.Secrets("old", null)))
                        .why())
                .isEqualTo(Why.NOT_LET_IN);
        assertThat(trouble(s.withSecrets(new PlaceSettings.Secrets(null, "no key")))
                        .why())
                .isEqualTo(Why.BAD_KEY);
        assertThat(trouble(new PlaceSettings.Sftp(s.host(), s.port(), hostKey, "jalon", "merrow", null, "unmounted"))
                        .why())
                .isEqualTo(Why.NO_FOLDER);
        assertThat(Files.exists(folder.resolve("unmounted"))).isFalse();
        int port = server.getPort();
        server.stop();
        assertThat(trouble(new PlaceSettings.Sftp(s.host(), port, hostKey, "jalon", "merrow", null, "share"))
                        .why())
                .isEqualTo(Why.NOT_REACHED);
    }

    private static PlaceTrouble trouble(PlaceSettings settings) {
        return catchThrowableOfType(PlaceTrouble.class, () -> new RemotePlace(settings).tryIt());
    }
}
