/** What goes wrong round the program: killed processes, stale files, full disks, second starts. */
package isotherm.server.faults;
