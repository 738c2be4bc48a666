package bricksignal.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The application. */
@EnableScheduling
@SpringBootApplication
public class BrickSignal {

    public static void main(String[] args) {
        SpringApplication.run(BrickSignal.class, args);
    }
}
