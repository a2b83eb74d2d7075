package jalon.standins;

import com.nimbusds.jose.JOSEException;
import com.nimbusds.jose.JWSAlgorithm;
import com.nimbusds.jose.JWSHeader;
import com.nimbusds.jose.crypto.RSASSASigner;
import com.nimbusds.jose.jwk.JWKSet;
import com.nimbusds.jose.jwk.RSAKey;
import com.nimbusds.jose.jwk.gen.RSAKeyGenerator;
import com.nimbusds.jwt.JWTClaimsSet;
import com.nimbusds.jwt.SignedJWT;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URLDecoder;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Date;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import tools.jackson.databind.json.JsonMapper;

/**
 * The harbour's directory of people: an OpenID provider (OpenID Connect Core 1.0, authorization code flow with PKCE, discovery,
 * RP-initiated logout) that asks nobody for a password, but who they are.
 */
public final class DirectoryStandIn implements AutoCloseable {
    public static final String CLIENT = "jalon";

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int OK = 200;
    private static final int SEE_OTHER = 302;
    private static final int BAD_REQUEST = 400;
    private static final int MINUTES = 10;
    private static final int KEY_BITS = 2048;

    private final HttpServer server;
    private final String secret;
    private final RSAKey key;
    private final Map<String, Entry> people = new LinkedHashMap<>();
    private final Map<String, Map<String, String>> codes = new LinkedHashMap<>();
    private final List<String> signedOut = new ArrayList<>();

    /** @param subject who it is for good, whatever the name becomes */
    public record Entry(String subject, String signIn, String name, List<String> groups) {}

    private DirectoryStandIn(HttpServer server, String secret, RSAKey key) {
        this.server = server;
        this.secret = secret;
        this.key = key;
    }

    /** @param port 0 for a free one, @param secret of the one client that it knows */
    public static DirectoryStandIn start(int port, String secret) throws IOException {
        try {
            RSAKey key = new RSAKeyGenerator(KEY_BITS).keyID("merrow").generate();
            HttpServer server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
            var directory = new DirectoryStandIn(server, secret, key);
            server.createContext("/", directory::handle);
            server.setExecutor(Executors.newSingleThreadExecutor());
            server.start();
            return directory;
        } catch (JOSEException e) {
            throw new IllegalStateException("no key could be made", e);
        }
    }

    public String issuer() {
        return "http://127.0.0.1:" + server.getAddress().getPort();
    }

    /** Somebody that it knows from now on, or knows otherwise than before. */
    public synchronized void person(Entry entry) {
        people.put(entry.subject(), entry);
    }

    /** Sign-in names of those who signed out. */
    public synchronized List<String> signedOut() {
        return List.copyOf(signedOut);
    }

