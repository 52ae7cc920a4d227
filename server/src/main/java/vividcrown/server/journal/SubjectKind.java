package vividcrown.server.journal;

/** What an entry is about. */
public enum SubjectKind {
    YARD, BUILDER, NUC, GRAFT, QUEEN
}
