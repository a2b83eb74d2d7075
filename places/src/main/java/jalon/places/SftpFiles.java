package jalon.places;

import jalon.core.output.NameTooLong;
import jalon.places.PlaceTrouble.Why;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.PublicKey;
import java.time.Duration;
import java.util.EnumSet;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import org.apache.sshd.client.SshClient;
import org.apache.sshd.client.session.ClientSession;
import org.apache.sshd.common.NamedResource;
import org.apache.sshd.common.config.keys.FilePasswordProvider;
import org.apache.sshd.common.config.keys.KeyUtils;
import org.apache.sshd.common.digest.BuiltinDigests;
import org.apache.sshd.common.util.security.SecurityUtils;
import org.apache.sshd.sftp.client.SftpClient;
import org.apache.sshd.sftp.client.SftpClientFactory;
import org.apache.sshd.sftp.common.SftpConstants;
import org.apache.sshd.sftp.common.SftpException;

/**
 * Files of a server by SFTP. A file is written whole under a name of no meaning in its folder and then renamed, which by
 * version 3 of the protocol fails where something has the name.
 */
final class SftpFiles implements RemoteFiles {
    private static final Duration PATIENCE = Duration.ofSeconds(30);

    private final SshClient client;
    private final ClientSession session;
    private final SftpClient sftp;
    private final String root;

    private SftpFiles(SshClient client, ClientSession session, SftpClient sftp, String root) {
        this.client = client;
        this.session = session;
        this.sftp = sftp;
        this.root = root;
    }

    static SftpFiles open(PlaceSettings.Sftp to) throws PlaceTrouble {
        SshClient client = SshClient.setUpDefaultClient();
        AtomicReference<String> seen = new AtomicReference<>();
        client.setServerKeyVerifier((s, address, key) -> {
            seen.set(fingerprint(key));
            return seen.get().equals(to.hostKey());
        });
        client.start();
        try {
            return signedIn(client, to, seen);
        } catch (PlaceTrouble e) {
            client.stop();
            throw e;
        }
    }

    private static SftpFiles signedIn(SshClient client, PlaceSettings.Sftp to, AtomicReference<String> seen)
            throws PlaceTrouble {
        ClientSession session;
        try {
            session = client.connect(to.user(), to.host(), to.port())
                    .verify(PATIENCE)
                    .getSession();
        } catch (IOException e) {
            throw new PlaceTrouble(Why.NOT_REACHED, to.host() + ":" + to.port(), e);
        }
        if (to.key() != null) {
            session.addPublicKeyIdentity(key(to));
        } else if (to.password() != null) {
            session.addPasswordIdentity(to.password());
        }
        try {
            session.auth().verify(PATIENCE);
        } catch (IOException e) {
            throw notLetIn(to, seen.get(), e);
        }
        try {
            SftpClient sftp = SftpClientFactory.instance().createSftpClient(session);
            String root = sftp.canonicalPath(to.folder().isEmpty() ? "." : to.folder());
            SftpFiles files = new SftpFiles(client, session, sftp, root);
            if (!files.isFolder(root)) {
                throw new PlaceTrouble(Why.NO_FOLDER, to.folder());
            }
            return files;
        } catch (PlaceTrouble e) {
            throw e;
        } catch (IOException e) {
            throw e instanceof SftpException s && s.getStatus() == SftpConstants.SSH_FX_NO_SUCH_FILE
                    ? new PlaceTrouble(Why.NO_FOLDER, to.folder(), e)
                    : new PlaceTrouble(Why.REFUSED, String.valueOf(e.getMessage()), e);
        }
    }

    private static PlaceTrouble notLetIn(PlaceSettings.Sftp to, String seen, IOException e) {
        if (seen != null && to.hostKey() == null) {
            return new PlaceTrouble(Why.HOST_KEY_NOT_SAID, seen, e);
        }
        if (seen != null && !seen.equals(to.hostKey())) {
            return new PlaceTrouble(Why.OTHER_HOST_KEY, seen, e);
        }
        return seen == null
                ? new PlaceTrouble(Why.NOT_REACHED, to.host() + ":" + to.port(), e)
                : new PlaceTrouble(Why.NOT_LET_IN, to.user(), e);
    }

    private static String fingerprint(PublicKey key) {
        try {
            return KeyUtils.getFingerPrint(BuiltinDigests.sha256, key);
        } catch (Exception e) {
            throw new IllegalStateException("SHA-256 is missing", e);
        }
    }

