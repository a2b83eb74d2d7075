package jalon.standins;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;

/** All places that the harbour's documents are filed in beside Jalon's own: one of each kind. */
final class PlacesStandIn {
    private static final String PASSWORD = "merrow-records";

    private final Map<String, String> settings = new LinkedHashMap<>();
    private final ProgramStandIn ledger;

    /**
     * @param state where the file server's and the object store's files lie
     * @param port of the first; the others take those after it, where they are free
     */
    PlacesStandIn(Path state, int port, MailStandIn mail) throws IOException {
        var office = FileServerStandIn.start(port, state.resolve("office"), PASSWORD);
        var papers = RepositoryStandIn.start(free(port + 1), PASSWORD);
        var store = ObjectStoreStandIn.start(free(port + 2), state.resolve("store"), PASSWORD);
        ledger = ProgramStandIn.start(free(port + 3), PASSWORD);
        settings.put("records-office", office.settings());
        settings.put("paper-repository", papers.settings());
        settings.put("paper-store", store.settings());
        settings.put("ledger", ledger.settings());
        settings.put("owners", """
                {"kind":"mail","host":"127.0.0.1","port":%d,"sealed":"no","from":"jalon@merrow.example"}""".formatted(mail.smtpPort()));
    }

    private static int free(int port) {
        try (var socket = new java.net.ServerSocket(port, 1, java.net.InetAddress.getLoopbackAddress())) {
            return socket.getLocalPort();
        } catch (IOException e) {
            return 0;
        }
    }

    /** A page of what the ledger was given. */
    String ledgerPage() {
        return ledger.url();
    }

    void write(Path file) throws IOException {
        String all = settings.entrySet().stream()
                .map(e -> "{\"name\":\"" + e.getKey() + "\",\"settings\":" + e.getValue() + "}")
                .collect(Collectors.joining(",\n ", "[", "]\n"));
        Files.writeString(file, all);
    }
}
