package vividcrown.core.journal;

/**
 * A kind of thing that deeds are about. Each part of the job names its own, so this is no closed list.
 *
 * @param name capital letters, as it stands in the table and on the wire
 */
public record SubjectKind(String name) {

    public SubjectKind {
        if (!name.matches("[A-Z][A-Z_]*")) {
            throw new IllegalArgumentException("name must be capital letters, but is \"%s\"".formatted(name));
        }
    }

    @Override
    public String toString() {
        return name;
    }
}
