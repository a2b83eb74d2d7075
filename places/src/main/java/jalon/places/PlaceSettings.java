package jalon.places;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.io.IOException;
import java.net.URI;

/** A place of the organisation's that documents are filed in; one record a kind. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
    @JsonSubTypes.Type(value = PlaceSettings.Sftp.class, name = "sftp"),
    @JsonSubTypes.Type(value = PlaceSettings.WebDav.class, name = "webdav")
})
public sealed interface PlaceSettings {
    /** A place as a file of places has it. */
    record Named(String name, PlaceSettings settings) {}

    /** The machine that it is on: a secret is for this one only. */
    String host();

    /** What it is called by people who look after it. */
    String where();

    /** The same with other secrets, each null where there is none. */
    PlaceSettings withSecrets(Secrets secrets);

    Secrets secrets();

    /** @param password to sign in with, or of the key, @param key a private key as OpenSSH writes it */
    record Secrets(String password, String key) {
        public static final Secrets NONE = new Secrets(null, null);
    }

    /** @throws IOException a {@link PlaceTrouble} when it is not there, or is not what it was */
    RemoteFiles open() throws IOException;

    /**
     * A file server by SFTP (SSH file transfer, draft-ietf-secsh-filexfer-02).
     *
     * @param hostKey SHA-256 fingerprint of its host key, {@code SHA256:...} as OpenSSH shows it; no other is spoken to
     * @param password written only, as is the key
     * @param folder below which everything lies; relative to where one begins after signing in, or with a slash in front
     */
    record Sftp(String host, Integer port, String hostKey, String user, String password, String key, String folder)
            implements PlaceSettings {
        private static final int PORT = 22;

        public Sftp {
            port = port == null ? PORT : port;
            folder = folder == null ? "" : folder;
        }

        @Override
        public String where() {
            return folder + " on " + host;
        }

        @Override
        public RemoteFiles open() throws PlaceTrouble {
            return SftpFiles.open(this);
        }

        @Override
        public Secrets secrets() {
            return new Secrets(password, key);
        }

        @Override
        public Sftp withSecrets(Secrets other) {
            return new Sftp(host, port, hostKey, user, other.password(), other.key(), folder);
        }
    }

    /**
     * A web file server by WebDAV.
     *
     * @param url of the folder below which everything lies, http or https
     * @param user null where nobody signs in
     * @param password written only; sent as it is, so that only https keeps it from others
     */
    record WebDav(String url, String user, String password) implements PlaceSettings {
        /** Empty where the address names no machine. */
        @Override
        public String host() {
            try {
                URI address = URI.create(url == null ? "" : url);
                boolean web = "http".equals(address.getScheme()) || "https".equals(address.getScheme());
                return web && address.getHost() != null ? address.getHost() : "";
            } catch (IllegalArgumentException e) {
                return "";
            }
        }

        @Override
        public String where() {
            return url;
        }

        @Override
        public RemoteFiles open() throws IOException {
            return WebDavFiles.open(this);
        }

        @Override
        public Secrets secrets() {
            return new Secrets(password, null);
        }

        @Override
        public WebDav withSecrets(Secrets other) {
            return new WebDav(url, user, other.password());
        }
    }
}
