package vividcrown.core.hive;

/** What a frame mostly is, where nobody noted it side by side. The usual shares of each kind are common practice. */
public enum FrameKind {
    /** Mostly eggs and young larvae. */
    EGGS(new Comb(0.35, 0.25, 0.05, 0, 0.08, 0.07, 0.2, 0)),
    /** Mostly open brood of all ages. */
    OPEN_BROOD(new Comb(0.15, 0.45, 0.08, 0, 0.1, 0.07, 0.15, 0)),
    /** Mostly sealed brood. */
    SEALED_BROOD(new Comb(0, 0.05, 0.7, 0, 0.04, 0.06, 0.15, 0)),
    /** Brood of all ages. */
    BROOD(new Comb(0.1, 0.2, 0.4, 0, 0.07, 0.08, 0.15, 0)),
    HONEY(new Comb(0, 0, 0, 0, 0.03, 0.85, 0.12, 0)),
    /** Honey and pollen. */
    POLLEN(new Comb(0, 0, 0, 0, 0.35, 0.4, 0.25, 0)),
    DRONE_BROOD(new Comb(0, 0, 0.05, 0.65, 0.05, 0.1, 0.15, 0)),
    DRAWN(new Comb(0, 0, 0, 0, 0, 0, 1, 0)), FOUNDATION(new Comb(0, 0, 0, 0, 0, 0, 0, 1));

    private final Comb usual;

    FrameKind(Comb usual) {
        this.usual = usual;
    }

    /** What is usually on one. */
    public Comb usual() {
        return usual;
    }
}
