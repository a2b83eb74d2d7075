package jalon.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.EnableConfigurationProperties;

/** The server: screens, API, channels, work queue. */
@SpringBootApplication
@EnableConfigurationProperties(JalonSettings.class)
public class JalonServer {
    public static void main(String[] args) {
        System.setProperty("java.awt.headless", "true");
        SpringApplication.run(JalonServer.class, args);
    }
}
