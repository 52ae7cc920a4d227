package vividcrown.server.operation;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import javax.sql.DataSource;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/**
 * Makes operations and people. Only the owner of the schema may, so this is reached from the command line and the demo,
 * never over HTTP.
 */
@Component
public class Founding {
    private final JdbcClient owner;
    private final PasswordEncoder encoder;

    Founding(@Qualifier("ownerDataSource") DataSource owner, PasswordEncoder encoder) {
        this.owner = JdbcClient.create(owner);
        this.encoder = encoder;
    }

    /** @param demoToday the day the demo begins on, empty outside of demo mode */
    public void found(UUID operation, String name, String zone, Optional<LocalDate> demoToday) {
        owner.sql("insert into operation (id, name, zone, demo_today) values (?, ?, ?, ?)").param(operation).param(name)
                .param(zone).param(demoToday.orElse(null)).update();
    }

    /** @param role OWNER or CREW */
    public void admit(UUID person, UUID operation, String name, String email, String password, String role) {
        owner.sql("insert into person (id, operation_id, name, email, password, role) values (?, ?, ?, lower(?), ?, ?)")
                .param(person).param(operation).param(name).param(email).param(encoder.encode(password)).param(role)
                .update();
    }

    public boolean exists(UUID operation) {
        return owner.sql("select count(*) from operation where id = ?").param(operation).query(Integer.class)
                .single() > 0;
    }

    public List<UUID> operations() {
        return owner.sql("select id from operation order by id").query(UUID.class).list();
    }
}
