package vividcrown.server.job;

/** Long work beside the requests. A server that is killed meanwhile, or another one, goes on with it when it starts. */
public interface LongWork {

    /** As the log calls it. */
    String name();

    /** Does all that is left of it in the current operation; nothing if nothing is. */
    void goOn();
}
