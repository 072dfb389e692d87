/** Files that hold what is kept here so that it can be taken elsewhere: the whole garage, or one design. */
package isotherm.server.archive;
