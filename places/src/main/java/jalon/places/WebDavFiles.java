package jalon.places;

import jalon.core.output.NameTooLong;
import jalon.places.PlaceTrouble.Why;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublisher;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandler;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Base64;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * Files of a web file server by WebDAV (RFC 4918). A file is written whole under a name of no meaning beside its place and
 * then moved there, which the server refuses where something has the name ({@code Overwrite: F}). It is never followed to
 * another address.
 */
final class WebDavFiles implements RemoteFiles {
    private static final int OK = 200;
    private static final int NO_CONTENT = 204;
    private static final int MULTI_STATUS = 207;
    private static final int NOT_FOUND = 404;

    /** What MKCOL answers where the folder is there already. */
    private static final int NOT_ALLOWED_HERE = 405;

    private static final int PRECONDITION_FAILED = 412;

    private final PlaceSettings.WebDav to;
    private final Web web;

    private WebDavFiles(PlaceSettings.WebDav to) {
        this.to = to;
        this.web = new Web(to);
    }

    static WebDavFiles open(PlaceSettings.WebDav to) throws IOException {
        var files = new WebDavFiles(to);
        if (!files.exists("")) {
            throw new PlaceTrouble(Why.NO_FOLDER, to.url());
        }
        return files;
    }

    private URI at(String path) {
        String base = to.url().endsWith("/") ? to.url() : to.url() + "/";
        String encoded = Arrays.stream(path.split("/"))
                .map(part -> URLEncoder.encode(part, StandardCharsets.UTF_8).replace("+", "%20"))
                .collect(Collectors.joining("/"));
        return URI.create(base + encoded);
    }

    private <T> HttpResponse<T> ask(
            String method, String path, BodyPublisher body, BodyHandler<T> answer, String... headers)
            throws IOException {
        HttpRequest.Builder request = HttpRequest.newBuilder(at(path)).method(method, body);
        if (to.user() != null) {
            String pair = to.user() + ":" + (to.password() == null ? "" : to.password());
            request.header(
                    "Authorization",
                    "Basic " + Base64.getEncoder().encodeToString(pair.getBytes(StandardCharsets.UTF_8)));
        }
        if (headers.length > 0) {
            request.headers(headers);
        }
        HttpResponse<T> response = web.send(request, answer);
        if (response.statusCode() == Web.UNAUTHORIZED) {
            throw new PlaceTrouble(Why.NOT_LET_IN, String.valueOf(to.user()));
        }
        if (response.statusCode() == Web.FORBIDDEN) {
            throw new PlaceTrouble(Why.NOT_ALLOWED, method + " " + path);
        }
        if (response.statusCode() == Web.URI_TOO_LONG) {
            throw new NameTooLong(path);
        }
        if (response.statusCode() == Web.INSUFFICIENT_STORAGE) {
            throw new PlaceTrouble(Why.FULL, to.url());
        }
        return response;
    }

    private int ask(String method, String path, String... headers) throws IOException {
        return ask(method, path, BodyPublishers.noBody(), BodyHandlers.discarding(), headers)
                .statusCode();
    }

    private static PlaceTrouble refused(String method, String path, int status) {
        return new PlaceTrouble(Why.REFUSED, method + " " + path + ": " + status);
    }

    @Override
    public boolean exists(String path) throws IOException {
        int status = ask("PROPFIND", path, "Depth", "0");
        if (status == MULTI_STATUS || status == NOT_FOUND) {
            return status == MULTI_STATUS;
        }
        throw refused("PROPFIND", path, status);
    }

    @Override
    public long size(String path) throws IOException {
        return ask("HEAD", path, BodyPublishers.noBody(), BodyHandlers.discarding())
                .headers()
                .firstValueAsLong("Content-Length")
                .orElse(-1);
    }

    @Override
    public InputStream open(String path) throws IOException {
        HttpResponse<InputStream> answer = ask("GET", path, BodyPublishers.noBody(), BodyHandlers.ofInputStream());
        if (answer.statusCode() == OK) {
            return answer.body();
        }
        answer.body().close();
        throw refused("GET", path, answer.statusCode());
    }

    @Override
    public void delete(String path) throws IOException {
        int status = ask("DELETE", path);
        if (status != OK && status != NO_CONTENT && status != NOT_FOUND) {
            throw refused("DELETE", path, status);
        }
    }

    @Override
    public void makeFolders(String path) throws IOException {
        String folder = "";
        for (String part : path.split("/")) {
            if (!part.isEmpty()) {
                folder = folder.isEmpty() ? part : folder + "/" + part;
                if (!exists(folder)) {
                    made(folder);
                }
            }
        }
    }

    /** Two servers may make the same folder at once. */
    private void made(String folder) throws IOException {
        int status = ask("MKCOL", folder);
        if (status / 100 != 2 && status != NOT_ALLOWED_HERE) {
            throw refused("MKCOL", folder, status);
        }
    }

    @Override
    public boolean putNew(String path, Path file, Map<String, String> properties) throws IOException {
        String part = RemoteFiles.part(path, file);
        int put = ask("PUT", part, BodyPublishers.ofFile(file), BodyHandlers.discarding())
                .statusCode();
        if (put / 100 != 2) {
            throw refused("PUT", path, put);
        }
        int moved = ask("MOVE", part, "Destination", at(path).toString(), "Overwrite", "F");
        if (moved / 100 == 2) {
            return true;
        }
        delete(part);
        if (moved == PRECONDITION_FAILED) {
            return false;
        }
        throw refused("MOVE", path, moved);
    }

    @Override
    public void close() {
        // Each request stands for itself.
    }
}
