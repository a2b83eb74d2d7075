package jalon.server.setup;

import jalon.server.JalonSettings;
import jalon.server.filing.OwnPlaces;
import jalon.server.people.People;
import jalon.server.people.Person;
import jalon.server.people.Role;
import jalon.server.register.RegisterSources;
import jalon.server.stream.StreamLibrary;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Gives an empty installation its first people, streams and registers from the setup folder ({@code people.json},
 * {@code streams/*.json}, {@code registers/*.csv}). What is there already is left alone.
 */
@Component
class FirstSetup implements SmartInitializingSingleton {
    private static final Logger LOG = LoggerFactory.getLogger(FirstSetup.class);
    private static final String BY = "setup";

    private final JalonSettings settings;
    private final People people;
    private final StreamLibrary streams;
    private final RegisterSources sources;
    private final OwnPlaces places;
    private final PasswordEncoder passwords;

    FirstSetup(
            JalonSettings settings,
            People people,
            StreamLibrary streams,
            RegisterSources sources,
            OwnPlaces places,
            PasswordEncoder passwords) {
        this.places = places;
        this.sources = sources;
        this.settings = settings;
        this.people = people;
        this.streams = streams;
        this.passwords = passwords;
    }

    /** @param password in the clear; only its hash is kept */
    record NewPerson(String signIn, String name, Role role, String password) {}

    /** Before the server answers its first request: nobody meets it half set up. */
    @Override
    public void afterSingletonsInstantiated() {
        try {
            setUp();
        } catch (IOException e) {
            throw new UncheckedIOException("the setup folder could not be read", e);
        }
    }

    private void setUp() throws IOException {
        Path folder = settings.setupFolder();
        if (folder == null) {
            return;
        }
        Path list = folder.resolve("people.json");
        if (people.all().isEmpty() && Files.exists(list)) {
            var json = JsonMapper.builder().build();
            for (NewPerson p : json.readValue(Files.readString(list), NewPerson[].class)) {
                people.add(Person.of(p.signIn(), p.name(), p.role(), passwords.encode(p.password())));
            }
            LOG.info("people set up from {}", list);
        }
        if (streams.registers().isEmpty()) {
            for (Path csv : files(folder.resolve("registers"), "*.csv")) {
                String name = csv.getFileName().toString().replaceFirst("\\.csv$", "");
                for (String fault : streams.saveRegister(name, Files.readString(csv, StandardCharsets.UTF_8), BY)) {
                    LOG.warn(fault);
                }
            }
        }
        Path from = settings.intake().sourcesFile();
        if (from != null) {
            sources.saveAll(Files.readString(from), BY);
        }
        if (settings.placesFile() != null) {
            places.saveAll(Files.readString(settings.placesFile()), BY);
        }
        if (streams.current().isEmpty()) {
            for (Path json : files(folder.resolve("streams"), "*.json")) {
                streams.save(Files.readString(json), BY);
            }
        }
    }

    private static List<Path> files(Path folder, String like) throws IOException {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (DirectoryStream<Path> all = Files.newDirectoryStream(folder, like)) {
            return java.util.stream.StreamSupport.stream(all.spliterator(), false)
                    .sorted()
                    .toList();
        }
    }
}
