/** What all documents share: one reader that finds every problem at once, messages without their words, ranges and units. */
package isotherm.server.contract;
