package jalon.server.directory;

import java.util.ArrayList;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.oauth2.client.registration.ClientRegistration;
import org.springframework.security.oauth2.client.registration.ClientRegistrationRepository;
import org.springframework.security.oauth2.client.registration.ClientRegistrations;
import org.springframework.stereotype.Component;

/** How the directory is asked, as it says itself; found out when somebody signs in by it, so that the server starts without it. */
@Component
class DirectoryClient implements ClientRegistrationRepository {
    /** In the addresses of its sign-in. */
    static final String ID = "directory";

    private static final Logger LOG = LoggerFactory.getLogger(DirectoryClient.class);

    private final DirectorySettings settings;
    private volatile ClientRegistration found;

    DirectoryClient(DirectorySettings settings) {
        this.settings = settings;
    }

    @Override
    public ClientRegistration findByRegistrationId(String id) {
        if (!ID.equals(id) || !settings.isSet()) {
            return null;
        }
        if (found == null) {
            List<String> scopes = new ArrayList<>(List.of("openid"));
            scopes.addAll(settings.scopes());
            found = ClientRegistrations.fromIssuerLocation(settings.issuer())
                    .registrationId(ID)
                    .clientId(settings.clientId())
                    .clientSecret(settings.clientSecret())
                    .scope(scopes)
                    .clientName(settings.name())
                    .build();
        }
        return found;
    }

    /** Whether it can be asked now; why not is in the server's log. */
    boolean answers() {
        try {
            return findByRegistrationId(ID) != null;
        } catch (RuntimeException e) {
            LOG.warn("{} at {} cannot be asked: {}", settings.name(), settings.issuer(), e.toString());
            return false;
        }
    }
}
