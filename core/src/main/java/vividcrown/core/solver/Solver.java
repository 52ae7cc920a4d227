package vividcrown.core.solver;

import com.google.ortools.Loader;

/**
 * The solver is no Java; it is unpacked once, which may take seconds. On a thread of its own: whoever needs it first may be
 * interrupted meanwhile, and what was unpacked by half would fail everybody after.
 */
public final class Solver {

    static {
        Thread unpacking = new Thread(Loader::loadNativeLibraries, "solver");
        unpacking.start();
        boolean interrupted = false;
        while (unpacking.isAlive()) {
            try {
                unpacking.join();
            } catch (InterruptedException later) {
                interrupted = true;
            }
        }
        if (interrupted) {
            Thread.currentThread().interrupt();
        }
    }

    private Solver() {
    }

    /** Returns when it is there. */
    public static void load() {
        // the class is initialised before this is reached
    }
}
