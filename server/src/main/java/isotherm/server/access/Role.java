package isotherm.server.access;

/** What an account may do; each may do what those before it may. */
public enum Role {
    /** Reads everything, asks every question, changes nothing that is kept. */
    VIEWER,
    /** Changes cars and designs, writes on run sheets and in care books. */
    BUILDER,
    /** Says who else is let in, and what holds for the whole garage. */
    OWNER;

    /**
     * @param least what is asked for
     * @return whether this role may do what that one may
     */
    public boolean may(Role least) {
        return compareTo(least) >= 0;
    }
}
