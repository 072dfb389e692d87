package isotherm.server.store;

import tools.jackson.databind.node.ObjectNode;

/** Lifts documents of one schema number to the next. What it writes is never changed again once it has been released. */
interface Upcaster {
    /** @return schema number that it lifts from */
    int from();

    /**
     * @param shelf what kind of document it is
     * @param document a document of that number, which is changed
     */
    void lift(Shelf shelf, ObjectNode document);
}
