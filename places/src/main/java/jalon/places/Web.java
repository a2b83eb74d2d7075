package jalon.places;

import jalon.places.PlaceTrouble.Why;
import java.io.IOException;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandler;
import java.time.Duration;
import javax.net.ssl.SSLException;

/** Requests to a place on the web, never followed to another address. */
final class Web {
    /** What many answer alike. */
    static final int UNAUTHORIZED = 401;

    static final int FORBIDDEN = 403;
    static final int URI_TOO_LONG = 414;
    static final int INSUFFICIENT_STORAGE = 507;

    private static final Duration PATIENCE = Duration.ofSeconds(30);
    private static final Duration LONG_PATIENCE = Duration.ofMinutes(5);

    private final String host;
    private final String where;
    private final HttpClient http = HttpClient.newBuilder()
            .connectTimeout(PATIENCE)
            .followRedirects(HttpClient.Redirect.NEVER)
            .build();

    Web(PlaceSettings place) {
        this.host = place.host();
        this.where = place.where();
    }

    /** @throws PlaceTrouble when nothing answers, or nothing that is trusted */
    <T> HttpResponse<T> send(HttpRequest.Builder request, BodyHandler<T> answer) throws IOException {
        try {
            return http.send(request.timeout(LONG_PATIENCE).build(), answer);
        } catch (SSLException e) {
            throw new PlaceTrouble(Why.NOT_TRUSTED, host, e);
        } catch (IOException e) {
            throw new PlaceTrouble(Why.NOT_REACHED, where, e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException("stopped while filing", e);
        }
    }
}
