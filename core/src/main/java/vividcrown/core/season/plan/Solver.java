package vividcrown.core.season.plan;

import com.google.ortools.Loader;

/** The solver is no Java; it is unpacked once, which may take seconds. */
final class Solver {

    private Solver() {
    }

    static void load() {
        Loader.loadNativeLibraries();
    }
}
