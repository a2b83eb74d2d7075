package jalon.standins;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Locale;

/**
 * A second door to a mail server that speaks IMAP over TLS: begins in the clear and turns to TLS when asked (RFC 3501
 * section 6.2.1, RFC 8314 section 3). After its answer it only passes bytes on, so the handshake is with the server behind;
 * the greeting that one sends again is to the client one more untagged answer.
 */
public final class StartTlsDoor implements AutoCloseable {
    private final ServerSocket door;
    private final int imaps;

    private StartTlsDoor(ServerSocket door, int imaps) {
        this.door = door;
        this.imaps = imaps;
    }

    /** @param imaps port of the server behind, on loopback */
    public static StartTlsDoor to(int imaps) throws IOException {
        var door = new StartTlsDoor(new ServerSocket(0, 20, InetAddress.getLoopbackAddress()), imaps);
        daemon(door::open);
        return door;
    }

    public int port() {
        return door.getLocalPort();
    }

    private void open() {
        try {
            while (true) {
                Socket client = door.accept();
                daemon(() -> serve(client));
            }
        } catch (IOException e) {
            // The door was closed.
        }
    }

    private void serve(Socket client) {
        try (client) {
            OutputStream out = client.getOutputStream();
            say(out, "* OK [CAPABILITY IMAP4rev1 STARTTLS LOGINDISABLED] ready");
            // What follows STARTTLS is not sent before our answer, so nothing of it can be caught in this buffer.
            var in = new BufferedReader(new InputStreamReader(client.getInputStream(), StandardCharsets.US_ASCII));
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                String[] words = line.split(" ");
                String command = words.length > 1 ? words[1].toUpperCase(Locale.ROOT) : "";
                switch (command) {
                    case "CAPABILITY" -> {
                        say(out, "* CAPABILITY IMAP4rev1 STARTTLS LOGINDISABLED");
                        say(out, words[0] + " OK done");
                    }
                    case "STARTTLS" -> {
                        say(out, words[0] + " OK begin now");
                        pass(client);
                        return;
                    }
                    default -> say(out, words[0] + " NO only after STARTTLS");
                }
            }
        } catch (IOException e) {
            // The client has gone.
        }
    }

    private void pass(Socket client) throws IOException {
        try (Socket behind = new Socket(InetAddress.getLoopbackAddress(), imaps)) {
            daemon(() -> copy(behind, client));
            copy(client, behind);
        }
    }

    private static void copy(Socket from, Socket to) {
        try (InputStream in = from.getInputStream();
                OutputStream out = to.getOutputStream()) {
            in.transferTo(out);
        } catch (IOException e) {
            // One side has closed; the other is closed with it.
        }
    }

    private static void say(OutputStream out, String line) throws IOException {
        out.write((line + "\r\n").getBytes(StandardCharsets.US_ASCII));
        out.flush();
    }

    private static void daemon(Runnable what) {
        Thread t = new Thread(what, "starttls");
        t.setDaemon(true);
        t.start();
    }

    @Override
    public void close() throws IOException {
        door.close();
    }
}
