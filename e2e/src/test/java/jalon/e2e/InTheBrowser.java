package jalon.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import jalon.demo.Api;
import jalon.server.JalonServer;
import jalon.server.ServerProcess;
import jalon.server.TestDatabase;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;

/** A running Jalon with the demo's streams, and a browser in front of it. */
@Tag("whole")
abstract class InTheBrowser {
    /** Two more browsers and a database may be at work beside it: a wait that ends early is no finding. */
    private static final Duration A_SLOW_MACHINE = Duration.ofSeconds(400);

    static final LocatorAssertions.IsVisibleOptions WHILE_READING =
            new LocatorAssertions.IsVisibleOptions().setTimeout(A_SLOW_MACHINE.toMillis());

    @TempDir
    static Path folder;

    /** Where mails are sent to, if anybody takes them. */
    private static int mail;

    private static ServletWebServerApplicationContext server;
    private static Playwright playwright;
    private static Browser browser;

    /** What went wrong inside the pages opened. */
    final List<String> problems = new ArrayList<>();

    @BeforeAll
    static void start() throws IOException {
        mail = ServerProcess.freePort();
        PlaywrightAssertions.setDefaultAssertionTimeout(60_000);
        server = (ServletWebServerApplicationContext) SpringApplication.run(
                JalonServer.class,
                "--server.port=0",
                "--spring.datasource.url=" + TestDatabase.fresh(),
                "--spring.datasource.username=root",
                "--jalon.intake.hosts=127.0.0.1",
                "--jalon.mail.host=127.0.0.1",
                "--jalon.mail.port=" + mail,
                "--jalon.mail.from=jalon@merrow.example",
                "--jalon.data=" + folder.resolve("data"),
                "--jalon.setup=../demo");
        playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        browser = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setChromiumSandbox(false)
                        .setArgs(List.of(
                                "--disable-gpu",
                                "--disable-quic",
                                "--disable-dev-shm-usage",
                                "--no-first-run",
                                "--disable-background-networking",
                                "--disable-component-update",
                                "--disable-sync")));
    }

    @AfterAll
    static void stop() {
        playwright.close();
        server.close();
    }

    @BeforeEach
    void forget() {
        problems.clear();
    }

    static int mailPort() {
        return mail;
    }

    static String address() {
        return "http://127.0.0.1:" + server.getWebServer().getPort();
    }

    Page newPage() {
        Page page = browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800))
                .newPage();
        page.onPageError(problems::add);
        page.navigate(address() + "/");
        return page;
    }

    Page signedIn(String name, String password) {
        Page page = newPage();
        page.fill("input[name=username]", name);
        page.fill("input[name=password]", password);
        page.keyboard().press("Enter");
        page.locator("nav").waitFor();
        return page;
    }

    static Api api() throws IOException, InterruptedException {
        return api("m.tarrow", "merrow-operator");
    }

    /** What only a supervisor may do. */
    static Api supervisorsApi() throws IOException, InterruptedException {
        return api("t.vane", "merrow-supervisor");
    }

    private static Api api(String login, String password) throws IOException, InterruptedException {
        Api api = new Api(address());
        api.signIn(login, password);
        return api;
    }

    /** Brings a batch in through the API and waits until it was read. */
    static String bring(Api api, String stream, List<Path> files) throws IOException, InterruptedException {
        String no = api.bring(stream, files);
        untilRead(api, no);
        return no;
    }

    static void untilRead(Api api, String no) {
        until(() -> !api.stage(no).equals("intake"));
    }

    static void until(Callable<Boolean> it) {
        Awaitility.await().atMost(A_SLOW_MACHINE).until(it);
    }
}
