package jalon.places;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.Filter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jalon.places.PlaceTrouble.Why;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
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
                next.doFilter(request, response);
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
