package vividcrown.core.journal;

/**
 * As what a deed touches a thing.
 *
 * @param name capital letters, as it stands in the table
 */
public record Role(String name) {

    /** The thing that the deed is about. */
    public static final Role ITSELF = new Role("ITSELF");
    /** Where something came from. */
    public static final Role FROM = new Role("FROM");
    /** Where something went. */
    public static final Role TO = new Role("TO");
    /** Something it stands in or belongs to; what is known of that does not change by it. */
    public static final Role CONTEXT = new Role("CONTEXT");
    /** Touched by the deed that this one corrects. */
    public static final Role CORRECTED = new Role("CORRECTED");

    @Override
    public String toString() {
        return name;
    }
}
