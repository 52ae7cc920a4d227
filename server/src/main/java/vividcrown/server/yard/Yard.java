package vividcrown.server.yard;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;

/** A place where boxes stand. */
@Entity
@Table(name = "yard")
public class Yard {
    @Id
    private UUID id;
    @TenantId
    private @Nullable UUID operationId;
    private String name;
    private String prefix;
    private int walkOrder;
    private double latitude;
    private double longitude;
    private int elevationMetres;
    private String caution;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected Yard() {
    }

    Yard(UUID id, YardSetUp setUp) {
        this.id = id;
        this.name = setUp.name();
        this.prefix = setUp.prefix();
        this.walkOrder = setUp.walkOrder();
        this.latitude = setUp.latitude();
        this.longitude = setUp.longitude();
        this.elevationMetres = setUp.elevationMetres();
        this.caution = setUp.caution();
    }

    public UUID id() {
        return id;
    }

    public String name() {
        return name;
    }

    public int walkOrder() {
        return walkOrder;
    }

    public double latitude() {
        return latitude;
    }

    public double longitude() {
        return longitude;
    }

    public int elevationMetres() {
        return elevationMetres;
    }

    /** What to look out for here, empty if nothing. */
    public String caution() {
        return caution;
    }
}
