package vividcrown.core.journal;

import java.util.List;

/**
 * Takes an entry away and puts nothing in its place. Which one says the entry that carries it; it touches whatever that one
 * touched.
 */
public record Withdrawn() implements Deed {

    @Override
    public List<Touch> touches() {
        return List.of();
    }
}
