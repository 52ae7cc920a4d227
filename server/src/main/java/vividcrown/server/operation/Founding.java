package vividcrown.server.operation;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import javax.sql.DataSource;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Makes operations and people. Only the owner of the schema may; whoever calls has made sure that it is theirs to ask: by the
 * command line, the first day's code, a link that works once, or as an owner.
 */
@Component
public class Founding {
    private final JdbcClient owner;
    private final PasswordEncoder encoder;
    private final TransactionTemplate asOwner;

    Founding(@Qualifier("ownerDataSource") DataSource owner, PasswordEncoder encoder) {
        this.owner = JdbcClient.create(owner);
        this.asOwner = new TransactionTemplate(new DataSourceTransactionManager(owner));
        this.encoder = encoder;
    }

    /**
     * Somebody who is to be let in.
     *
     * @param role OWNER or CREW
     */
    public record Newcomer(UUID id, String name, String email, String password, String role) {
    }

    /**
     * All of it or nothing: an operation without an owner could never be entered.
     *
     * @param demoToday the day the demo begins on, empty outside of demo mode
     */
    public void found(UUID operation, String name, String zone, Optional<LocalDate> demoToday, List<Newcomer> people) {
        asOwner.executeWithoutResult(_ -> {
            owner.sql("insert into operation (id, name, zone, demo_today) values (?, ?, ?, ?)").param(operation)
                    .param(name).param(zone).param(demoToday.orElse(null)).update();
            people.forEach(one -> admit(operation, one));
        });
    }

    /** The first operation of this database, if there is none. @return false if there is one: another server was asked too */
    public boolean foundFirst(UUID operation, String name, String zone, Newcomer first) {
        return Boolean.TRUE.equals(asOwner.execute(_ -> {
            owner.sql("lock table operation in share row exclusive mode").update();
            if (!operations().isEmpty()) {
                return false;
            }
            found(operation, name, zone, Optional.empty(), List.of(first));
            return true;
        }));
    }

    public void admit(UUID operation, Newcomer one) {
        owner.sql("insert into person (id, operation_id, name, email, password, role) values (?, ?, ?, lower(?), ?, ?)")
                .params(one.id(), operation, one.name(), one.email(), encoder.encode(one.password()), one.role())
                .update();
    }

    /** Somebody who recorded here once and cannot sign in: known by name alone. @param id as in the archive they come from */
    public void remember(UUID id, UUID operation, String name, String role) {
        owner.sql("""
                insert into person (id, operation_id, name, email, password, role, left_at)
                values (?, ?, ?, ?, ?, ?, now()) on conflict (id) do nothing""")
                .params(id, operation, name, id + "@nobody.invalid", encoder.encode(UUID.randomUUID().toString()), role)
                .update();
    }

    /** @return false if it is the last owner, who stays. Of two owners who send each other away at once one is first. */
    public boolean leaves(UUID person, UUID operation) {
        return change(person, operation, "left_at = now()", "role <> 'OWNER'", Map.of());
    }

    /** @return false if it is the last owner, who stays one; two who unmake each other at once wait for one another */
    public boolean becomes(UUID person, UUID operation, String role) {
        return change(person, operation, "role = :role", ":role = 'OWNER'", Map.of("role", role));
    }

    /** @param without when it can be done though nobody else is an owner */
    private boolean change(UUID person, UUID operation, String change, String without, Map<String, Object> values) {
        return Boolean.TRUE.equals(asOwner.execute(_ -> {
            owner.sql("select id from operation where id = ? for update").param(operation).query(UUID.class).single();
            return owner.sql("""
                    update person set %s where id = :person and operation_id = :operation and left_at is null
                        and (%s or exists (select from person other where other.operation_id = :operation
                            and other.role = 'OWNER' and other.left_at is null and other.id <> :person))"""
                    .formatted(change, without)).param("person", person).param("operation", operation).params(values)
                    .update() == 1;
        }));
    }

    public void changePassword(UUID person, UUID operation, String password) {
        owner.sql("update person set password = ? where id = ? and operation_id = ?").param(encoder.encode(password))
                .param(person).param(operation).update();
    }

    public boolean exists(UUID operation) {
        return owner.sql("select count(*) from operation where id = ?").param(operation).query(Integer.class)
                .single() > 0;
    }

    public List<UUID> operations() {
        return owner.sql("select id from operation order by id").query(UUID.class).list();
    }
}
