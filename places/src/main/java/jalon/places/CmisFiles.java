package jalon.places;

import jalon.core.output.NameTooLong;
import jalon.core.stream.Field;
import jalon.places.PlaceTrouble.Why;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.GregorianCalendar;
import java.util.HashMap;
import java.util.Map;
import java.util.function.Supplier;
import org.apache.chemistry.opencmis.client.api.CmisObject;
import org.apache.chemistry.opencmis.client.api.Document;
import org.apache.chemistry.opencmis.client.api.Folder;
import org.apache.chemistry.opencmis.client.api.Repository;
import org.apache.chemistry.opencmis.client.api.Session;
import org.apache.chemistry.opencmis.client.runtime.SessionFactoryImpl;
import org.apache.chemistry.opencmis.commons.PropertyIds;
import org.apache.chemistry.opencmis.commons.SessionParameter;
import org.apache.chemistry.opencmis.commons.data.ContentStream;
import org.apache.chemistry.opencmis.commons.definitions.DocumentTypeDefinition;
import org.apache.chemistry.opencmis.commons.definitions.PropertyDefinition;
import org.apache.chemistry.opencmis.commons.definitions.TypeDefinition;
import org.apache.chemistry.opencmis.commons.enums.BindingType;
import org.apache.chemistry.opencmis.commons.enums.Cardinality;
import org.apache.chemistry.opencmis.commons.enums.VersioningState;
import org.apache.chemistry.opencmis.commons.exceptions.CmisBaseException;
import org.apache.chemistry.opencmis.commons.exceptions.CmisConnectionException;
import org.apache.chemistry.opencmis.commons.exceptions.CmisContentAlreadyExistsException;
import org.apache.chemistry.opencmis.commons.exceptions.CmisInvalidArgumentException;
import org.apache.chemistry.opencmis.commons.exceptions.CmisNameConstraintViolationException;
import org.apache.chemistry.opencmis.commons.exceptions.CmisObjectNotFoundException;
import org.apache.chemistry.opencmis.commons.exceptions.CmisPermissionDeniedException;
import org.apache.chemistry.opencmis.commons.exceptions.CmisStorageException;
import org.apache.chemistry.opencmis.commons.exceptions.CmisUnauthorizedException;
import org.apache.chemistry.opencmis.commons.impl.dataobjects.ContentStreamImpl;

/**
 * Documents of a repository by CMIS 1.1 (browser binding). A document is made with its content and properties in one
 * request; a document with another name than the one asked for is taken away again.
 */
final class CmisFiles implements RemoteFiles {
    private static final Duration PATIENCE = Duration.ofSeconds(30);
    private static final Duration LONG_PATIENCE = Duration.ofMinutes(5);

    private final PlaceSettings.Repository to;
    private final Session session;

    private CmisFiles(PlaceSettings.Repository to, Session session) {
        this.to = to;
        this.session = session;
    }

    static CmisFiles open(PlaceSettings.Repository to) throws IOException {
        Map<String, String> parameters = new HashMap<>();
        parameters.put(SessionParameter.BINDING_TYPE, BindingType.BROWSER.value());
        parameters.put(SessionParameter.BROWSER_URL, to.url());
        parameters.put(SessionParameter.USER, to.user());
        parameters.put(SessionParameter.PASSWORD, to.password() == null ? "" : to.password());
        parameters.put(SessionParameter.CONNECT_TIMEOUT, Long.toString(PATIENCE.toMillis()));
        parameters.put(SessionParameter.READ_TIMEOUT, Long.toString(LONG_PATIENCE.toMillis()));
        Session session = told(to, to.url(), () -> session(to, parameters));
        if (session == null) {
            throw new PlaceTrouble(Why.NO_FOLDER, to.where());
        }
        session.getDefaultContext().setCacheEnabled(false);
        var files = new CmisFiles(to, session);
        if (!(files.object("") instanceof Folder)) {
            throw new PlaceTrouble(Why.NO_FOLDER, to.where());
        }
        return files;
    }

    /** @return null where there is no such repository */
    private static Session session(PlaceSettings.Repository to, Map<String, String> parameters) {
        for (Repository repository : SessionFactoryImpl.newInstance().getRepositories(parameters)) {
            if (to.repository() == null || to.repository().equals(repository.getId())) {
                return repository.createSession();
            }
        }
        return null;
    }

