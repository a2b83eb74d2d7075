package jalon.server.directory;

import jalon.server.people.Person;
import java.util.Collection;
import java.util.Map;
import java.util.Set;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.oauth2.core.oidc.OidcIdToken;
import org.springframework.security.oauth2.core.oidc.OidcUserInfo;
import org.springframework.security.oauth2.core.oidc.user.OidcUser;

/** Somebody signed in by the directory, known by the sign-in name here and with the role here. */
record DirectoryUser(String name, Set<GrantedAuthority> roles, OidcIdToken token) implements OidcUser {
    static DirectoryUser of(Person person, OidcIdToken token) {
        return new DirectoryUser(
                person.signIn(),
                Set.of(new SimpleGrantedAuthority("ROLE_" + person.role().name())),
                token);
    }

    @Override
    public String getName() {
        return name;
    }

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        return roles;
    }

    @Override
    public Map<String, Object> getAttributes() {
        return token.getClaims();
    }

    @Override
    public Map<String, Object> getClaims() {
        return token.getClaims();
    }

    @Override
    public OidcUserInfo getUserInfo() {
        return null;
    }

    @Override
    public OidcIdToken getIdToken() {
        return token;
    }
}
