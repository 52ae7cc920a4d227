package vividcrown.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;

/** The application: one process beside one PostgreSQL. */
// People sign in through SessionController; the framework's own default user must not exist.
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
@ConfigurationPropertiesScan
public class VividCrown {

    public static void main(String[] arguments) {
        SpringApplication.run(VividCrown.class, arguments);
    }
}