    /** What the repository answers, as whoever looks after it understands it. */
    private static <T> T told(PlaceSettings.Repository to, String what, Supplier<T> asked) throws IOException {
        try {
            return asked.get();
        } catch (CmisUnauthorizedException e) {
            throw new PlaceTrouble(Why.NOT_LET_IN, String.valueOf(to.user()), e);
        } catch (CmisPermissionDeniedException e) {
            throw new PlaceTrouble(Why.NOT_ALLOWED, what, e);
        } catch (CmisStorageException e) {
            throw new PlaceTrouble(Why.FULL, to.url(), e);
        } catch (CmisConnectionException e) {
            throw new PlaceTrouble(Why.NOT_REACHED, to.url(), e);
        } catch (CmisBaseException e) {
            if (RemoteFiles.hasLongName(what)) {
                throw new NameTooLong(what);
            }
            throw new PlaceTrouble(Why.REFUSED, what + ": " + e.getMessage(), e);
        }
    }

    private String at(String path) {
        return "/" + PlaceSettings.OfFiles.below(to.folder(), path);
    }

    /** @return null where there is none */
    private CmisObject object(String path) throws IOException {
        return told(to, path, () -> {
            try {
                return session.getObjectByPath(at(path));
            } catch (CmisObjectNotFoundException e) {
                return null;
            }
        });
    }

    @Override
    public boolean putNew(String path, Path file, Map<String, String> properties) throws IOException {
        String folder = path.contains("/") ? path.substring(0, path.lastIndexOf('/')) : "";
        String name = path.substring(path.lastIndexOf('/') + 1);
        CmisObject into = object(folder);
        if (!(into instanceof Folder)) {
            throw new PlaceTrouble(Why.NO_FOLDER, at(folder));
        }
        TypeDefinition type = type(properties);
        Map<String, Object> said = said(type, properties);
        said.put(PropertyIds.NAME, name);
        VersioningState versions =
                ((DocumentTypeDefinition) type).isVersionable() ? VersioningState.MAJOR : VersioningState.NONE;
        try (InputStream in = Files.newInputStream(file)) {
            var content = new ContentStreamImpl(name, BigInteger.valueOf(Files.size(file)), typeOf(file), in);
            return told(to, path, () -> {
                try {
                    Document made = ((Folder) into).createDocument(said, content, versions);
                    if (!name.equals(made.getName())) {
                        made.delete(true);
                        return false;
                    }
                    return true;
                } catch (CmisNameConstraintViolationException | CmisContentAlreadyExistsException e) {
                    return notMade(path, e);
                }
            });
        }
    }

    /** Repositories say alike that a name is taken and that it is none that they take. */
    private Boolean notMade(String path, CmisBaseException why) {
        try {
            session.getObjectByPath(at(path));
            return false;
        } catch (CmisObjectNotFoundException e) {
            throw why;
        }
    }

    @Override
    public boolean keepsVersions(Map<String, String> properties) throws IOException {
        return ((DocumentTypeDefinition) type(properties)).isVersionable();
    }

    /** Checked out and in again; what a broken try left checked out is given up first, what somebody else has is not. */
    @Override
    public void putVersion(String path, Path file, Map<String, String> properties) throws IOException {
        if (!(object(path) instanceof Document document)) {
            throw new PlaceTrouble(Why.REFUSED, path + " is not there");
        }
        boolean out = Boolean.TRUE.equals(document.isVersionSeriesCheckedOut());
        if (out && !String.valueOf(to.user()).equals(document.getVersionSeriesCheckedOutBy())) {
            throw new PlaceTrouble(Why.REFUSED, path + " is checked out by " + document.getVersionSeriesCheckedOutBy());
        }
        Map<String, Object> said = said(type(properties), properties);
        said.remove(PropertyIds.OBJECT_TYPE_ID);
        try (InputStream in = Files.newInputStream(file)) {
            var content =
                    new ContentStreamImpl(document.getName(), BigInteger.valueOf(Files.size(file)), typeOf(file), in);
            told(to, path, () -> {
                if (out) {
                    document.cancelCheckOut();
                }
                Document copy = (Document) session.getObject(document.checkOut());
                return copy.checkIn(true, said, content, null);
            });
        }
    }

