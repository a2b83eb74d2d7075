package jalon.server.scan;

import jalon.server.Problem;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.URISyntaxException;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

/**
 * A network scanner, driven over eSCL, the open driverless scanning protocol (HTTP and XML; Mopria Alliance, "eSCL
 * Technical Specification"). Nothing a device answers is trusted: sizes and times are bounded, its XML is read without
 * entities.
 */
final class EsclDevice {
    private static final Duration ANSWER = Duration.ofSeconds(15);
    private static final Duration PAGE = Duration.ofSeconds(90);
    private static final long LARGEST_PAGE = 400_000_000;
    private static final int LARGEST_XML = 1_000_000;

    private final String address;
    private final HttpClient http =
            HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(5)).build();

    EsclDevice(String address) {
        this.address = address.replaceFirst("/+$", "");
    }

    /** What the device can do. Empty lists where it did not say. */
    record Can(String model, boolean feeder, boolean duplex, boolean flatbed, List<Integer> dpi, List<String> colours) {
        /** Of a device that does not answer. */
        static final Can NOTHING = new Can("", false, false, false, List.of(), List.of());
    }

    Can can() throws ScanFault {
        Element root = xml(get("/ScannerCapabilities"), "ScannerCapabilities");
        var dpi = new TreeSet<Integer>();
        NodeList resolutions = root.getElementsByTagNameNS(EsclXml.SCAN, "DiscreteResolution");
        for (int i = 0; i < resolutions.getLength(); i++) {
            String x = EsclXml.text((Element) resolutions.item(i), EsclXml.SCAN, "XResolution");
            if (x != null && x.matches("\\d{2,4}")) {
                dpi.add(Integer.valueOf(x));
            }
        }
        List<String> colours = new ArrayList<>();
        NodeList modes = root.getElementsByTagNameNS(EsclXml.SCAN, "ColorMode");
        for (int i = 0; i < modes.getLength(); i++) {
            String colour = switch (modes.item(i).getTextContent().strip()) {
                case "BlackAndWhite1" -> "bitonal";
                case "Grayscale8" -> "grey";
                case "RGB24" -> "colour";
                default -> "";
            };
            if (!colour.isEmpty() && !colours.contains(colour)) {
                colours.add(colour);
            }
        }
        String model = EsclXml.text(root, EsclXml.PWG, "MakeAndModel");
        return new Can(
                model == null ? "Scanner" : model,
                root.getElementsByTagNameNS(EsclXml.SCAN, "AdfSimplexInputCaps").getLength() > 0,
                root.getElementsByTagNameNS(EsclXml.SCAN, "AdfDuplexInputCaps").getLength() > 0,
                root.getElementsByTagNameNS(EsclXml.SCAN, "PlatenInputCaps").getLength() > 0,
                List.copyOf(dpi),
                colours);
    }

    /** @param feeder as the device names it, such as {@code ScannerAdfEmpty}; empty when it has none */
    record Status(String state, String feeder) {}

    Status status() throws ScanFault {
        Element root = xml(get("/ScannerStatus"), "ScannerStatus");
        String state = EsclXml.text(root, EsclXml.PWG, "State");
        String feeder = EsclXml.text(root, EsclXml.SCAN, "AdfState");
        return new Status(state == null ? "" : state, feeder == null ? "" : feeder);
    }

    /** Begins a job. @return its address */
    URI start(ScanSettings settings) throws ScanFault {
        HttpResponse<InputStream> answer = send(HttpRequest.newBuilder(URI.create(address + "/ScanJobs"))
                .header("Content-Type", "text/xml")
                .timeout(ANSWER)
                .POST(HttpRequest.BodyPublishers.ofByteArray(EsclXml.settings(settings))));
        close(answer);
        String job = answer.headers().firstValue("Location").orElse(null);
        if (answer.statusCode() != 201 || job == null) {
            throw new ScanFault(Problem.SCANNER_JOB_REFUSED.with(answer.statusCode()));
        }
        return onlyHere(job);
    }

    /** A device that names another machine, or another service of its own, would have it asked and told to delete. */
    private URI onlyHere(String job) throws ScanFault {
        try {
            URI base = new URI(address + "/");
            URI its = base.resolve(new URI(job)).normalize();
            boolean same = base.getScheme().equalsIgnoreCase(String.valueOf(its.getScheme()))
                    && base.getHost() != null
                    && base.getHost().equalsIgnoreCase(its.getHost())
                    && port(base) == port(its)
                    && its.getUserInfo() == null;
            if (same) {
                return its;
            }
        } catch (URISyntaxException e) {
            // Told below.
        }
        throw new ScanFault(Problem.SCANNER_SENT_AWAY.with(job));
    }

    private static int port(URI address) {
        if (address.getPort() >= 0) {
            return address.getPort();
        }
        return address.getScheme().equalsIgnoreCase("https") ? 443 : 80;
    }

    /**
     * Fetches the next page of a job into a file.
     *
     * @return the HTTP status: 200 with a page, 404 when there is none left, 503 when it is not ready yet
     */
    int next(URI job, Path into) throws ScanFault {
        HttpResponse<InputStream> answer = send(HttpRequest.newBuilder(URI.create(job + "/NextDocument"))
                .timeout(PAGE)
                .GET());
        if (answer.statusCode() != 200) {
            close(answer);
            return answer.statusCode();
        }
        try (var in = new BoundedBody(answer.body(), LARGEST_PAGE, PAGE);
                var out = Files.newOutputStream(into)) {
            in.transferTo(out);
        } catch (BoundedBody.Endless e) {
            throw new ScanFault(Problem.SCANNER_ENDLESS_PAGE.with());
        } catch (IOException e) {
            throw new ScanFault(Problem.SCANNED_PAGE_CUT_SHORT.with());
        }
        return 200;
    }

    void cancel(URI job) {
        try {
            close(send(HttpRequest.newBuilder(job).timeout(ANSWER).DELETE()));
        } catch (ScanFault e) {
            // It ends by itself when nobody fetches its pages.
        }
    }

    private InputStream get(String path) throws ScanFault {
        HttpResponse<InputStream> answer = send(HttpRequest.newBuilder(URI.create(address + path))
                .timeout(ANSWER)
                .GET());
        if (answer.statusCode() != 200) {
            close(answer);
            throw new ScanFault(Problem.SCANNER_ANSWERED.with(address, answer.statusCode()));
        }
        return answer.body();
    }

    private HttpResponse<InputStream> send(HttpRequest.Builder request) throws ScanFault {
        try {
            return http.send(request.build(), HttpResponse.BodyHandlers.ofInputStream());
        } catch (IOException e) {
            throw new ScanFault(Problem.SCANNER_SILENT.with(address));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new ScanFault(Problem.STOPPING.with());
        }
    }

    /** Nothing of it is wanted: its connection goes with it. */
    private static void close(HttpResponse<InputStream> answer) {
        try {
            answer.body().close();
        } catch (IOException e) {
            // It is closed all the same.
        }
    }

    private Element xml(InputStream in, String name) throws ScanFault {
        try (var bounded = new BoundedBody(in, LARGEST_XML, ANSWER)) {
            Optional<Element> answer = EsclXml.answer(bounded.readAllBytes(), name);
            if (answer.isPresent()) {
                return answer.get();
            }
        } catch (IOException e) {
            // Told below: it is the same to the operator whether it is no XML or another.
        }
        throw new ScanFault(Problem.SCANNER_NOT_ESCL.with(address));
    }
}
