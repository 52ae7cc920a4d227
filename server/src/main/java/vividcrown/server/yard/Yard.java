package vividcrown.server.yard;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import vividcrown.core.yard.YardDeed;

/** A place where hives stand. */
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

    Yard(YardDeed.Opened opened) {
        this.id = opened.yard();
        this.name = opened.name();
        this.prefix = opened.prefix();
        this.walkOrder = opened.walkOrder();
        this.latitude = opened.latitude();
        this.longitude = opened.longitude();
        this.elevationMetres = opened.elevationMetres();
        this.caution = opened.caution();
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

    /** Seasons are half a year apart from those of the north. */
    public boolean isSouthern() {
        return latitude < 0;
    }
}