    private synchronized void handle(HttpExchange x) throws IOException {
        try (x) {
            Map<String, String> asked = form(
                    x.getRequestMethod().equals("POST")
                            ? new String(x.getRequestBody().readAllBytes(), StandardCharsets.UTF_8)
                            : String.valueOf(x.getRequestURI().getRawQuery()));
            switch (x.getRequestURI().getPath()) {
                case "/.well-known/openid-configuration" -> json(x, OK, discovery());
                case "/keys" -> json(x, OK, new JWKSet(key.toPublicJWK()).toJSONObject());
                case "/authorize" -> authorize(x, asked);
                case "/token" -> token(x, asked);
                case "/userinfo" -> userinfo(x);
                case "/end" -> end(x, asked);
                default -> json(x, BAD_REQUEST, Map.of("error", "invalid_request"));
            }
        } catch (JOSEException | java.text.ParseException | GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    private Map<String, Object> discovery() {
        return Map.ofEntries(
                Map.entry("issuer", issuer()),
                Map.entry("authorization_endpoint", issuer() + "/authorize"),
                Map.entry("token_endpoint", issuer() + "/token"),
                Map.entry("userinfo_endpoint", issuer() + "/userinfo"),
                Map.entry("jwks_uri", issuer() + "/keys"),
                Map.entry("end_session_endpoint", issuer() + "/end"),
                Map.entry("response_types_supported", List.of("code")),
                Map.entry("subject_types_supported", List.of("public")),
                Map.entry("id_token_signing_alg_values_supported", List.of("RS256")),
                Map.entry("code_challenge_methods_supported", List.of("S256")),
                Map.entry("token_endpoint_auth_methods_supported", List.of("client_secret_basic")),
                Map.entry("scopes_supported", List.of("openid", "profile")));
    }

    /** A page to choose from; whoever is chosen comes back with a code. */
    private void authorize(HttpExchange x, Map<String, String> asked) throws IOException {
        boolean known = CLIENT.equals(asked.get("client_id"))
                && "code".equals(asked.get("response_type"))
                && "S256".equals(asked.get("code_challenge_method"));
        if (!known) {
            json(x, BAD_REQUEST, Map.of("error", "invalid_request"));
        } else if (asked.containsKey("as")) {
            String code = UUID.randomUUID().toString();
            codes.put(code, asked);
            redirect(x, asked.get("redirect_uri") + "?code=" + code + "&state=" + encoded(asked.get("state")));
        } else {
            String here = x.getRequestURI().toString();
            String page = people.values().stream()
                    .map(p -> "<p><a href='" + StandIns.escaped(here) + "&amp;as=" + encoded(p.subject()) + "'>"
                            + StandIns.escaped(p.name()) + "</a> " + StandIns.escaped(String.join(", ", p.groups())))
                    .collect(Collectors.joining(
                            "",
                            "<!doctype html><meta charset=utf-8><title>Port Merrow directory</title>"
                                    + "<style>body{font:17px sans-serif;margin:2em}</style><h1>Port Merrow directory</h1>"
                                    + "<p>Who are you?",
                            ""));
            answer(x, OK, "text/html; charset=utf-8", page);
        }
    }

    private void token(HttpExchange x, Map<String, String> asked)
            throws IOException, JOSEException, GeneralSecurityException {
        Map<String, String> begun = codes.remove(asked.get("code"));
        // RFC 6749, 2.3.1: both as in a form, before they are put together.
        String pair = encoded(CLIENT) + ":" + encoded(secret);
        String basic = "Basic " + Base64.getEncoder().encodeToString(pair.getBytes(StandardCharsets.US_ASCII));
        if (!basic.equals(x.getRequestHeaders().getFirst("Authorization"))) {
            json(x, 401, Map.of("error", "invalid_client"));
        } else if (begun == null
                || !begun.get("redirect_uri").equals(asked.get("redirect_uri"))
                || !begun.get("code_challenge").equals(challenge(asked.get("code_verifier")))) {
            json(x, BAD_REQUEST, Map.of("error", "invalid_grant"));
        } else {
            Entry who = people.get(begun.get("as"));
            json(
                    x,
                    OK,
                    Map.of(
                            "access_token",
                            signed(claims(who).build()),
                            "token_type",
                            "Bearer",
                            "expires_in",
                            MINUTES * 60,
                            "scope",
                            begun.get("scope"),
                            "id_token",
                            signed(claims(who)
                                    .claim("nonce", begun.get("nonce"))
                                    .build())));
        }
    }

    private static String challenge(String verifier) throws GeneralSecurityException {
        byte[] hash = MessageDigest.getInstance("SHA-256").digest(verifier.getBytes(StandardCharsets.US_ASCII));
        return Base64.getUrlEncoder().withoutPadding().encodeToString(hash);
    }

    private JWTClaimsSet.Builder claims(Entry who) {
        Instant now = Instant.now();
        return new JWTClaimsSet.Builder()
                .issuer(issuer())
                .audience(CLIENT)
                .subject(who.subject())
                .issueTime(Date.from(now))
                .expirationTime(Date.from(now.plusSeconds(MINUTES * 60L)))
                .claim("preferred_username", who.signIn())
                .claim("name", who.name())
                .claim("groups", who.groups());
    }

    private String signed(JWTClaimsSet claims) throws JOSEException {
        var jwt = new SignedJWT(
                new JWSHeader.Builder(JWSAlgorithm.RS256).keyID(key.getKeyID()).build(), claims);
        jwt.sign(new RSASSASigner(key));
        return jwt.serialize();
    }

    private void userinfo(HttpExchange x) throws IOException, java.text.ParseException {
        String bearer = x.getRequestHeaders().getFirst("Authorization").substring("Bearer ".length());
        Entry who = people.get(SignedJWT.parse(bearer).getJWTClaimsSet().getSubject());
        json(
                x,
                OK,
                Map.of(
                        "sub",
                        who.subject(),
                        "preferred_username",
                        who.signIn(),
                        "name",
                        who.name(),
                        "groups",
                        who.groups()));
    }

    private void end(HttpExchange x, Map<String, String> asked) throws IOException, java.text.ParseException {
        String who = SignedJWT.parse(asked.get("id_token_hint"))
                .getJWTClaimsSet()
                .getClaim("preferred_username")
                .toString();
        signedOut.add(who);
        redirect(x, asked.get("post_logout_redirect_uri"));
    }

    private static Map<String, String> form(String text) {
        Map<String, String> values = new LinkedHashMap<>();
        for (String pair : text.split("&")) {
            String[] parts = pair.split("=", 2);
            values.put(parts[0], parts.length < 2 ? "" : URLDecoder.decode(parts[1], StandardCharsets.UTF_8));
        }
        return values;
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    private static void redirect(HttpExchange x, String to) throws IOException {
        x.getResponseHeaders().set("Location", to);
        x.sendResponseHeaders(SEE_OTHER, -1);
    }

    private static void json(HttpExchange x, int status, Map<String, Object> body) throws IOException {
        answer(x, status, "application/json", JSON.writeValueAsString(body));
    }

    private static void answer(HttpExchange x, int status, String type, String text) throws IOException {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        x.getResponseHeaders().set("Content-Type", type);
        x.sendResponseHeaders(status, bytes.length);
        x.getResponseBody().write(bytes);
    }

    @Override
    public void close() {
        server.stop(0);
    }
}
