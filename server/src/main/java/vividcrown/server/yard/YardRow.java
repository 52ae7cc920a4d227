package vividcrown.server.yard;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import vividcrown.core.yard.YardDeed;

/** A place where hives stand. */
@Entity(name = "Yard")
@Table(name = "yard")
class YardRow implements Yard {
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
    protected YardRow() {
    }

    YardRow(YardDeed.Opened opened) {
        this.id = opened.yard();
        this.name = opened.name();
        this.prefix = opened.prefix();
        this.walkOrder = opened.walkOrder();
        this.latitude = opened.latitude();
        this.longitude = opened.longitude();
        this.elevationMetres = opened.elevationMetres();
        this.caution = opened.caution();
    }

    @Override
    public UUID id() {
        return id;
    }

    @Override
    public String name() {
        return name;
    }

    @Override
    public int walkOrder() {
        return walkOrder;
    }

    @Override
    public double latitude() {
        return latitude;
    }

    @Override
    public double longitude() {
        return longitude;
    }

    @Override
    public int elevationMetres() {
        return elevationMetres;
    }

    @Override
    public String caution() {
        return caution;
    }

    @Override
    public boolean isSouthern() {
        return latitude < 0;
    }
}