    private static KeyPair key(PlaceSettings.Sftp to) throws PlaceTrouble {
        try {
            Iterable<KeyPair> all = SecurityUtils.loadKeyPairIdentities(
                    null,
                    NamedResource.ofName("key"),
                    new ByteArrayInputStream(to.key().getBytes(StandardCharsets.UTF_8)),
                    to.password() == null ? FilePasswordProvider.EMPTY : FilePasswordProvider.of(to.password()));
            if (all != null && all.iterator().hasNext()) {
                return all.iterator().next();
            }
            throw new PlaceTrouble(Why.BAD_KEY, "");
        } catch (PlaceTrouble e) {
            throw e;
        } catch (IOException | GeneralSecurityException | IllegalArgumentException e) {
            throw new PlaceTrouble(Why.BAD_KEY, String.valueOf(e.getMessage()), e);
        }
    }

    private interface Work<T> {
        T done() throws IOException;
    }

    private static <T> T told(String path, Work<T> work) throws IOException {
        try {
            return work.done();
        } catch (SftpException e) {
            if (RemoteFiles.hasLongName(path)) {
                throw new NameTooLong(path);
            }
            throw new PlaceTrouble(
                    e.getStatus() == SftpConstants.SSH_FX_PERMISSION_DENIED ? Why.NOT_ALLOWED : Why.REFUSED,
                    path + ": " + e.getMessage(),
                    e);
        }
    }

    private String at(String path) {
        return path.isEmpty() ? root : root + "/" + path;
    }

    private boolean isFolder(String absolute) throws IOException {
        try {
            return sftp.stat(absolute).isDirectory();
        } catch (SftpException e) {
            return missing(e);
        }
    }

    /** @return false */
    private static boolean missing(SftpException e) throws SftpException {
        if (e.getStatus() != SftpConstants.SSH_FX_NO_SUCH_FILE) {
            throw e;
        }
        return false;
    }

    @Override
    public boolean exists(String path) throws IOException {
        return told(path, () -> {
            try {
                // There is a server that says of a name that it cannot look for only that it does not know what it is.
                boolean known = sftp.lstat(at(path)).getFlags().contains(SftpClient.Attribute.Size);
                if (!known && RemoteFiles.hasLongName(path)) {
                    throw new NameTooLong(path);
                }
                return true;
            } catch (SftpException e) {
                return missing(e);
            }
        });
    }

    @Override
    public long size(String path) throws IOException {
        return told(path, () -> sftp.stat(at(path)).getSize());
    }

    @Override
    public InputStream open(String path) throws IOException {
        return told(path, () -> sftp.read(at(path)));
    }

    @Override
    public void delete(String path) throws IOException {
        told(path, () -> {
            try {
                sftp.remove(at(path));
                return true;
            } catch (SftpException e) {
                return missing(e);
            }
        });
    }

    @Override
    public void makeFolders(String path) throws IOException {
        String folder = "";
        for (String part : path.split("/")) {
            if (part.isEmpty()) {
                continue;
            }
            folder = folder.isEmpty() ? part : folder + "/" + part;
            String now = folder;
            told(folder, () -> {
                if (!isFolder(at(now))) {
                    made(now);
                }
                return true;
            });
        }
    }

    /** Two servers may make the same folder at once. */
    private void made(String folder) throws IOException {
        try {
            sftp.mkdir(at(folder));
        } catch (SftpException e) {
            if (!isFolder(at(folder))) {
                throw e;
            }
        }
    }

    @Override
    public boolean putNew(String path, Path file, Map<String, String> properties) throws IOException {
        String name = at(path);
        String part = at(RemoteFiles.part(path, file));
        return told(path, () -> {
            try (InputStream in = Files.newInputStream(file);
                    var out = sftp.write(
                            part,
                            EnumSet.of(
                                    SftpClient.OpenMode.Create,
                                    SftpClient.OpenMode.Truncate,
                                    SftpClient.OpenMode.Write))) {
                in.transferTo(out);
            }
            try {
                sftp.rename(part, name);
                return true;
            } catch (SftpException e) {
                sftp.remove(part);
                if (exists(path)) {
                    return false;
                }
                throw e;
            }
        });
    }

    @Override
    public void close() throws IOException {
        try (session;
                sftp) {
            // In this order: the transfer ends before the session does.
        } finally {
            client.stop();
        }
    }
}
