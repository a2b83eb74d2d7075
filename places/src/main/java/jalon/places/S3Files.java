package jalon.places;

import jakarta.mail.internet.MimeUtility;
import jalon.core.output.NameTooLong;
import jalon.core.page.Sha256;
import jalon.places.PlaceTrouble.Why;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Base64;
import java.util.HexFormat;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Supplier;
import javax.net.ssl.SSLException;
import software.amazon.awssdk.auth.credentials.AwsBasicCredentials;
import software.amazon.awssdk.auth.credentials.StaticCredentialsProvider;
import software.amazon.awssdk.core.checksums.RequestChecksumCalculation;
import software.amazon.awssdk.core.checksums.ResponseChecksumValidation;
import software.amazon.awssdk.core.exception.SdkException;
import software.amazon.awssdk.core.sync.RequestBody;
import software.amazon.awssdk.http.urlconnection.UrlConnectionHttpClient;
import software.amazon.awssdk.regions.Region;
import software.amazon.awssdk.services.s3.S3Client;
import software.amazon.awssdk.services.s3.model.HeadObjectResponse;
import software.amazon.awssdk.services.s3.model.PutObjectResponse;
import software.amazon.awssdk.services.s3.model.S3Exception;

/**
 * Objects of a store that speaks S3. An object is there whole or not at all, and the store refuses a key that it has
 * ({@code If-None-Match: *}); it is told the SHA-256 that it has to find.
 */
final class S3Files implements RemoteFiles {
    private static final Duration PATIENCE = Duration.ofSeconds(30);
    private static final Duration LONG_PATIENCE = Duration.ofMinutes(5);
    /** Bytes in UTF-8, as the protocol has it. */
    private static final int LONGEST_KEY = 1024;

    private static final int FORBIDDEN = 403;
    private static final int NOT_FOUND = 404;
    private static final int CONFLICT = 409;
    private static final int PRECONDITION_FAILED = 412;
    private static final int INSUFFICIENT_STORAGE = 507;

    private final PlaceSettings.ObjectStore to;
    private final S3Client s3;

    private S3Files(PlaceSettings.ObjectStore to) {
        this.to = to;
        this.s3 = S3Client.builder()
                .endpointOverride(URI.create(to.url()))
                .region(Region.of(to.region()))
                .forcePathStyle(true)
                .credentialsProvider(StaticCredentialsProvider.create(
                        AwsBasicCredentials.create(to.accessKey(), to.password() == null ? "" : to.password())))
                .serviceConfiguration(c -> c.chunkedEncodingEnabled(false))
                .requestChecksumCalculation(RequestChecksumCalculation.WHEN_REQUIRED)
                .responseChecksumValidation(ResponseChecksumValidation.WHEN_REQUIRED)
                .httpClient(UrlConnectionHttpClient.builder()
                        .connectionTimeout(PATIENCE)
                        .socketTimeout(LONG_PATIENCE)
                        .build())
                .build();
    }

    static S3Files open(PlaceSettings.ObjectStore to) throws IOException {
        var files = new S3Files(to);
        try {
            files.told(to.bucket(), files::look);
        } catch (IOException e) {
            files.close();
            throw e;
        }
        return files;
    }

    /** Asks for what is not there: only the answer to this says why somebody is not let in. */
    private boolean look() {
        try {
            s3.getObject(g -> g.bucket(to.bucket()).key(key(".jalon"))).abort();
            return true;
        } catch (S3Exception e) {
            String code = code(e);
            // A key that may not be listed is not told from one that may not be read.
            if (code.equals("NoSuchKey") || code.equals("AccessDenied")) {
                return true;
            }
            throw e;
        }
    }

    private static String code(S3Exception e) {
        return e.awsErrorDetails() == null
                ? ""
                : String.valueOf(e.awsErrorDetails().errorCode());
    }

    private String key(String path) {
        return PlaceSettings.OfFiles.below(to.folder(), path);
    }

    /** What the store answers, as whoever looks after it understands it. */
    private <T> T told(String what, Supplier<T> asked) throws IOException {
        if (key(what).getBytes(StandardCharsets.UTF_8).length > LONGEST_KEY) {
            throw new NameTooLong(what);
        }
        try {
            return asked.get();
        } catch (S3Exception e) {
            throw trouble(what, e);
        } catch (SdkException e) {
            for (Throwable cause = e; cause != null; cause = cause.getCause()) {
                if (cause instanceof SSLException) {
                    throw new PlaceTrouble(Why.NOT_TRUSTED, to.host(), e);
                }
            }
            throw new PlaceTrouble(Why.NOT_REACHED, to.url(), e);
        }
    }

