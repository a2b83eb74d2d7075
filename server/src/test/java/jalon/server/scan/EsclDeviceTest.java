package jalon.server.scan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpServer;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class EsclDeviceTest {
    private final AtomicReference<String> location = new AtomicReference<>();
    private HttpServer server;
    private EsclDevice device;

    @BeforeEach
    void start() throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/eSCL/ScanJobs", exchange -> {
            exchange.getResponseHeaders().add("Location", location.get());
            exchange.sendResponseHeaders(201, -1);
            exchange.close();
        });
        server.start();
        device = new EsclDevice("http://127.0.0.1:" + server.getAddress().getPort() + "/eSCL");
    }

    @AfterEach
    void stop() {
        server.stop(0);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "http://127.0.0.1:1/eSCL/ScanJobs/1",
                "https://127.0.0.1:%d/eSCL/ScanJobs/1",
                "http://other.example:%d/eSCL/ScanJobs/1",
                "http://127.0.0.1:%d@other.example/eSCL/ScanJobs/1",
                "//other.example/1",
                "file:///etc/passwd",
                "http://[bad"
            })
    void aDeviceThatSendsUsElsewhereIsNotFollowed(String where) {
        location.set(where.formatted(server.getAddress().getPort()));
        assertThatThrownBy(() -> device.start(new ScanSettings(null, null, null, false, null, null)))
                .isInstanceOf(ScanFault.class)
                .hasMessageContaining("was not followed");
    }

    @ParameterizedTest
    @ValueSource(strings = {"http://127.0.0.1:%d/eSCL/ScanJobs/1", "/eSCL/ScanJobs/1", "ScanJobs/1"})
    void itsOwnAddressIs(String where) throws Exception {
        location.set(where.formatted(server.getAddress().getPort()));
        assertThat(device.start(new ScanSettings(null, null, null, false, null, null)))
                .hasToString("http://127.0.0.1:" + server.getAddress().getPort() + "/eSCL/ScanJobs/1");
    }

    @Test
    void anAnswerIsBoundedInSizeAndTime() throws Exception {
        var body = new BoundedBody(new ByteArrayInputStream(new byte[100]), 100, Duration.ofMinutes(1));
        assertThat(body.readAllBytes()).hasSize(100);
        var large = new BoundedBody(new ByteArrayInputStream(new byte[101]), 100, Duration.ofMinutes(1));
        assertThatThrownBy(large::readAllBytes).isInstanceOf(BoundedBody.Endless.class);
        var released = new CountDownLatch(1);
        server.createContext("/drip", exchange -> {
            exchange.sendResponseHeaders(200, 1000);
            exchange.getResponseBody().write(1);
            exchange.getResponseBody().flush();
            try {
                released.await();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        });
        var request = HttpRequest.newBuilder(
                        URI.create("http://127.0.0.1:" + server.getAddress().getPort() + "/drip"))
                .build();
        var answer = HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofInputStream());
        try (var dripping = new BoundedBody(answer.body(), 1000, Duration.ofMillis(200))) {
            assertThatThrownBy(dripping::readAllBytes).isInstanceOf(BoundedBody.Endless.class);
        } finally {
            released.countDown();
        }
    }
}
