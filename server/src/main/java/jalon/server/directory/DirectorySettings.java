package jalon.server.directory;

import java.util.List;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * The organisation's directory, where it has one that people can sign in by (OpenID Connect Core 1.0, discovered by its issuer).
 *
 * @param name what people call it
 * @param issuer its address, as it says itself; null where there is none
 * @param signInClaim the claim that holds the sign-in name, @param groupsClaim the one that holds the names of groups
 * @param scopes asked for beside {@code openid}
 * @param supervisors groups there whose members are supervisors here; the same for operators and readers
 */
@ConfigurationProperties("jalon.directory")
record DirectorySettings(
        String name,
        String issuer,
        String clientId,
        String clientSecret,
        String signInClaim,
        String groupsClaim,
        List<String> scopes,
        List<String> supervisors,
        List<String> operators,
        List<String> readers) {
    DirectorySettings {
        name = name == null ? "the directory" : name;
        signInClaim = signInClaim == null ? "preferred_username" : signInClaim;
        groupsClaim = groupsClaim == null ? "groups" : groupsClaim;
        scopes = scopes == null ? List.of("profile") : List.copyOf(scopes);
        supervisors = supervisors == null ? List.of() : List.copyOf(supervisors);
        operators = operators == null ? List.of() : List.copyOf(operators);
        readers = readers == null ? List.of() : List.copyOf(readers);
    }

    boolean isSet() {
        return issuer != null && !issuer.isBlank();
    }
}