    private PlaceTrouble trouble(String what, S3Exception e) {
        String code = code(e);
        boolean notLetIn = code.startsWith("InvalidAccessKey")
                || code.startsWith("SignatureDoesNotMatch")
                || code.startsWith("ExpiredToken");
        if (notLetIn) {
            return new PlaceTrouble(Why.NOT_LET_IN, to.accessKey(), e);
        }
        if (e.statusCode() == FORBIDDEN) {
            return new PlaceTrouble(Why.NOT_ALLOWED, what, e);
        }
        if (e.statusCode() == NOT_FOUND && what.equals(to.bucket())) {
            return new PlaceTrouble(Why.NO_FOLDER, what, e);
        }
        if (e.statusCode() == INSUFFICIENT_STORAGE || code.contains("Quota")) {
            return new PlaceTrouble(Why.FULL, to.url(), e);
        }
        return new PlaceTrouble(Why.REFUSED, what + ": " + e.statusCode() + " " + code, e);
    }

    /** @return null where there is no such object */
    private HeadObjectResponse head(String path) throws IOException {
        return told(path, () -> {
            try {
                return s3.headObject(h -> h.bucket(to.bucket()).key(key(path)));
            } catch (S3Exception e) {
                if (e.statusCode() == NOT_FOUND) {
                    return null;
                }
                throw e;
            }
        });
    }

    @Override
    public boolean putNew(String path, Path file, Map<String, String> properties) throws IOException {
        String sum = Base64.getEncoder().encodeToString(HexFormat.of().parseHex(Sha256.of(file)));
        Map<String, String> metadata = metadata(properties);
        PutObjectResponse put = told(path, () -> {
            try {
                return s3.putObject(
                        p -> p.bucket(to.bucket())
                                .key(key(path))
                                .ifNoneMatch("*")
                                .checksumSHA256(sum)
                                .metadata(metadata),
                        RequestBody.fromFile(file));
            } catch (S3Exception e) {
                if (e.statusCode() == PRECONDITION_FAILED || e.statusCode() == CONFLICT) {
                    return null;
                }
                throw e;
            }
        });
        return put != null;
    }

    /** Names and values travel as headers: names of letters, digits and dashes, values in ASCII as mails write them. */
    private static Map<String, String> metadata(Map<String, String> properties) throws IOException {
        Map<String, String> metadata = new TreeMap<>();
        for (var property : properties.entrySet()) {
            String name = property.getKey().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9-]", "-");
            String value = property.getValue().replaceAll("\\s+", " ");
            metadata.put(name, MimeUtility.unfold(MimeUtility.encodeText(value, StandardCharsets.UTF_8.name(), "B")));
        }
        return metadata;
    }

    @Override
    public boolean exists(String path) throws IOException {
        return head(path) != null;
    }

    @Override
    public long size(String path) throws IOException {
        HeadObjectResponse head = head(path);
        return head == null || head.contentLength() == null ? -1 : head.contentLength();
    }

    @Override
    public String identifier(String path) throws IOException {
        HeadObjectResponse head = head(path);
        if (head == null) {
            return null;
        }
        return head.versionId() == null ? head.eTag() : head.versionId();
    }

    @Override
    public InputStream open(String path) throws IOException {
        return told(path, () -> s3.getObject(g -> g.bucket(to.bucket()).key(key(path))));
    }

    @Override
    public void delete(String path) throws IOException {
        told(path, () -> s3.deleteObject(d -> d.bucket(to.bucket()).key(key(path))));
    }

    /** A bucket that keeps versions only hides what is deleted: there each version goes by itself. */
    @Override
    public void erase(String path) throws IOException {
        HeadObjectResponse head = head(path);
        delete(path);
        if (head != null && head.versionId() != null) {
            told(path, () -> {
                s3.listObjectVersionsPaginator(l -> l.bucket(to.bucket()).prefix(key(path))).stream()
                        .forEach(page -> {
                            page.versions().forEach(v -> eraseVersion(path, v.key(), v.versionId()));
                            page.deleteMarkers().forEach(m -> eraseVersion(path, m.key(), m.versionId()));
                        });
                return path;
            });
        }
    }

    /** Other keys may begin as this one does. */
    private void eraseVersion(String path, String key, String version) {
        if (key.equals(key(path))) {
            s3.deleteObject(d -> d.bucket(to.bucket()).key(key).versionId(version));
        }
    }

    @Override
    public void makeFolders(String path) {
        // Keys have slashes, a store has no folders.
    }

    @Override
    public void close() {
        s3.close();
    }
}
