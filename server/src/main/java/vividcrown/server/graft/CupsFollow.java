package vividcrown.server.graft;

/** Whoever keeps the cups: told when a graft was done or changed, so that each cup has its row. */
public interface CupsFollow {
    void follow(Graft graft);
}
