package vividcrown.server.yard;

/**
 * As recorded when a yard is opened.
 *
 * @param prefix begins the codes of its boxes
 * @param walkOrder place in the day's walk, from 1
 * @param latitude degrees north
 * @param longitude degrees east
 * @param caution what to look out for here, empty if nothing
 */
public record YardSetUp(String name, String prefix, int walkOrder, double latitude, double longitude,
        int elevationMetres, String caution) {
}
