package jalon.server.intake;

import jalon.server.JalonSettings;
import jalon.server.Problem;
import java.net.InetAddress;
import java.net.URI;
import java.net.URISyntaxException;
import java.net.UnknownHostException;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.security.web.util.matcher.IpAddressMatcher;
import org.springframework.stereotype.Component;

/**
 * The scanners and mail servers that the installation lets Jalon turn to, by name, address or network: a supervisor's wish
 * alone does not make the server speak to whatever it can reach.
 */
@Component
public class AllowedHosts {
    /** In the settings: whatever the server can reach. */
    private static final String ANY = "*";

    private final List<String> allowed;

    AllowedHosts(JalonSettings settings) {
        this.allowed = settings.intake().hosts();
    }

    /** Refuses a host that is not allowed; it is asked before every connection, since a name can come to mean another. */
    public void check(String host) {
        if (allowed.contains(ANY) || allowed.stream().anyMatch(host::equalsIgnoreCase)) {
            return;
        }
        List<IpAddressMatcher> networks =
                allowed.stream().flatMap(a -> network(a).stream()).toList();
        if (!Arrays.stream(addresses(host))
                .allMatch(a -> networks.stream().anyMatch(n -> n.matches(a.getHostAddress())))) {
            throw Problem.HOST_NOT_ALLOWED.with(host);
        }
    }

    /** @param address of a scanner, whole */
    public void checkAddress(String address) {
        String host;
        try {
            host = new URI(address).getHost();
        } catch (URISyntaxException e) {
            throw Problem.SCANNER_ADDRESS.with();
        }
        if (host == null) {
            throw Problem.SCANNER_ADDRESS.with();
        }
        check(host);
    }

    private static InetAddress[] addresses(String host) {
        try {
            return InetAddress.getAllByName(host);
        } catch (UnknownHostException e) {
            throw Problem.HOST_NOT_ALLOWED.with(host);
        }
    }

    private static Optional<IpAddressMatcher> network(String allowed) {
        try {
            return Optional.of(new IpAddressMatcher(allowed));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }
}
