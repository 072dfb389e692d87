/** Work that takes longer than a request: it tells how far it is, can be cancelled, and keeps its answer for a while. */
package isotherm.server.jobs;
