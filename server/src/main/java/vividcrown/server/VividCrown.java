package vividcrown.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;

/** The application: one process beside one PostgreSQL. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class VividCrown {

    public static void main(String[] arguments) {
        SpringApplication.run(VividCrown.class, arguments);
    }
}
