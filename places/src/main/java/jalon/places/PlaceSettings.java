package jalon.places;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.io.IOException;
import java.net.URI;

/** A place of the organisation's that documents are filed in; one record a kind. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
    @JsonSubTypes.Type(value = PlaceSettings.Sftp.class, name = "sftp"),
    @JsonSubTypes.Type(value = PlaceSettings.WebDav.class, name = "webdav"),
    @JsonSubTypes.Type(value = PlaceSettings.ObjectStore.class, name = "s3"),
    @JsonSubTypes.Type(value = PlaceSettings.Repository.class, name = "cmis"),
    @JsonSubTypes.Type(value = PlaceSettings.Mail.class, name = "mail"),
    @JsonSubTypes.Type(value = PlaceSettings.Program.class, name = "program")
})
public sealed interface PlaceSettings {
    /** A place as a file of places has it. */
    record Named(String name, PlaceSettings settings) {}

    /** The machine that it is on: a secret is for this one only. */
    String host();

    /** A place with an address on the web. */
    sealed interface OnTheWeb extends PlaceSettings {
        String url();

        /** Empty where its address is none of a machine on the web. */
        @Override
        default String host() {
            try {
                URI address = URI.create(url() == null ? "" : url());
                boolean web = "http".equals(address.getScheme()) || "https".equals(address.getScheme());
                return web && address.getHost() != null ? address.getHost() : "";
            } catch (IllegalArgumentException e) {
                return "";
            }
        }
    }

    /** What it is called by people who look after it. */
    String where();

    /** The same with other secrets, each null where there is none. */
    PlaceSettings withSecrets(Secrets secrets);

    default Secrets secrets() {
        return new Secrets(password(), null);
    }

    /** Null where there is none. */
    String password();

    /** @param password to sign in with, or of the key, @param key a private key as OpenSSH writes it */
    record Secrets(String password, String key) {
        public static final Secrets NONE = new Secrets(null, null);
    }

    /** The place at work; with its secrets open. */
    OwnPlace place();

    /** A place that keeps files by their paths. */
    sealed interface OfFiles extends PlaceSettings {
        /**
         * @param folder below which a place's files lie; slashes about it mean nothing
         * @return the path of one of them from its root
         */
        static String below(String folder, String path) {
            String bare = folder.replaceAll("^/+|/+$", "");
            return bare.isEmpty() || path.isEmpty() ? bare + path : bare + "/" + path;
        }

        /** @throws IOException a {@link PlaceTrouble} when it is not there, or is not what it was */
        RemoteFiles open() throws IOException;

        @Override
        default OwnPlace place() {
            return new RemotePlace(this);
        }
    }

    /**
     * A file server by SFTP (SSH file transfer, draft-ietf-secsh-filexfer-02).
     *
     * @param hostKey SHA-256 fingerprint of its host key, {@code SHA256:...} as OpenSSH shows it; no other is spoken to
     * @param password written only, as is the key
     * @param folder below which everything lies; relative to where one begins after signing in, or with a slash in front
     */
    record Sftp(String host, Integer port, String hostKey, String user, String password, String key, String folder)
            implements OfFiles {
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
    record WebDav(String url, String user, String password) implements OfFiles, OnTheWeb {
        @Override
        public String where() {
            return url;
        }

        @Override
        public RemoteFiles open() throws IOException {
            return WebDavFiles.open(this);
        }

        @Override
        public WebDav withSecrets(Secrets other) {
            return new WebDav(url, user, other.password());
        }
    }

    /**
     * A bucket of an object store that speaks S3.
     *
     * @param url of the store, without the bucket; buckets are named in paths
     * @param region that requests are signed for
     * @param password the secret key
     * @param folder that keys begin with
     */
    record ObjectStore(String url, String region, String bucket, String accessKey, String password, String folder)
            implements OfFiles, OnTheWeb {
        /** What stores take that have no regions. */
        private static final String REGION = "us-east-1";

        public ObjectStore {
            region = region == null || region.isBlank() ? REGION : region;
            folder = folder == null ? "" : folder;
        }

        @Override
        public String where() {
            return bucket + "/" + folder + " on " + host();
        }

        @Override
        public RemoteFiles open() throws IOException {
            return S3Files.open(this);
        }

        @Override
        public ObjectStore withSecrets(Secrets other) {
            return new ObjectStore(url, region, bucket, accessKey, other.password(), folder);
        }
    }

    /**
     * A document repository by CMIS 1.1, browser binding.
     *
     * @param repository its identifier; null for the only one
     * @param folder below which everything lies, from the root
     */
    record Repository(String url, String repository, String user, String password, String folder)
            implements OfFiles, OnTheWeb {
        public Repository {
            repository = repository == null || repository.isBlank() ? null : repository;
            folder = folder == null ? "" : folder;
        }

        @Override
        public String where() {
            return "/" + folder + " on " + host();
        }

        @Override
        public RemoteFiles open() throws IOException {
            return CmisFiles.open(this);
        }

        @Override
        public Repository withSecrets(Secrets other) {
            return new Repository(url, repository, user, other.password(), folder);
        }
    }

    /** How the way to a mail server is kept from others. */
    enum Sealed {
        /** From the first byte on. */
        @JsonProperty("tls")
        TLS,
        /** From the first words on (STARTTLS), or nothing is sent. */
        @JsonProperty("starttls")
        STARTTLS,
        /** Not at all. */
        @JsonProperty("no")
        NO
    }

    /**
     * Mails to people, by SMTP.
     *
     * @param user null where nobody signs in
     * @param to who gets what no stream says another address for; null for nobody
     * @param largestMb how large a mail may be, MB of a million bytes
     * @param link what is sent instead of files that are too large, {@code {batch}} and {@code {no}} in it standing for the
     *     document; null for nothing
     */
    record Mail(
            String host,
            Integer port,
            Sealed sealed,
            String user,
            String password,
            String from,
            String to,
            Integer largestMb,
            String link)
            implements PlaceSettings {
        private static final int PORT = 587;
        private static final int PORT_OF_TLS = 465;
        private static final int LARGEST_MB = 20;

        public Mail {
            sealed = sealed == null ? Sealed.STARTTLS : sealed;
            port = port != null ? port : sealed == Sealed.TLS ? PORT_OF_TLS : PORT;
            largestMb = largestMb == null ? LARGEST_MB : largestMb;
        }

        @Override
        public String where() {
            return (to == null ? "mail" : to) + " by " + host;
        }

        @Override
        public OwnPlace place() {
            return new MailPlace(this);
        }

        @Override
        public Mail withSecrets(Secrets other) {
            return new Mail(host, port, sealed, user, other.password(), from, to, largestMb, link);
        }
    }

    /**
     * A program of the organisation's by HTTP.
     *
     * @param keyId which key requests are signed with
     * @param password the key that both sides know
     */
    record Program(String url, String keyId, String password) implements OnTheWeb {
        private static final String KEY_ID = "jalon";

        public Program {
            keyId = keyId == null || keyId.isBlank() ? KEY_ID : keyId;
        }

        @Override
        public String where() {
            return url;
        }

        @Override
        public OwnPlace place() {
            return new ProgramPlace(this);
        }

        @Override
        public Program withSecrets(Secrets other) {
            return new Program(url, keyId, other.password());
        }
    }
}
