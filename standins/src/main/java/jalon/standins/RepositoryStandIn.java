package jalon.standins;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.servlet.DispatcherType;
import javax.servlet.Filter;
import javax.servlet.FilterChain;
import javax.servlet.ServletException;
import javax.servlet.ServletRequest;
import javax.servlet.ServletResponse;
import javax.servlet.http.HttpServletRequest;
import javax.servlet.http.HttpServletResponse;
import org.apache.chemistry.opencmis.commons.definitions.MutableDocumentTypeDefinition;
import org.apache.chemistry.opencmis.commons.definitions.PropertyDefinition;
import org.apache.chemistry.opencmis.commons.definitions.TypeDefinition;
import org.apache.chemistry.opencmis.commons.enums.Cardinality;
import org.apache.chemistry.opencmis.commons.enums.PropertyType;
import org.apache.chemistry.opencmis.commons.enums.Updatability;
import org.apache.chemistry.opencmis.commons.impl.dataobjects.AbstractPropertyDefinition;
import org.apache.chemistry.opencmis.commons.impl.dataobjects.PropertyDateTimeDefinitionImpl;
import org.apache.chemistry.opencmis.commons.impl.dataobjects.PropertyDecimalDefinitionImpl;
import org.apache.chemistry.opencmis.commons.impl.dataobjects.PropertyStringDefinitionImpl;
import org.apache.chemistry.opencmis.commons.server.CmisServiceFactory;
import org.apache.chemistry.opencmis.inmemory.TypeCreator;
import org.apache.chemistry.opencmis.inmemory.server.InMemoryServiceFactoryImpl;
import org.apache.chemistry.opencmis.inmemory.types.DocumentTypeCreationHelper;
import org.apache.chemistry.opencmis.server.impl.CmisRepositoryContextListener;
import org.apache.chemistry.opencmis.server.impl.browser.CmisBrowserBindingServlet;
import org.apache.chemistry.opencmis.server.shared.BasicAuthCallContextHandler;
import org.eclipse.jetty.server.Server;
import org.eclipse.jetty.server.ServerConnector;
import org.eclipse.jetty.servlet.FilterHolder;
import org.eclipse.jetty.servlet.ServletContextHandler;
import org.eclipse.jetty.servlet.ServletHolder;

/** The harbour's document repository: CMIS 1.1 (browser binding) on the loopback, by a well-known library; it keeps all in memory. */
public final class RepositoryStandIn implements AutoCloseable {
    public static final String USER = "jalon";

    /** A type of documents with {@code merrow:vessel}, {@code merrow:written} (a date) and {@code merrow:amount}. */
    public static final String TYPE = "merrow:paper";

    private static final int MOST_TRIES = 100;
    private static final int BETWEEN_TRIES_MS = 50;

    private final Server server;
    private final ServerConnector door;
    private volatile String password;

    private RepositoryStandIn(Server server, ServerConnector door, String password) {
        this.server = server;
        this.door = door;
        this.password = password;
    }

    /** @param port 0 for a free one */
    public static RepositoryStandIn start(int port, String password) throws IOException {
        Server server = new Server();
        ServerConnector door = new ServerConnector(server);
        door.setHost("127.0.0.1");
        door.setPort(port);
        server.addConnector(door);
        var repository = new RepositoryStandIn(server, door, password);
        ServletContextHandler all = new ServletContextHandler();
        all.setContextPath("/");
        CmisServiceFactory service = new InMemoryServiceFactoryImpl();
        service.init(new HashMap<>(Map.of(
                "InMemoryServer.RepositoryId", "merrow",
                "InMemoryServer.Class", "org.apache.chemistry.opencmis.inmemory.storedobj.impl.StoreManagerImpl",
                "InMemoryServer.TypesCreatorClass", Types.class.getName())));
        all.setAttribute(CmisRepositoryContextListener.SERVICES_FACTORY, service);
        all.addFilter(new FilterHolder(repository.doorman()), "/*", EnumSet.of(DispatcherType.REQUEST));
        ServletHolder servlet = new ServletHolder(new CmisBrowserBindingServlet());
        servlet.setInitParameter("callContextHandler", BasicAuthCallContextHandler.class.getName());
        all.addServlet(servlet, "/cmis/*");
        server.setHandler(all);
        try {
            server.start();
        } catch (Exception e) {
            throw new IOException("the document repository did not start", e);
        }
        return repository;
    }

