package jalon.places;

import static org.assertj.core.api.Assertions.assertThat;

import jalon.places.PlaceTrouble.Why;
import java.io.IOException;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.apache.sshd.common.config.keys.KeyUtils;
import org.apache.sshd.common.digest.BuiltinDigests;
import org.apache.sshd.common.file.virtualfs.VirtualFileSystemFactory;
import org.apache.sshd.server.SshServer;
import org.apache.sshd.server.keyprovider.SimpleGeneratorHostKeyProvider;
import org.apache.sshd.sftp.server.SftpSubsystemFactory;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Filing on a file server that other people look after. */
class SftpPlaceTest extends RemotePlaceCase {
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

    @Override
    PlaceSettings.Sftp settings() {
        return new PlaceSettings.Sftp("127.0.0.1", server.getPort(), hostKey, "jalon", "merrow", null, "share");
    }

    /** It asks a program for the password. */
    @Override
    ProcessBuilder anotherClient(String path, Path into) throws IOException {
        Path asked = Files.writeString(folder.resolve("asked"), "#!/bin/sh\necho merrow\n");
        asked.toFile().setExecutable(true);
        var sftp = new ProcessBuilder(
                "sftp",
                "-q",
                "-F",
                "/dev/null",
                "-o",
                "StrictHostKeyChecking=no",
                "-o",
                "UserKnownHostsFile=/dev/null",
                "-P",
                Integer.toString(server.getPort()),
                "jalon@127.0.0.1:\"/share/" + URLDecoder.decode(path, StandardCharsets.UTF_8) + "\"",
                into.toString());
        sftp.environment().put("SSH_ASKPASS", asked.toString());
        sftp.environment().put("SSH_ASKPASS_REQUIRE", "force");
        return sftp;
    }

    @Test
    void aNameLongerThanTheServersFileSystemTakesIsTold() throws Exception {
        isTooLong("Berths", "ä".repeat(130));
        isTooLong("B".repeat(256), "Berth 1");
    }

    @Test
    void whatKeepsItFromFilingIsSaid() throws Exception {
        PlaceSettings.Sftp s = settings();
        s.place().tryIt();
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
}
