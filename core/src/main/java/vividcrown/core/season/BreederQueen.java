package vividcrown.core.season;

/** A mother to graft from. */
public record BreederQueen(String id, String line) {
}
