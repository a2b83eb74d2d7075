package jalon.places;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import jakarta.servlet.Filter;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import jalon.core.output.FilingPlace;
import jalon.core.output.FilingPlace.Ready;
import jalon.core.output.NameTooLong;
import jalon.core.stream.Destination;
import jalon.places.PlaceTrouble.Why;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.List;
import org.apache.catalina.Context;
import org.apache.catalina.LifecycleState;
import org.apache.catalina.servlets.WebdavServlet;
import org.apache.catalina.startup.Tomcat;
import org.apache.tomcat.util.descriptor.web.FilterDef;
import org.apache.tomcat.util.descriptor.web.FilterMap;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Filing on a web file server. */
class WebDavPlaceTest extends RemotePlaceCase {
    private static final String SIGNED_IN =
            "Basic " + Base64.getEncoder().encodeToString("jalon:merrow".getBytes(StandardCharsets.UTF_8));

    private Tomcat server;
    private volatile int refuses;
    private volatile boolean half;

    @BeforeEach
    void serve() throws Exception {
        share = Files.createDirectories(folder.resolve("share/records"));
        server = new Tomcat();
        server.setBaseDir(folder.resolve("tomcat").toString());
        server.setHostname("127.0.0.1");
        server.setPort(0);
        server.getConnector().setProperty("address", "127.0.0.1");
        Context files = server.addContext("", folder.resolve("share").toString());
        var servlet = Tomcat.addServlet(files, "files", new WebdavServlet());
        servlet.addInitParameter("readonly", "false");
        servlet.addInitParameter("listings", "true");
        files.addServletMappingDecoded("/*", "files");
        guard(files);
        server.start();
    }

    private void guard(Context files) {
        Filter door = (request, response, next) -> {
            String said = ((HttpServletRequest) request).getHeader("Authorization");
            int status = !SIGNED_IN.equals(said) ? HttpServletResponse.SC_UNAUTHORIZED : refuses;
            if (status == 0) {
                next.doFilter(half ? halfOf((HttpServletRequest) request) : request, response);
            } else {
                ((HttpServletResponse) response).sendError(status);
            }
        };
        var definition = new FilterDef();
        definition.setFilterName("door");
        definition.setFilter(door);
        files.addFilterDef(definition);
        var all = new FilterMap();
        all.setFilterName("door");
        all.addURLPattern("/*");
        files.addFilterMap(all);
    }

    /** What arrives of it. */
    private static HttpServletRequest halfOf(HttpServletRequest request) {
        return new HttpServletRequestWrapper(request) {
            @Override
            public ServletInputStream getInputStream() throws IOException {
                ServletInputStream whole = super.getInputStream();
                return new ServletInputStream() {
                    private int left = Math.max(0, getContentLength() / 2);

                    @Override
                    public int read() throws IOException {
                        return left-- > 0 ? whole.read() : -1;
                    }

                    @Override
                    public boolean isFinished() {
                        return left <= 0;
                    }

                    @Override
                    public boolean isReady() {
                        return true;
                    }

                    @Override
                    public void setReadListener(ReadListener listener) {
                        throw new UnsupportedOperationException();
                    }
                };
            }
        };
    }

    /** It was left there, and the next try took another name beside it. */
    @Test
    void whatAServerTookOnlyHalfOfIsToldAndDoesNotStay() throws Exception {
        half = true;
        var spot = new FilingPlace.Spot("", "Berth 1", List.of(Destination.Format.PDF), Destination.Taken.NUMBER);
        Ready file = written("a whole document");
        PlaceTrouble trouble = catchThrowableOfType(
                PlaceTrouble.class,
                () -> put(settings().place(), spot, List.of(file), FilingPlace.Remembered.nothing()));
        assertThat(trouble.why()).isEqualTo(Why.NOT_THE_SAME);
        assertThat(filed()).isEmpty();
        half = false;
        put(settings().place(), spot, List.of(file), FilingPlace.Remembered.nothing());
        assertThat(filed()).containsExactly("Berth 1.pdf");
        assertThat(share.resolve("Berth 1.pdf")).hasContent("a whole document");
    }

    @AfterEach
    void close() throws Exception {
        if (server.getServer().getState() != LifecycleState.DESTROYED) {
            server.stop();
            server.destroy();
        }
    }

    private String address() {
        return "http://127.0.0.1:" + server.getConnector().getLocalPort();
    }

    @Override
    PlaceSettings settings() {
        return new PlaceSettings.WebDav(address() + "/records", "jalon", "merrow");
    }

    @Override
    ProcessBuilder anotherClient(String path, Path into) {
        return curl(address() + "/records/" + path, into, "-u", "jalon:merrow");
    }

    @Test
    void whatKeepsItFromFilingIsSaid() throws Exception {
        assertThat(trouble(new PlaceSettings.WebDav(address() + "/unmounted", "jalon", "merrow"))
                        .why())
                .isEqualTo(Why.NO_FOLDER);
        refuses = HttpServletResponse.SC_FORBIDDEN;
        assertThat(trouble(settings()).why()).isEqualTo(Why.NOT_ALLOWED);
        refuses = 507;
        assertThat(trouble(settings()).why()).isEqualTo(Why.FULL);
        refuses = HttpServletResponse.SC_REQUEST_URI_TOO_LONG;
        assertThatThrownBy(() -> settings().place().tryIt()).isInstanceOf(NameTooLong.class);
        refuses = HttpServletResponse.SC_MOVED_TEMPORARILY;
        assertThat(trouble(settings()).why())
                .as("nothing is followed elsewhere")
                .isEqualTo(Why.REFUSED);
        PlaceSettings gone = settings();
        // A server that is only stopped still takes connections, and answers none.
        close();
        assertThat(trouble(gone).why()).isEqualTo(Why.NOT_REACHED);
    }
}