    private Filter doorman() {
        return new Filter() {
            @Override
            public void doFilter(ServletRequest request, ServletResponse response, FilterChain next)
                    throws IOException, ServletException {
                String due = "Basic "
                        + Base64.getEncoder().encodeToString((USER + ":" + password).getBytes(StandardCharsets.UTF_8));
                if (due.equals(((HttpServletRequest) request).getHeader("Authorization"))) {
                    next.doFilter(request, response);
                } else {
                    ((HttpServletResponse) response).sendError(HttpServletResponse.SC_UNAUTHORIZED);
                }
            }
        };
    }

    public String url() {
        return "http://127.0.0.1:" + door.getLocalPort() + "/cmis";
    }

    /** From now on only this one lets in. */
    public void password(String other) {
        password = other;
    }

    /** As if killed and started again: what it was being asked is done or not, and nobody hears the answer; what it has it keeps. */
    public void fallOver() throws IOException {
        int port = door.getLocalPort();
        try {
            door.stop();
            door.setPort(port);
            for (int tries = 0; !opens(tries == MOST_TRIES); tries++) {
                Thread.sleep(BETWEEN_TRIES_MS);
            }
        } catch (Exception e) {
            throw new IOException("the document repository did not start again", e);
        }
    }

    /** A door is closed a moment after it says that it is. */
    private boolean opens(boolean lastTry) throws Exception {
        try {
            door.start();
            return true;
        } catch (IOException e) {
            if (lastTry) {
                throw e;
            }
            return false;
        }
    }

    /** As Jalon is told of it. */
    public String settings() {
        return """
                {"kind":"cmis","url":"%s","user":"%s","password":"%s"}""".formatted(url(), USER, password);
    }

    @Override
    public void close() {
        try {
            server.stop();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    /** What the repository knows to keep; made by its own hand, by name. */
    public static final class Types implements TypeCreator {
        @Override
        public List<TypeDefinition> createTypesList() {
            try {
                MutableDocumentTypeDefinition paper =
                        DocumentTypeCreationHelper.createDocumentTypeDefinitionWithoutBaseProperties(
                                DocumentTypeCreationHelper.getCmisDocumentType());
                paper.setId(TYPE);
                paper.setLocalName("paper");
                paper.setQueryName(TYPE);
                paper.setDisplayName("Paper");
                paper.setIsVersionable(true);
                Map<String, PropertyDefinition<?>> properties = new HashMap<>(paper.getPropertyDefinitions());
                add(properties, new PropertyStringDefinitionImpl(), "merrow:vessel", PropertyType.STRING);
                add(properties, new PropertyDateTimeDefinitionImpl(), "merrow:written", PropertyType.DATETIME);
                add(properties, new PropertyDecimalDefinitionImpl(), "merrow:amount", PropertyType.DECIMAL);
                properties.values().forEach(paper::addPropertyDefinition);
                return List.of(paper);
            } catch (InstantiationException | IllegalAccessException e) {
                throw new IllegalStateException(e);
            }
        }

        private static void add(
                Map<String, PropertyDefinition<?>> to,
                AbstractPropertyDefinition<?> property,
                String id,
                PropertyType kind) {
            property.setId(id);
            property.setLocalName(id);
            property.setQueryName(id);
            property.setDisplayName(id);
            property.setPropertyType(kind);
            property.setCardinality(Cardinality.SINGLE);
            property.setUpdatability(Updatability.READWRITE);
            property.setIsQueryable(true);
            property.setIsOrderable(true);
            property.setIsRequired(false);
            property.setIsInherited(false);
            to.put(id, property);
        }
    }
}
