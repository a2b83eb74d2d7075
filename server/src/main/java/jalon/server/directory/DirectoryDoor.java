package jalon.server.directory;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jalon.core.words.Words;
import jalon.server.NotPossible;
import jalon.server.people.Act;
import jalon.server.people.ActivityLog;
import jalon.server.people.Sessions;
import jalon.server.people.SignInDoor;
import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.oauth2.client.oidc.userinfo.OidcUserRequest;
import org.springframework.security.oauth2.client.oidc.userinfo.OidcUserService;
import org.springframework.security.oauth2.client.web.OAuth2AuthorizationRequestRedirectFilter;
import org.springframework.security.oauth2.core.OAuth2AuthenticationException;
import org.springframework.security.oauth2.core.OAuth2Error;
import org.springframework.security.oauth2.core.oidc.user.OidcUser;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.UriComponentsBuilder;

/** Signing in by the directory: there and back again, and why somebody is not let in. */
@Component
@EnableConfigurationProperties(DirectorySettings.class)
class DirectoryDoor implements SignInDoor {
    private static final Logger LOG = LoggerFactory.getLogger(DirectoryDoor.class);
    private static final String START = "/oauth2/authorization/" + DirectoryClient.ID;
    private static final String SIGN_IN_SCREEN = "/desk/sign-in?refused=";

    private final DirectorySettings settings;
    private final DirectoryClient client;
    private final DirectoryPeople people;
    private final Sessions sessions;
    private final ActivityLog log;
    private final OidcUserService asked = new OidcUserService();

    DirectoryDoor(
            DirectorySettings settings,
            DirectoryClient client,
            DirectoryPeople people,
            Sessions sessions,
            ActivityLog log) {
        this.settings = settings;
        this.client = client;
        this.people = people;
        this.sessions = sessions;
        this.log = log;
    }

    @Override
    public Optional<Way> way() {
        return settings.isSet() ? Optional.of(new Way(settings.name(), START)) : Optional.empty();
    }

    /** OpenID Connect RP-Initiated Logout 1.0. */
    @Override
    public Optional<String> signOutAt(Authentication who, String back) {
        if (!(who.getPrincipal() instanceof DirectoryUser user) || !client.answers()) {
            return Optional.empty();
        }
        Object end = client.findByRegistrationId(DirectoryClient.ID)
                .getProviderDetails()
                .getConfigurationMetadata()
                .get("end_session_endpoint");
        return Optional.ofNullable(end)
                .map(at -> UriComponentsBuilder.fromUriString(at.toString())
                        .queryParam("id_token_hint", user.getIdToken().getTokenValue())
                        .queryParam("post_logout_redirect_uri", "{back}")
                        .encode()
                        .buildAndExpand(back)
                        .toUriString());
    }

    @Override
    public void open(HttpSecurity http) throws Exception {
        if (!settings.isSet()) {
            return;
        }
        http.oauth2Login(o -> o.clientRegistrationRepository(client)
                .userInfoEndpoint(u -> u.oidcUserService(this::user))
                .successHandler(this::signedIn)
                .failureHandler(this::refused));
        http.addFilterBefore(new Away(), OAuth2AuthorizationRequestRedirectFilter.class);
    }

    private OidcUser user(OidcUserRequest request) {
        OidcUser claims = asked.loadUser(request);
        try {
            var person = people.signsIn(new DirectoryPeople.Claimed(
                    claims.getIdToken().getIssuer().toString(),
                    claims.getSubject(),
                    claims.getClaimAsString(settings.signInClaim()),
                    claims.getFullName(),
                    groups(claims.getClaims().get(settings.groupsClaim()))));
            return DirectoryUser.of(person, claims.getIdToken());
        } catch (NotPossible e) {
            throw new OAuth2AuthenticationException(
                    new OAuth2Error(Words.name(e.trouble().code())), e.getMessage(), e);
        }
    }

    /** A list, or one alone. */
    private static List<String> groups(Object claim) {
        List<String> names = new ArrayList<>();
        if (claim instanceof Collection<?> all) {
            all.forEach(name -> names.add(String.valueOf(name)));
        } else if (claim != null) {
            names.add(claim.toString());
        }
        return names;
    }

    private void signedIn(HttpServletRequest request, HttpServletResponse response, Authentication who)
            throws IOException {
        sessions.begin(request.getSession());
        log.add(who.getName(), Act.SIGNED_IN.with(request.getRemoteAddr()));
        response.sendRedirect("/desk/board");
    }

    private void refused(HttpServletRequest request, HttpServletResponse response, AuthenticationException e)
            throws IOException {
        boolean told = e.getCause() instanceof NotPossible;
        String code = told ? ((OAuth2AuthenticationException) e).getError().getErrorCode() : "directoryFailed";
        LOG.warn("a sign-in by {} failed: {}", settings.name(), e.toString());
        log.add(ActivityLog.JALON, Act.SIGN_IN_FAILED.with(settings.name(), request.getRemoteAddr()));
        response.sendRedirect(SIGN_IN_SCREEN + URLEncoder.encode(code, StandardCharsets.UTF_8));
    }

    /** Says at the sign-in screen that the directory does not answer, in place of an error page. */
    private final class Away extends OncePerRequestFilter {
        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws IOException, ServletException {
            if (request.getRequestURI().equals(START) && !client.answers()) {
                response.sendRedirect(SIGN_IN_SCREEN + "directoryAway");
            } else {
                chain.doFilter(request, response);
            }
        }
    }
}
