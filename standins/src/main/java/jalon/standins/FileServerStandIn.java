package jalon.standins;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.apache.sshd.common.config.keys.KeyUtils;
import org.apache.sshd.common.digest.BuiltinDigests;
import org.apache.sshd.common.file.virtualfs.VirtualFileSystemFactory;
import org.apache.sshd.server.SshServer;
import org.apache.sshd.server.keyprovider.SimpleGeneratorHostKeyProvider;
import org.apache.sshd.sftp.server.SftpSubsystemFactory;

/** The harbour's file server: SFTP on the loopback, one user, one shared folder. */
public final class FileServerStandIn implements AutoCloseable {
    private static final String USER = "jalon";
    public static final String FOLDER = "records";

    private final SshServer server;
    private final Path root;
    private volatile String password;

    private FileServerStandIn(SshServer server, Path root, String password) {
        this.server = server;
        this.root = root;
        this.password = password;
    }

    /**
     * @param port 0 for a free one
     * @param root where its files and its host key lie; it keeps the key
     */
    public static FileServerStandIn start(int port, Path root, String password) throws IOException {
        Files.createDirectories(root.resolve("shared").resolve(FOLDER));
        var standIn = new FileServerStandIn(SshServer.setUpDefaultServer(), root, password);
        standIn.serve(port);
        return standIn;
    }

    private void serve(int port) throws IOException {
        server.setHost("127.0.0.1");
        server.setPort(port);
        server.setKeyPairProvider(new SimpleGeneratorHostKeyProvider(root.resolve("host.key")));
        server.setPasswordAuthenticator((user, said, session) -> user.equals(USER) && said.equals(password));
        server.setFileSystemFactory(new VirtualFileSystemFactory(root.resolve("shared")));
        server.setSubsystemFactories(List.of(new SftpSubsystemFactory()));
        server.start();
    }

    public int port() {
        return server.getPort();
    }

    /** Where the files lie that are filed there. */
    public Path folder() {
        return root.resolve("shared").resolve(FOLDER);
    }

    public String hostKey() {
        try {
            return KeyUtils.getFingerPrint(
                    BuiltinDigests.sha256,
                    server.getKeyPairProvider().loadKeys(null).iterator().next().getPublic());
        } catch (Exception e) {
            throw new IllegalStateException("the file server has no key", e);
        }
    }

    /** From now on only this one lets in. */
    public void password(String other) {
        password = other;
    }

    /** As Jalon is told of it. */
    public String settings() {
        return """
                {"kind":"sftp","host":"127.0.0.1","port":%d,"hostKey":"%s","user":"%s","password":"%s","folder":"%s"}""".formatted(port(), hostKey(), USER, password, FOLDER);
    }

    @Override
    public void close() throws IOException {
        server.stop();
    }
}
