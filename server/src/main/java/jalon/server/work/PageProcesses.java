package jalon.server.work;

import jalon.core.apart.PageWorker;
import jalon.core.apart.PageWorkers;
import jalon.core.apart.WorkerLaunch;
import jalon.server.JalonSettings;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The processes in which received bytes are worked on. */
@Configuration
class PageProcesses {
    /** For what people look at: pictures, a box to be read. */
    private static final int QUICK = 3;

    /** For what comes in. */
    private static final int OPENING = 2;

    private static final String BOOTS_LAUNCHER = "org.springframework.boot.loader.launch.PropertiesLauncher";

    /** Reading and filing: one a core, in a lane of their own. */
    @Bean
    PageWorkers slowWork(JalonSettings settings) {
        return new PageWorkers(
                        settings.reading().workers(),
                        launch(),
                        settings.reading().patience())
                .started();
    }

    @Bean
    PageWorkers quickWork(JalonSettings settings) {
        return new PageWorkers(QUICK, launch(), settings.reading().patience());
    }

    @Bean
    PageWorkers openingWork(JalonSettings settings) {
        // Ready when the first file comes: nobody waits for a start.
        return new PageWorkers(OPENING, launch(), settings.reading().patience()).started();
    }

    /** In the framework's executable jar the classes lie in jars inside it, which only its own launcher finds. */
    private static WorkerLaunch launch() {
        String here = PageWorker.class
                .getProtectionDomain()
                .getCodeSource()
                .getLocation()
                .toString();
        if (!here.contains("!") && !here.startsWith("jar:nested")) {
            return WorkerLaunch.likeThis();
        }
        return WorkerLaunch.with(List.of(
                "-cp",
                System.getProperty("java.class.path"),
                "-Dloader.main=" + PageWorker.class.getName(),
                BOOTS_LAUNCHER));
    }
}
