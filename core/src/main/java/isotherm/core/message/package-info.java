/** What the rules say, as data: a topic, typed figures and names. Sentences and units are put to it where it is read. */
package isotherm.core.message;
