package jalon.server.people;

import jakarta.servlet.http.HttpServletResponse;
import jalon.server.Times;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.security.authentication.InternalAuthenticationServiceException;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Who may do what. Without sign-in there is the sign-in page and nothing else. */
@Configuration
@EnableConfigurationProperties(SignInSettings.class)
class SecurityRules {
    private static final String SUPERVISOR = Role.SUPERVISOR.name();
    private static final String OPERATOR = Role.OPERATOR.name();
    private static final String READER = Role.READER.name();
    private static final String NEWCOMER = "NEWCOMER";
    static final String NO_DATABASE = "The database does not answer. Try again in a moment.";

    /** Programs show a token with each request and have no session. */
    @Bean
    @Order(1)
    SecurityFilterChain programs(HttpSecurity http, Tokens tokens) throws Exception {
        http.securityMatcher("/in/**");
        http.authorizeHttpRequests(a -> a.anyRequest().hasRole(TokenFilter.PROGRAM));
        http.csrf(c -> c.disable());
        http.sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS));
        http.addFilterBefore(new TokenFilter(tokens), UsernamePasswordAuthenticationFilter.class);
        http.addFilterAfter(new FairShare(), AuthorizationFilter.class);
        http.exceptionHandling(e -> e.authenticationEntryPoint((request, response, x) -> problem(
                response,
                401,
                "Send a valid token: Authorization: Bearer jalon_... A supervisor makes one under Intake.")));
        return http.build();
    }

    @Bean
    @Order(2)
    SecurityFilterChain rules(
            HttpSecurity http,
            SignInGuard guard,
            SignInSettings settings,
            Passwords passwords,
            List<SignInDoor> doors,
            ActivityLog log,
            Times times)
            throws Exception {
        http.authorizeHttpRequests(a -> a.requestMatchers(
                        HttpMethod.GET,
                        "/",
                        "/index.html",
                        "/assets/**",
                        "/favicon.svg",
                        "/desk/**",
                        "/api/csrf",
                        "/api/sign-in-ways")
                .permitAll()
                .requestMatchers("/api/me", "/api/me/password")
                .authenticated()
                .requestMatchers("/api/archive/*/seen")
                .hasRole(SUPERVISOR)
                .requestMatchers(
                        "/api/archive/*/story", "/api/archive/*/kept", "/api/archive/*/pages", "/api/archive/*/values")
                .hasAnyRole(OPERATOR, SUPERVISOR)
                .requestMatchers("/api/archive/**")
                .hasAnyRole(READER, OPERATOR, SUPERVISOR)
                .requestMatchers(
                        HttpMethod.POST, "/api/streams/**", "/api/registers/**", "/api/channels/**", "/api/places/**")
                .hasRole(SUPERVISOR)
                .requestMatchers(HttpMethod.PUT, "/api/channels/**", "/api/registers/**", "/api/places/**")
                .hasRole(SUPERVISOR)
                .requestMatchers(HttpMethod.DELETE, "/api/channels/**", "/api/registers/**", "/api/places/**")
                .hasRole(SUPERVISOR)
                .requestMatchers(
                        "/api/tokens/**",
                        "/api/people/**",
                        "/api/groups/**",
                        "/api/rights/**",
                        "/api/log",
                        "/api/day",
                        "/api/retention/**",
                        "/api/workbench/**",
                        "/api/sign-in-waits/**",
                        "/api/batches/*/withdraw",
                        "/api/batches/*/version",
                        "/api/batches/*/types")
                .hasRole(SUPERVISOR)
                .requestMatchers("/api/**", "/v3/**")
                .hasAnyRole(OPERATOR, SUPERVISOR)
                .anyRequest()
                .denyAll());
        http.csrf(c -> c.spa());
        http.addFilterBefore(new SignInFilter(guard), UsernamePasswordAuthenticationFilter.class);
        http.addFilterAfter(new SessionFilter(settings, passwords, times), SecurityContextHolderFilter.class);
        http.addFilterAfter(new FairShare(), AuthorizationFilter.class);
        http.formLogin(f -> f.loginProcessingUrl(SignInFilter.PATH)
                .successHandler((request, response, who) -> {
                    guard.succeeded(who.getName(), request.getRemoteAddr());
                    SessionFilter.begin(request.getSession(), times.now());
                    log.add(who.getName(), Act.SIGNED_IN.with(request.getRemoteAddr()));
                    response.setStatus(HttpServletResponse.SC_NO_CONTENT);
                })
                .failureHandler((request, response, e) -> {
                    if (e instanceof InternalAuthenticationServiceException) {
                        problem(response, 503, NO_DATABASE);
                    } else {
                        String tried = SignInGuard.known(request.getParameter("username"));
                        log.add(ActivityLog.JALON, Act.SIGN_IN_FAILED.with(tried, request.getRemoteAddr()));
                        problem(response, 401, "Name and password do not go together.");
                    }
                }));
        for (SignInDoor door : doors) {
            door.open(http);
        }
        http.logout(l -> l.logoutUrl("/api/sign-out").logoutSuccessHandler((request, response, who) -> {
            if (who != null) {
                log.add(who.getName(), Act.SIGNED_OUT.with());
            }
            String back = ServletUriComponentsBuilder.fromContextPath(request)
                    .path("/desk/sign-in")
                    .toUriString();
            Optional<String> at = doors.stream()
                    .flatMap(door -> who == null ? Stream.empty() : door.signOutAt(who, back).stream())
                    .findFirst();
            response.setStatus(at.isPresent() ? HttpServletResponse.SC_OK : HttpServletResponse.SC_NO_CONTENT);
            if (at.isPresent()) {
                response.setContentType("text/plain");
                response.getWriter().write(at.get());
            }
        }));
        http.exceptionHandling(e -> e.authenticationEntryPoint(
                        (request, response, x) -> problem(response, 401, "Sign in first."))
                .accessDeniedHandler((request, response, x) -> {
                    if (request.getUserPrincipal() != null) {
                        String asked = request.getMethod() + " " + request.getRequestURI();
                        log.add(request.getUserPrincipal().getName(), Act.REFUSED.with(asked));
                    }
                    problem(response, 403, "Your role does not allow this; ask a supervisor.");
                }));
        http.requestCache(c -> c.disable());
        http.headers(
                h -> h.contentSecurityPolicy(
                        c -> c.policyDirectives(
                                "default-src 'self'; img-src 'self' blob: data:;"
                                        + " style-src 'self' 'unsafe-inline'; object-src 'none'; frame-ancestors 'self'; base-uri 'self'")));
        return http.build();
    }

    static void problem(HttpServletResponse response, int status, String detail) throws java.io.IOException {
        response.setStatus(status);
        response.setContentType("application/problem+json");
        response.getOutputStream()
                .write(("{\"status\":" + status + ",\"detail\":\"" + detail + "\"}").getBytes(StandardCharsets.UTF_8));
    }

    @Bean
    UserDetailsService signIns(People people) {
        return name ->
                people.find(name).map(SecurityRules::user).orElseThrow(() -> new UsernameNotFoundException(name));
    }

    /** Who has still to choose a password has no role until then. */
    static UserDetails user(Person p) {
        return User.withUsername(p.signIn())
                .password(p.passwordHash())
                .roles(p.mustChange() ? NEWCOMER : p.role().name())
                .disabled(p.locked())
                .build();
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }
}