    private static String typeOf(Path file) throws IOException {
        String type = Files.probeContentType(file);
        return type == null ? "application/octet-stream" : type;
    }

    private TypeDefinition type(Map<String, String> properties) throws IOException {
        String id = properties.getOrDefault(PropertyIds.OBJECT_TYPE_ID, "cmis:document");
        TypeDefinition type = told(to, id, () -> {
            try {
                return session.getTypeDefinition(id);
            } catch (CmisObjectNotFoundException | CmisInvalidArgumentException e) {
                return null;
            }
        });
        if (!(type instanceof DocumentTypeDefinition)) {
            throw new PlaceTrouble(Why.REFUSED, "it has no type of documents " + id);
        }
        return type;
    }

    /** Values as the repository's properties take them. */
    private static Map<String, Object> said(TypeDefinition type, Map<String, String> properties) throws PlaceTrouble {
        Map<String, Object> said = new HashMap<>();
        said.put(PropertyIds.OBJECT_TYPE_ID, type.getId());
        for (var property : properties.entrySet()) {
            PropertyDefinition<?> definition = type.getPropertyDefinitions().get(property.getKey());
            if (definition == null) {
                throw new PlaceTrouble(
                        Why.REFUSED, "its type " + type.getId() + " has no property " + property.getKey());
            }
            if (definition.getCardinality() == Cardinality.MULTI) {
                said.put(
                        property.getKey(),
                        Arrays.stream(property.getValue().split(Field.JOINED_BY.strip()))
                                .map(value -> of(definition, value.strip()))
                                .toList());
            } else {
                said.put(property.getKey(), of(definition, property.getValue()));
            }
        }
        return said;
    }

    /** A value that is none of the property's kind goes as it is, and the repository says what it thinks of it. */
    private static Object of(PropertyDefinition<?> definition, String value) {
        try {
            return switch (definition.getPropertyType()) {
                case INTEGER -> new BigInteger(value);
                case DECIMAL -> new BigDecimal(value);
                case BOOLEAN -> Boolean.valueOf(value);
                case DATETIME -> GregorianCalendar.from(LocalDate.parse(value).atStartOfDay(ZoneOffset.UTC));
                default -> value;
            };
        } catch (NumberFormatException | DateTimeParseException e) {
            return value;
        }
    }

    @Override
    public boolean exists(String path) throws IOException {
        return object(path) != null;
    }

    @Override
    public long size(String path) throws IOException {
        return object(path) instanceof Document document ? document.getContentStreamLength() : -1;
    }

    @Override
    public String identifier(String path) throws IOException {
        CmisObject object = object(path);
        return object == null ? null : object.getId();
    }

    @Override
    public InputStream open(String path) throws IOException {
        ContentStream content =
                object(path) instanceof Document document ? told(to, path, document::getContentStream) : null;
        if (content == null) {
            throw new PlaceTrouble(Why.REFUSED, path + " is not there");
        }
        return content.getStream();
    }

    @Override
    public void delete(String path) throws IOException {
        CmisObject object = object(path);
        if (object != null) {
            told(to, path, () -> {
                object.delete(true);
                return path;
            });
        }
    }

    @Override
    public void makeFolders(String path) throws IOException {
        String folder = "";
        CmisObject above = object("");
        for (String part : path.split("/")) {
            if (!part.isEmpty()) {
                folder = folder.isEmpty() ? part : folder + "/" + part;
                CmisObject there = object(folder);
                above = there == null ? made((Folder) above, part, folder) : there;
            }
        }
    }

    /** Two servers may make the same folder at once. */
    private CmisObject made(Folder above, String name, String path) throws IOException {
        Map<String, Object> said = Map.of(PropertyIds.OBJECT_TYPE_ID, "cmis:folder", PropertyIds.NAME, name);
        Folder made = told(to, path, () -> {
            try {
                return above.createFolder(said);
            } catch (CmisNameConstraintViolationException e) {
                return null;
            }
        });
        return made == null ? object(path) : made;
    }

    @Override
    public void close() {
        session.getBinding().close();
    }
}
