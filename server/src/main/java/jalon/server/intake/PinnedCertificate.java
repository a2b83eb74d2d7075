package jalon.server.intake;

import jalon.core.page.Sha256;
import java.security.GeneralSecurityException;
import java.security.cert.CertificateException;
import java.security.cert.X509Certificate;
import java.util.HexFormat;
import java.util.Locale;
import javax.net.ssl.SSLContext;
import javax.net.ssl.SSLSocketFactory;
import javax.net.ssl.TrustManager;
import javax.net.ssl.X509TrustManager;

/** Trusts one certificate, known by its SHA-256 fingerprint, and no other: for mail servers with a certificate of their own. */
final class PinnedCertificate implements X509TrustManager {
    private final String fingerprint;

    private PinnedCertificate(String fingerprint) {
        this.fingerprint = fingerprint.replace(":", "").toLowerCase(Locale.ROOT);
    }

    static SSLSocketFactory sockets(String fingerprint) {
        try {
            SSLContext context = SSLContext.getInstance("TLS");
            context.init(null, new TrustManager[] {new PinnedCertificate(fingerprint)}, null);
            return context.getSocketFactory();
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("every Java has TLS", e);
        }
    }

    static String fingerprint(X509Certificate certificate) throws CertificateException {
        return HexFormat.of().formatHex(Sha256.digest().digest(certificate.getEncoded()));
    }

    @Override
    public void checkServerTrusted(X509Certificate[] chain, String authType) throws CertificateException {
        String seen = fingerprint(chain[0]);
        if (!seen.equals(fingerprint)) {
            throw new CertificateException(
                    "the server shows the certificate " + seen + ", not the one that is trusted");
        }
    }

    @Override
    public void checkClientTrusted(X509Certificate[] chain, String authType) throws CertificateException {
        throw new CertificateException("clients are not asked for certificates");
    }

    @Override
    public X509Certificate[] getAcceptedIssuers() {
        return new X509Certificate[0];
    }
}
