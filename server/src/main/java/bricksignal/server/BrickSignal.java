package bricksignal.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** The application. */
@SpringBootApplication
public class BrickSignal {

    public static void main(String[] args) {
        SpringApplication.run(BrickSignal.class, args);
    }
}
