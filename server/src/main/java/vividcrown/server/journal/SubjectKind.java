package vividcrown.server.journal;

/** What an entry is about. */
public enum SubjectKind {
    OPERATION, YARD, BUILDER, NUC, GRAFT, QUEEN, COLONY, ORDER
}
