/** Files in and out: the solve command and the JSON Schemas. */
package isotherm.server.files;
