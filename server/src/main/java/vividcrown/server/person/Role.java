package vividcrown.server.person;

/** What a person may do: crew record and follow the round; the owner also imports and hands out links. */
public enum Role {
    OWNER, CREW
}
